"""The shape of a batch file, part by part; its JSON Schema ships beside this module."""

from __future__ import annotations

import json
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints

from vadouvan.core.draft import LONGEST_KEPT

Text = Annotated[str, StringConstraints(max_length=LONGEST_KEPT)]
Count = Annotated[int, Field(ge=-(10**9), le=10**9)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]


class Part(BaseModel):
    """A part of the file; unknown fields are refused."""

    model_config = ConfigDict(extra="forbid")


class StepPart(Part):
    """One thing done to the cut; only what its kind asks for is filled in."""

    kind: Text
    amount_g: Number | None = None
    depth_mm: Number | None = None
    spacing_mm: Number | None = None
    crosswise: bool = False
    through_skin: bool = False
    count: Count | None = None
    stuffed_with: Text = ""


class CutPart(Part):
    """What the cut is."""

    kind: Text = ""
    state: Text = ""
    age_h: Number | None = None
    mass_g: Number | None = None
    shape: Text = ""
    thickness_mm: Number | None = None
    width_mm: Number | None = None
    length_mm: Number | None = None
    pieces: Count | None = None
    bone: Text = ""
    bone_share_pct: Number | None = None
    cover: Text = ""
    cover_on: Text = ""
    evenness: Text = ""
    steps: Annotated[list[StepPart], Field(max_length=100)] = []


class OccasionPart(Part):
    """For how many."""

    servings: Count | None = None
    appetite: Text = ""
    frozen_pct: Number | None = None


class HoldPart(Part):
    """How it is held and what for."""

    fridge_c: Number | None = None
    goal: Text = ""
    salt_target_g_per_kg: Number | None = None
    vacuum_school: Text = ""
    turned: Text = ""
    metal: Text = ""
    open_air: Text = ""
    readings: Text = ""
    room_c: Number | None = None


class MealPart(Part):
    """When food is on the table; ``lead_min`` is the time from the mix to the table."""

    at: Text = ""
    lead_min: Number | None = None
    time_zone: Text = ""
    start: Text = ""
    contact: Text = ""
    pulled: Text = ""
    early_min: Number | None = None
    thaw_for: Text = ""


class StagePart(Part):
    """One stage of cooking."""

    place: Text = ""
    heat_c: Number | None = None
    air: Text = ""
    time_min: Number | None = None
    core_c: Number | None = None
    turn: bool = False
    brush: Text = ""


class FirePart(Part):
    """How it is cooked; ``reduce_to`` is a weight or a share, in words."""

    surface: Text = ""
    stages: Annotated[list[StagePart], Field(max_length=100)] = []
    doneness: Text = ""
    core_c: Number | None = None
    sauce: Text = ""
    boil_min: Number | None = None
    reduce_to: Text = ""
    freeze: Text = ""


class LinePart(Part):
    """A line of the mix with its marks; a line without marks is written as its text alone."""

    text: Text
    locked: bool = False
    lifted: bool = False
    first: bool = False


class AimsPart(Part):
    """What the mix should come to; the salt target stands in ``hold``."""

    school: Text = ""
    spoon_salt: Text = ""
    spoons: Number | None = None
    bath_h: Number | None = None
    sugar_g_per_kg: Number | None = None
    acid_g_per_kg: Number | None = None
    heat_shu_per_kg: Number | None = None


class QuantityPart(Part):
    """How the mix meets the meat, and what is set aside: a weight or a share, in words."""

    form: Text = ""
    container: Text = ""
    size: Text = ""
    coat: Text = ""
    set_aside: Text = ""
    set_aside_for: Text = ""


class MakingPart(Part):
    """How the mix is made; ``reduce_to`` is a weight or a share, in words."""

    method: Text = ""
    simmer_min: Number | None = None
    reduce_to: Text = ""
    cooling: Text = ""
    texture: Text = ""
    first_contact_min: Number | None = None


class BatchFile(Part):
    """A batch of Vadouvan as a file."""

    format: Literal["vadouvan-batch"]
    version: Literal[1]
    name: Text = ""
    cut: CutPart = CutPart()
    mix: Annotated[list[str | LinePart], Field(max_length=1000)] = []
    hold: HoldPart = HoldPart()
    meal: MealPart = MealPart()
    occasion: OccasionPart = OccasionPart()
    aims: AimsPart = AimsPart()
    quantity: QuantityPart = QuantityPart()
    making: MakingPart = MakingPart()
    fire: FirePart = FirePart()
    as_typed: dict[str, str] = Field(default={}, description="Field path to the words a cook typed there.")


def json_schema() -> str:
    """The JSON Schema of the format, as shipped beside this module."""
    return json.dumps(BatchFile.model_json_schema(), indent=2, sort_keys=True) + "\n"
