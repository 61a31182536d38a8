"""A kind of cut as a table describes it: defaults and limits, before the cook answers."""

from __future__ import annotations

import math
import re
from functools import cached_property
from typing import Literal

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.unchanging import unchanging

A_WHOLE_MUSCLE_KG = 0.45  # what is called a steak and is heavier was not cut off anything
Family = Literal["red", "poultry", "fish", "shellfish", "plant", "mince", "other"]

BIRDS = (
    "chicken", "turkey", "duck", "quail", "goose", "guinea fowl", "pheasant", "partridge", "pigeon", "grouse", "hen",
)  # fmt: skip
GAME = ("venison", "wild boar", "rabbit", "hare", "elk", "moose", "reindeer", "kangaroo", "bison")
SALTED_THEMSELVES = ("halloumi",)  # with 2 to 3 % of salt of their own: they are given none
FRESH_CURDS = ("tofu", "tempeh", "seitan", "paneer", "halloumi", "cheese")  # no meat, and kept as cold as meat
_FAMILIES: dict[str, Family] = {
    **dict.fromkeys(BIRDS, "poultry"),
    **dict.fromkeys(("pork", "beef", "veal", "lamb", "mutton", "goat", *GAME), "red"),
    **dict.fromkeys(
        (
            "salmon", "cod", "tilapia", "tuna", "swordfish", "mackerel", "sea bass / snapper", "trout", "catfish",
            "monkfish", "halibut", "herring", "haddock", "sole", "sardine", "eel", "pike", "carp",
        ),
        "fish",
    ),
    **dict.fromkeys(
        ("prawn", "squid", "octopus", "scallop", "mussel", "clam", "oyster", "crab", "lobster"), "shellfish"
    ),
    **dict.fromkeys((*FRESH_CURDS, "mushroom", "cauliflower", "aubergine", "courgette", "jackfruit"), "plant"),
}  # fmt: skip
STRICTEST_DAYS_S = 86_400.0  # of an unknown animal: as fish, the shortest


@unchanging
class CutKind:
    """One row of the table of cuts, in SI, with where it comes from and how sure it is.

    ``also_called`` are names in words of a shopping list, in any order: "lamb leg bonein". ``pieces_in_one`` is how
    many pieces of this cut one whole gives, where cooks count the whole: an octopus, a chicken to be jointed; else 0.
    """

    id: str
    species: str
    cut: str
    form: str
    shape: ShapeName
    thickness_m: float
    thickness_low_m: float
    thickness_high_m: float
    mass_kg: float
    bone: Bone
    bone_share: float
    cover: Cover
    cover_all_round: bool
    density_kg_per_m3: float
    water_share: float
    hold_max_s: float
    hold_source: str
    allergens: tuple[str, ...]
    prep: str
    source: str
    confidence: str
    core_c: float | None = None
    core_source: str = ""
    also_called: tuple[str, ...] = ()
    pieces_in_one: int = 0
    toughness: str = "moderate"
    fat_share: float = 0.06  # of a cook's own cut from before it was kept: neither lean nor rich

    def __hash__(self) -> int:
        """By its id: what is kept for a table of cuts asks for it at each line that is read."""
        return hash(self.id)

    @property
    def name(self) -> str:
        """Species and cut in one line."""
        return f"{self.species}, {self.cut}"

    @property
    def is_whole_animal(self) -> bool:
        """Whether the bare name of the animal means this cut: a duck, a trout."""
        is_of_it = any(name in self.species.split(" / ") for name in self.also_called)
        return self.is_animal and "whole" in self.cut and self.bone != "none" and is_of_it

    @cached_property
    def family(self) -> Family:
        """The group that shares limits: red meat, poultry, fish, shellfish, plant, mince; other if it is not known."""
        known = _FAMILIES.get(self.species, "other")
        return "mince" if self.form == "ground" and known not in ("plant", "other") else known

    @property
    def is_bird(self) -> bool:
        """Whether it is poultry, minced or not."""
        return self.species in BIRDS

    @property
    def is_game(self) -> bool:
        """Whether it is furred game."""
        return self.species in GAME

    @property
    def is_minced(self) -> bool:
        """Whether the mix is worked into it, and all of it eaten; it does not lie on a piece."""
        return self.family == "mince"

    @property
    def is_salted_itself(self) -> bool:
        """Whether it comes salted, so that a mix for it has no salt to bring."""
        return self.species in SALTED_THEMSELVES

    @property
    def is_animal(self) -> bool:
        """Whether it is meat, fish or shellfish: what was with it raw is no sauce."""
        return self.family != "plant"

    @property
    def is_softened_by_fruit(self) -> bool:
        """Whether it is held together by protein, which the enzymes of live fruit cut; a vegetable is not."""
        return self.is_animal or self.species in FRESH_CURDS

    @property
    def needs_cold(self) -> bool:
        """Whether its days and its hours out of the cold are a matter of safety: meat, fish, tofu, fresh cheese."""
        return self.is_animal or self.species in FRESH_CURDS

    @property
    def keeps_s(self) -> float:
        """How long it keeps raw in the fridge, from purchase or thawing to the heat [s]; the strictest if unknown."""
        return min(self.hold_max_s, STRICTEST_DAYS_S) if self.family == "other" else self.hold_max_s

    @property
    def is_for_the_pot(self) -> bool:
        """Whether it is tough by nature, and tender only after long moist heat, as most of it is cooked."""
        return self.toughness == "tough" and self.family == "red"

    @property
    def is_cut_across(self) -> bool:
        """Whether a piece is a slice of something longer: it is as heavy as it is thick. A flank or a skirt is none."""
        return (
            self.mass_kg < A_WHOLE_MUSCLE_KG
            and re.search(r"\b(?:steaks?|chops?|cutlets?|slices?)\b", self.cut) is not None
        )

    @property
    def is_fish(self) -> bool:
        """Whether its skin and pace are those of fish."""
        return self.family in ("fish", "shellfish")


def wrong_sizes(kind: CutKind) -> str:
    """Why no cut can have the sizes and shares of this one, in words; empty where one can."""
    sizes = (kind.thickness_m, kind.thickness_low_m, kind.thickness_high_m, kind.mass_kg, kind.density_kg_per_m3)
    if not all(math.isfinite(size) and size > 0 for size in (*sizes, kind.hold_max_s)):
        return "its sizes and hours have to be above 0"
    if not all(0 <= share < 1 for share in (kind.bone_share, kind.water_share, kind.fat_share)):
        return "its shares of bone, water and fat have to be from 0 to below 1"
    return ""
