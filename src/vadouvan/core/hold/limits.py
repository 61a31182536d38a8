"""What can set an end of the window: each limit with its hour and its words."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

LimitId = Literal[
    "salt_at_early_depth",
    "aroma_contact",
    "enzyme_begins",
    "salt_through",
    "salt_in_most_of_it",
    "salt_at_surface_depth",
    "surface_evened_out",
    "enzyme_best",
    "salt_good_enough",
    "aroma_best",
    "earliest",
    "before_latest",
    "over_salt_average",
    "over_salt_surface",
    "enzyme_very_soft",
    "strong_acid",
    "acid_band",
    "fish_in_strong_bath",
    "thin_red_quality",
    "red_quality",
    "storage",
]
Basis = Literal["salt", "acid", "enzyme", "quality", "safety", "aroma"]


@dataclass(frozen=True)
class Limit:
    """A limit at an hour. ``says`` completes "because ..." and "... ends it"; ``source`` is a key.

    ``band_h`` is its own band, where that does not follow from salt's pace.
    """

    id: LimitId
    hours: float
    says: str
    basis: Basis
    source: str
    band_h: tuple[float, float] | None = None
