"""Reading the answers about the cut: its kind, size, bone, cover, and what was done to it."""

from __future__ import annotations

import math
from dataclasses import replace
from functools import partial
from typing import get_args

from vadouvan.core.constants import Constant
from vadouvan.core.cut.agreement import LONGEST_PIECE_M, check_agreement
from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.cut import EVENNESS, Cut, usual_piece_kg
from vadouvan.core.cut.dividing import divided
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.preparation import Step, StepKind
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.core.draft.typed import MOST_STEPS, YES, CutInput, StepInput
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.notes import Notes, kept_as_read
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.quantity import (
    AGE,
    DEPTH,
    MASS,
    SIDE,
    SPACING,
    THICKNESS,
    TRIMMED,
    QuantityKind,
    decimal,
    quantity,
    whole_number,
)
from vadouvan.core.parsing.cut_called import cuts_called
from vadouvan.errors import Choice, InputError

SHAPES: dict[str, ShapeName] = {name: name for name in get_args(ShapeName)}
BONES: dict[str, Bone] = {name: name for name in get_args(Bone)}
COVERS: dict[str, Cover] = {name: name for name in get_args(Cover)}
STATES = {"fresh": False, "frozen": True}
SIDES = {"one": False, "all": True}
STEPS: dict[str, StepKind] = {name: name for name in get_args(StepKind)}
CUT_UP_M = {"strip": 0.008, "cube": 0.03}  # of what was cut up at home; common practice, no source
LITTLE_PIECE_KG, LITTLE_PIECES_KG = 0.06, 0.5
MOST_BONE_PCT = 60


def read_cut(said: CutInput, kitchen: Kitchen, notes: Notes) -> Cut | None:
    """The cut on the board, or nothing while something about it is wrong or its kind unsaid."""
    kind = _kind(said.kind, kitchen, notes)
    return None if kind is None else _described(notes, said, kind)


@kept_as_read
def _described(notes: Notes, said: CutInput, kind: CutKind) -> Cut | None:
    bone = notes.choice(said.bone, BONES, (kind.bone, kind.bone), "cut.bone")
    bone_share = _bone_share(said, kind, bone, notes)
    pieces = notes.attempt(lambda: _pieces(said)) if said.pieces else None
    mass_kg = _mass(said, kind, pieces, notes)
    thickness_m = _thickness(said, kind, _each_kg(said, kind, mass_kg, pieces), notes)
    width_m, length_m = (
        _side(text, f"cut.{name}_mm", notes) for text, name in ((said.width, "width"), (said.length, "length"))
    )
    meat_kg = 0.0 if mass_kg is None else mass_kg * (1 - bone_share)
    sliced = thickness_m is not None and not said.shape and _is_sliced(kind, pieces, meat_kg, thickness_m, bone_share)
    usual: tuple[ShapeName, str] = ("slab", "slab: slices, as it is so thin") if sliced else (kind.shape, kind.shape)
    shape = notes.choice(said.shape, SHAPES, usual, "cut.shape")
    usual_cover: Cover = "none" if sliced else kind.cover  # what covered the whole piece is the rim of a slice
    cover = notes.choice(said.cover, COVERS, (usual_cover, usual_cover), "cut.cover")
    all_round = notes.choice(
        said.cover_on, SIDES, (kind.cover_all_round, "all" if kind.cover_all_round else "one"), "cut.cover_on"
    )
    evenness = notes.choice(said.evenness, EVENNESS, _usual_evenness(shape), "cut.evenness")
    steps = _steps(said.steps, thickness_m, notes)
    if notes.problems or mass_kg is None or thickness_m is None:
        return None
    if pieces is None:
        piece_kg = _slice_kg(kind, thickness_m) if sliced else usual_piece_kg(kind, shape, thickness_m, bone_share)
        if width_m and length_m and shape == "slab":  # of a told length and width: as many as there are of that size
            piece_kg = kind.density_kg_per_m3 * thickness_m * width_m * length_m
        pieces = _assumed_pieces("slices" if sliced else shape, meat_kg, piece_kg, notes)
    cut = Cut(
        kind=kind,
        mass_kg=mass_kg,
        shape=shape,
        thickness_m=thickness_m,
        pieces=pieces,
        bone=bone,
        bone_share=bone_share,
        cover=cover,
        cover_all_round=all_round,
        width_m=width_m,
        length_m=length_m,
        thickness_log_sd=evenness.value,
        steps=steps,
        frozen=notes.choice(said.state, STATES, (False, "fresh"), "cut.state"),
        age_s=_age_s(said, kind, notes),
    )
    disagreements = check_agreement(cut)
    notes.problems += disagreements
    return None if disagreements else _taken_apart(cut, notes)


def _taken_apart(cut: Cut, notes: Notes) -> Cut | None:
    """The cut in the pieces that its steps make of it; each such step then knows how many and how wide."""
    for number, step in enumerate(cut.steps):
        if step.kind == "divided":
            apart = notes.attempt(partial(divided, cut, step.spacing_m, field=f"cut.steps.{number}"))
            if apart is None:
                return None
            told = replace(step, count=apart.pieces)
            cut = replace(apart, steps=tuple(told if one is step else one for one in cut.steps))
    return cut


def _slice_kg(kind: CutKind, thickness_m: float) -> float:
    """A slice of that thickness across the whole piece [kg]."""
    return kind.density_kg_per_m3 * math.pi / 4 * kind.thickness_m**2 * thickness_m


def _is_sliced(kind: CutKind, pieces: int | None, meat_kg: float, thickness_m: float, bone_share: float) -> bool:
    """Whether a round cut was sliced: as one round piece, or as so many of them, it could not be so thin."""
    if kind.shape not in ("cylinder", "ball") or thickness_m >= kind.thickness_low_m or meat_kg <= 0:
        return False
    whole_kg = usual_piece_kg(kind, kind.shape, thickness_m, bone_share)
    return (
        meat_kg
        / (pieces or max(1, round(meat_kg / whole_kg)))
        / kind.density_kg_per_m3
        / (math.pi / 4 * thickness_m**2)
        > LONGEST_PIECE_M
    )


def _kind(said: str, kitchen: Kitchen, notes: Notes) -> CutKind | None:
    if not said:
        notes.waiting.append("what the cut is")
        return None
    kind = kitchen.cuts.get(said)
    if kind is None:
        notes.problems.append(_no_such_cut(said, kitchen))
    return kind


def _no_such_cut(said: str, kitchen: Kitchen) -> InputError:
    """A sentence about words that name no cut of the list, with the cuts that may be meant as choices."""
    meant = cuts_called(said, kitchen.cuts)
    wrong = f'There is no cut "{said}" in the list.'
    if len(meant) > 1:
        wrong, accepted = f'"{said}" may be one of several cuts.', "Choose which, or another from the list of cuts."
    elif meant:
        accepted = f'Choose "{meant[0].name}" if that is meant, or another from the list of cuts.'
    else:
        accepted = f"Choose the most like it from the list of cuts, such as {next(iter(kitchen.cuts.values())).name}."
    error = InputError(field="cut.kind", given=said, wrong=wrong, accepted=accepted)
    error.choices = tuple(Choice(kind.id, kind.name) for kind in meant)
    return error


def _pieces(said: CutInput) -> int:
    return whole_number(said.pieces, field="cut.pieces", low=1, high=2000, what="pieces")


def _mass(said: CutInput, kind: CutKind, pieces: int | None, notes: Notes) -> float | None:
    if said.mass:
        return notes.attempt(lambda: quantity(said.mass, MASS, field="cut.mass_g"))
    if pieces is None and kind.mass_kg < LITTLE_PIECE_KG:
        return notes.assume("cut.mass_g", LITTLE_PIECES_KG, f"{LITTLE_PIECES_KG * 1000:.0f} g")
    count = pieces or 1
    mass_kg = min(kind.mass_kg * count, MASS.high)
    return notes.assume("cut.mass_g", mass_kg, f"{number_told(mass_kg * 1000)} g, usual for {count} of this cut")


def _each_kg(said: CutInput, kind: CutKind, mass_kg: float | None, pieces: int | None) -> float | None:
    """A told weight for each piece that was counted [kg], or for the one that is lighter than it usually is."""
    if not said.mass or mass_kg is None:
        return None
    if pieces is None:
        return mass_kg if mass_kg < kind.mass_kg else None
    return mass_kg / pieces


def _thickness(said: CutInput, kind: CutKind, each_kg: float | None, notes: Notes) -> float | None:
    """Thickness as said, or as is usual, of pieces of a told weight [kg] too: a chop of half the weight is as thin."""
    if said.thickness:
        return notes.attempt(lambda: quantity(said.thickness, THICKNESS, field="cut.thickness_mm"))
    if each_kg is not None and said.shape in ("", kind.shape):
        by_weight = kind.thickness_m * math.pow(each_kg / kind.mass_kg, 1.0 if kind.is_cut_across else 1 / 3)
        # A small joint is small all round; half a flat piece is about as thick as all of it, and a slice has its least.
        cubed_m = math.cbrt(each_kg / kind.density_kg_per_m3)
        least_m = {"slab": min(kind.thickness_low_m, cubed_m)}.get(kind.shape, by_weight)
        thickness_m = min(max(by_weight, least_m), kind.thickness_high_m)
        size, weight = number_told(thickness_m * 1000), number_told(each_kg * 1000)
        return notes.assume("cut.thickness_mm", thickness_m, f"{size} mm, as this cut is at {weight} g a piece")
    cut_up = CUT_UP_M.get(said.shape) if said.shape != kind.shape else None
    thickness_m = kind.thickness_m if cut_up is None else min(cut_up, kind.thickness_m)
    of_what = "this cut" if cut_up is None else f"{said.shape}s"
    return notes.assume("cut.thickness_mm", thickness_m, f"{number_told(thickness_m * 1000)} mm, usual for {of_what}")


def _age_s(said: CutInput, kind: CutKind, notes: Notes) -> float:
    """How long it has been raw in the fridge when it goes in; thawed for it, its clock starts there [s]."""
    if not kind.needs_cold or said.state == "frozen":
        return 0.0
    if not said.age.strip():
        return notes.assume("cut.age_h", 0.0, "bought the day it goes in")
    return notes.attempt(lambda: quantity(said.age, AGE, field="cut.age_h")) or 0.0


def _side(said: str, field: str, notes: Notes) -> float | None:
    return notes.attempt(lambda: quantity(said, SIDE, field=field)) if said else None


def _bone_share(said: CutInput, kind: CutKind, bone: Bone, notes: Notes) -> float:
    if bone == "none":
        return 0.0
    if not said.bone_share:
        return notes.assume("cut.bone_share_pct", kind.bone_share, f"{number_told(kind.bone_share * 100)} % bone")
    accepted = f"Write 0 to {MOST_BONE_PCT} % of the weight; for a very bony cut weigh some meat off the bone."
    share = notes.attempt(
        lambda: decimal(
            said.bone_share, field="cut.bone_share_pct", low=0, high=MOST_BONE_PCT, units=("%",), accepted=accepted
        )
    )
    return (share or 0.0) / 100


def _usual_evenness(shape: ShapeName) -> tuple[Constant, str]:
    name = {"irregular": "very uneven", "cube": "even", "slab": "uneven"}.get(shape, "uneven")
    return EVENNESS[name], name


def _assumed_pieces(made: str, meat_kg: float, piece_kg: float, notes: Notes) -> int:
    count = max(1, round(meat_kg / piece_kg))
    name = {"cube": "cubes", "strip": "strips", "slices": "slices"}.get(made, "pieces")
    return notes.assume("cut.pieces", count, "1 piece" if count == 1 else f"about {count} {name}")


# --- what was done to it -------------------------------------------------------------------


def _steps(said: tuple[StepInput, ...], thickness_m: float | None, notes: Notes) -> tuple[Step, ...]:
    if len(said) > MOST_STEPS:
        wrong = f"{len(said)} steps are more than one cut takes."
        notes.problems.append(
            InputError(field="cut.steps", given=str(len(said)), wrong=wrong, accepted=f"Keep up to {MOST_STEPS}.")
        )
    read = (_step(step, number, thickness_m, notes) for number, step in enumerate(said[:MOST_STEPS]))
    return tuple(step for step in read if step is not None)


def _step(said: StepInput, number: int, thickness_m: float | None, notes: Notes) -> Step | None:
    field = f"cut.steps.{number}"
    if said.kind not in STEPS:
        accepted = "Choose one of " + ", ".join(STEPS) + "."
        notes.problems.append(
            InputError(field=field, given=said.kind, wrong=f'"{said.kind}" is no step.', accepted=accepted)
        )
        return None
    kind = STEPS[said.kind]
    half_m = math.inf if thickness_m is None else thickness_m / 2  # nobody means to cut right through
    if kind == "trimmed":
        amount_kg = _asked(said.amount, TRIMMED, field, notes, usual=0.0)
        return Step(kind, amount_kg=amount_kg or 0.0)
    if kind == "divided":
        apart_m = _asked(said.spacing, SPACING, field, notes, usual=0.025)
        return None if apart_m is None else Step(kind, spacing_m=apart_m)
    if kind == "scored":
        depth_m = _asked(said.depth, DEPTH, field, notes, usual=min(0.005, half_m))
        spacing_m = _asked(said.spacing, SPACING, field, notes, usual=0.020)
        if depth_m is None or spacing_m is None:
            return None
        crosswise, through_skin = said.crosswise == YES, said.through_skin == YES
        return Step(kind, depth_m=depth_m, spacing_m=spacing_m, crosswise=crosswise, through_skin=through_skin)
    if kind == "slits":
        depth_m = _asked(said.depth, DEPTH, field, notes, usual=min(0.015, half_m))
        text = said.count or notes.assume(f"{field}.count", "10", "10 slits")
        count = notes.attempt(lambda: whole_number(text, field=field, low=1, high=300, what="slits"))
        if depth_m is None or count is None:
            return None
        return Step(kind, depth_m=depth_m, count=count, stuffed_with=said.stuffed_with.strip())
    return Step(kind)


def _asked(said: str, kind: QuantityKind, field: str, notes: Notes, *, usual: float) -> float | None:
    """A quantity of a step in SI, or the usual one noted as assumed."""
    if said:
        return notes.attempt(lambda: quantity(said, kind, field=field))
    unit = "g" if kind is TRIMMED else "mm"
    return notes.assume(f"{field}.{kind.name}", usual, f"{kind.name} {number_told(usual * 1000)} {unit}")
