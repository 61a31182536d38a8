"""The OpenAPI document as text, for generating the page's types."""

from __future__ import annotations

import json
from typing import Any, cast

from vadouvan.api.app import make_app
from vadouvan.use_cases.running_kitchen import RunningKitchen


def openapi_text() -> str:
    """The document of the HTTP interface; needs no running kitchen."""
    app = make_app(cast(RunningKitchen, None))
    return json.dumps(app.openapi(), indent=1, sort_keys=True) + "\n"


def http_page() -> str:
    """The HTTP interface as a page: every route with what it takes, gives and refuses, from the same document."""
    document = json.loads(openapi_text())
    by_tag: dict[str, list[str]] = {}
    for path, methods in document["paths"].items():
        for method, operation in methods.items():
            tag = (operation.get("tags") or ["other"])[0]
            by_tag.setdefault(tag, []).append(_line(path, method, operation))
    parts = [HEAD]
    for tag, lines in by_tag.items():
        parts += [f"## {tag.capitalize()}", "", "| | takes | gives | |", "|---|---|---|---|", *lines, ""]
    return "\n".join(parts).rstrip() + "\n"


HEAD = """# HTTP

Written by `make types` from the OpenAPI document, which the running kitchen serves at `/api/openapi.json`. Bodies and
answers are JSON unless said otherwise; what the fields mean is told in [formats](formats.md). A kitchen listens on
127.0.0.1 only.

Refusals have `sentence`, for the cook, and `problems[]` with `field`, `given`, `wrong` and `accepted`: 422 what cannot
be used as it stands, 404 what is not here, 409 what was overtaken by a change made elsewhere.
"""


def _line(path: str, method: str, operation: dict[str, Any]) -> str:
    asked = [f"`{one['name']}`" for one in operation.get("parameters", []) if one["in"] == "query"]
    body = operation.get("requestBody", {}).get("content", {})
    takes = ", ".join([*asked, *(_named(kind, part) for kind, part in body.items())])
    good: dict[str, Any] = next((answer for code, answer in operation["responses"].items() if code.startswith("2")), {})
    gives = ", ".join(_named(kind, part) for kind, part in good.get("content", {}).items())
    says = operation.get("description", "").split("\n")[0].replace("|", "\\|")
    return f"| `{method.upper()} {path}` | {takes} | {gives} | {says} |"


def _named(kind: str, part: dict[str, Any]) -> str:
    """The schema of a body by its name, or its media type."""
    schema = part.get("schema", {})
    schema = next((one for one in schema.get("anyOf", ()) if "$ref" in one), schema)  # or nothing
    many = "items" in schema
    name = str((schema.get("items", schema)).get("$ref", "")).rsplit("/", 1)[-1]
    return (f"{name}[]" if many else name) or kind
