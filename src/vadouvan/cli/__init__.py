"""The command line: every computation without a server, the server, and the kitchen's file."""

from __future__ import annotations

import gc
import os

os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")  # small matrices: more threads only cost

gc.disable()  # until all is loaded: what is made meanwhile stays

import typer

from vadouvan.cli import batch, kitchen, mix, plan, serving
from vadouvan.cli.common import loaded

app = typer.Typer(add_completion=False, no_args_is_help=True, help=__doc__)
for part in (batch, mix, plan, kitchen, serving):
    part.add_to(app)

gc.set_threshold(10_000)  # a judgement makes thousands of values and hardly a circle: a tenth of its time at 700
loaded()
