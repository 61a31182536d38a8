"""A kind of cut as a table describes it: defaults and limits, before the cook answers."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.shape import Bone, ShapeName

Family = Literal["red", "poultry", "fish", "shellfish", "plant", "mince"]

_FAMILIES: dict[str, Family] = {
    **dict.fromkeys(("chicken", "turkey", "duck", "quail"), "poultry"),
    **dict.fromkeys(("pork", "beef", "veal", "lamb", "goat", "venison", "wild boar", "rabbit"), "red"),
    **dict.fromkeys(("prawn", "squid", "octopus", "scallop"), "shellfish"),
    **dict.fromkeys(
        ("tofu", "tempeh", "seitan", "paneer", "mushroom", "cauliflower", "aubergine", "jackfruit"), "plant"
    ),
}


@dataclass(frozen=True)
class CutKind:
    """One row of the table of cuts, in SI, with where it comes from and how sure it is."""

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

    @property
    def name(self) -> str:
        """Species and cut in one line."""
        return f"{self.species}, {self.cut}"

    @property
    def family(self) -> Family:
        """The group that shares limits: red meat, poultry, fish, shellfish, plant or mince."""
        if self.form == "ground":
            return "mince"
        return _FAMILIES.get(self.species, "fish")

    @property
    def is_fish(self) -> bool:
        """Whether its skin and pace are those of fish."""
        return self.family in ("fish", "shellfish")
