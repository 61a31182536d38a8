"""Whether weight, size and number of pieces agree, and if not, which one is doubted."""

from __future__ import annotations

import math
from collections.abc import Iterator

from vadouvan.core.cut.cut import Cut, size_of, usual_piece_kg
from vadouvan.core.figure import number_told
from vadouvan.errors import InputError

MAY_BE_THICKER_THAN_WIDE = 1.15  # cut by eye: still called what it is
COUNT_MAY_BE_OFF = 1.6  # counted pieces against computed ones
ROUND_MAY_BE_OFF = 1.6  # weight of a ball-like joint against a true ball
THINNEST_CUBE_M, THICKEST_CUBE_M = 0.005, 0.080
LONGEST_PIECE_M = 1.5


def check_agreement(cut: Cut) -> list[InputError]:
    """All disagreements of a cut."""
    rules = {
        "cube": (_cube_edge, _count),
        "strip": (_strip, _count),
        "cylinder": (_cylinder,),
        "ball": (_ball,),
        "cuboid": (_cuboid,),
    }
    found = [error for rule in rules.get(cut.shape, (_thick_against_wide,)) for error in rule(cut)]
    return found + list(_steps(cut))


def _cube_edge(cut: Cut) -> Iterator[InputError]:
    edge_mm = cut.thickness_m * 1000
    meat_m3 = cut.untrimmed_kg / cut.kind.density_kg_per_m3
    wrong = ""
    if meat_m3 < cut.thickness_m**3 / MAY_BE_THICKER_THAN_WIDE:
        wrong = f"One cube of {edge_mm:.0f} mm weighs more than the {cut.untrimmed_kg * 1000:.0f} g of meat you have."
    elif not THINNEST_CUBE_M <= cut.thickness_m <= THICKEST_CUBE_M:
        wrong = f"{number_told(edge_mm)} mm is not the edge of a cube for a marinade."
    if wrong:
        most_mm = min(THICKEST_CUBE_M, meat_m3 ** (1 / 3)) * 1000
        yield _doubt(cut, "thickness", wrong, f"Write an edge from 5 mm to {most_mm:.0f} mm, or call the piece a slab.")


def _count(cut: Cut) -> Iterator[InputError]:
    each_kg = usual_piece_kg(cut.kind, cut.shape, cut.thickness_m, cut.bone_share)
    expected = max(1, round(cut.untrimmed_kg / each_kg))
    if 1 / COUNT_MAY_BE_OFF <= cut.pieces / expected <= COUNT_MAY_BE_OFF or abs(cut.pieces - expected) <= 1:
        return
    if cut.shape == "strip" and cut.width_m is not None:
        return
    name = "cubes" if cut.shape == "cube" else "strips"
    told = f"{cut.untrimmed_kg * 1000:.0f} g in {cut.thickness_m * 1000:.0f} mm {name}"
    yield InputError(
        field="cut.pieces",
        given=str(cut.pieces),
        wrong=f"{cut.pieces} {name} do not fit: {told} makes about {expected}.",
        accepted=f"Leave the number empty, write about {expected}, or measure an edge again.",
    )


def _thick_against_wide(cut: Cut) -> Iterator[InputError]:
    volume_m3 = cut.untrimmed_kg / cut.kind.density_kg_per_m3 / cut.pieces
    thickest_m = volume_m3 ** (1 / 3) * MAY_BE_THICKER_THAN_WIDE
    if cut.thickness_m > thickest_m:
        each_g, thick_mm = cut.untrimmed_kg / cut.pieces * 1000, cut.thickness_m * 1000
        wrong = f"A piece of {each_g:.0f} g cannot be {thick_mm:.0f} mm thick: it would be thicker than wide."
        accepted = f"At this weight write at most {thickest_m * 1000:.0f} mm, fewer pieces, or more weight."
        yield _doubt(cut, "thickness", wrong, accepted)


def _strip(cut: Cut) -> Iterator[InputError]:
    size = size_of(cut, cut.untrimmed_kg)
    if size.length_m < max(size.width_m, cut.thickness_m):
        wrong = (
            f"A strip {_mm(size.width_m)} wide would be only {_mm(size.length_m)} long at this weight: wider than long."
        )
        yield _doubt(cut, "shape", wrong, "Call it a slab, or write more weight, fewer pieces or a smaller width.")
    elif size.length_m > LONGEST_PIECE_M:
        wrong = f"One strip would be {size.length_m:.1f} m long."
        yield _doubt(cut, "pieces", wrong, "Write more pieces, or leave their number empty.")


def _cylinder(cut: Cut) -> Iterator[InputError]:
    size = size_of(cut, cut.untrimmed_kg)
    if size.length_m < cut.thickness_m / 2:
        wrong = f"A round piece {_mm(cut.thickness_m)} across would be only {_mm(size.length_m)} long at this weight."
        yield _doubt(cut, "shape", wrong, "Call it a slab, or write more weight, fewer pieces or a smaller diameter.")
    elif size.length_m > LONGEST_PIECE_M:
        yield _doubt(
            cut, "pieces", f"One piece would be {size.length_m:.1f} m long.", "Write more pieces, or more thickness."
        )


def _ball(cut: Cut) -> Iterator[InputError]:
    true_kg = cut.kind.density_kg_per_m3 * math.pi / 6 * cut.thickness_m**3
    each_kg = cut.untrimmed_kg / cut.pieces
    if not 1 / ROUND_MAY_BE_OFF <= each_kg / true_kg <= ROUND_MAY_BE_OFF:
        right_m = (each_kg / cut.kind.density_kg_per_m3 * 6 / math.pi) ** (1 / 3)
        across = f"A round joint {_mm(cut.thickness_m)} across"
        wrong = f"{across} weighs about {true_kg * 1000:.0f} g, not {each_kg * 1000:.0f} g."
        yield _doubt(cut, "thickness", wrong, f"At this weight write about {_mm(right_m)}, or choose another shape.")


def _cuboid(cut: Cut) -> Iterator[InputError]:
    if cut.width_m is None or cut.length_m is None:
        yield from _thick_against_wide(cut)
        return
    volume_m3 = cut.thickness_m * cut.width_m * cut.length_m
    told_kg = volume_m3 * cut.kind.density_kg_per_m3
    each_kg = cut.untrimmed_kg / cut.pieces
    if not 1 / COUNT_MAY_BE_OFF <= each_kg / told_kg <= COUNT_MAY_BE_OFF:
        size = " x ".join(_mm(side) for side in (cut.thickness_m, cut.width_m, cut.length_m))
        wrong = f"A block of {size} weighs about {told_kg * 1000:.0f} g, not {each_kg * 1000:.0f} g."
        yield _doubt(cut, "thickness", wrong, "Measure a side again, or change the weight or the number of pieces.")


def _steps(cut: Cut) -> Iterator[InputError]:
    for number, step in enumerate(cut.steps):
        field = f"cut.steps.{number}"
        if step.depth_m >= cut.thickness_m and step.kind in ("scored", "slits"):
            wrong = f"{_mm(step.depth_m)} deep would go right through a piece {_mm(cut.thickness_m)} thick."
            yield InputError(
                field=field, given=_mm(step.depth_m), wrong=wrong, accepted=f"Write less than {_mm(cut.thickness_m)}."
            )
        if step.kind == "trimmed" and step.amount_kg >= 0.6 * cut.untrimmed_kg:
            wrong = (
                f"{number_told(step.amount_kg * 1000)} g trimmed leaves too little of {cut.untrimmed_kg * 1000:.0f} g."
            )
            yield InputError(
                field=field, given="", wrong=wrong, accepted="Write what was cut off: up to 60 % of the meat."
            )


def _mm(length_m: float) -> str:
    return f"{number_told(length_m * 1000)} mm"


def _doubt(cut: Cut, what: str, wrong: str, accepted: str) -> InputError:
    field = {"thickness": "cut.thickness_mm", "shape": "cut.shape", "pieces": "cut.pieces"}[what]
    given = {"thickness": _mm(cut.thickness_m), "shape": cut.shape, "pieces": str(cut.pieces)}[what]
    return InputError(field=field, given=given, wrong=wrong, accepted=accepted)
