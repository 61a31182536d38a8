"""The OpenAPI document as text, for generating the page's types."""

from __future__ import annotations

import json
from typing import cast

from vadouvan.api.app import make_app
from vadouvan.api.context import Context


def openapi_text() -> str:
    """The document of the HTTP interface; needs no running kitchen."""
    app = make_app(cast(Context, None))
    return json.dumps(app.openapi(), indent=1, sort_keys=True) + "\n"
