"""Tests, in the order of ``src/vadouvan``. ``python -m tests.everything`` runs them all.

Drawn examples are the same every time, so that the gate tells of a change and never of luck. ``make fuzz`` draws other
ones, more of them, at every run. An answer that is not of the shape that it says is a fault, not a warning.
"""

import os
import warnings

from hypothesis import settings

warnings.filterwarnings("error", message="Pydantic serializer warnings")
settings.register_profile("gate", derandomize=True, database=None, deadline=None)
settings.register_profile("fuzz", max_examples=1000, deadline=None, print_blob=True)
PROFILE = os.environ.get("VADOUVAN_EXAMPLES", "gate")
settings.load_profile(PROFILE)


def drawn(at_the_gate: int) -> int:
    """How many examples are drawn, where a hundred would be too many at the gate or too few: ten times as many by
    ``make fuzz``.
    """
    return at_the_gate * (10 if PROFILE == "fuzz" else 1)
