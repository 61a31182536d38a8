"""Mix that a cook leaves on the meat when it goes to the heat."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal

from vadouvan.core.constants import PATTED_LEAVES, RINSED_LEAVES, WIPED_LEAVES

Left = Literal["patted", "wiped", "rinsed", "as_is"]

# Share [1] of what clings that is left
LEAVES: Mapping[Left, float] = {
    "patted": PATTED_LEAVES.value, "wiped": WIPED_LEAVES.value, "rinsed": RINSED_LEAVES.value, "as_is": 1.0,
}  # fmt: skip
