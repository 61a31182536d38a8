"""Tests, in the order of ``src/vadouvan``. ``python -m tests.everything`` runs them all.

Drawn examples are the same every time, so that the gate tells of a change and never of luck. ``make fuzz`` draws other
ones, more of them, at every run.
"""

import os

from hypothesis import settings

settings.register_profile("gate", derandomize=True, database=None, deadline=None)
settings.register_profile("fuzz", max_examples=1000, deadline=None, print_blob=True)
settings.load_profile(os.environ.get("VADOUVAN_EXAMPLES", "gate"))
