"""Effects of a bigger or smaller cube: surface, paste needed, window."""

from __future__ import annotations

from dataclasses import replace

from vadouvan.core.constants import COAT_M, PASTE_DENSITY
from vadouvan.core.cut.cut import Cut, usual_piece_kg
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.scenario import hold_scenario
from vadouvan.core.hold.window import Window, window_of
from vadouvan.core.mix.balance import Balance
from vadouvan.unchanging import unchanging

EDGES_M = (0.015, 0.020, 0.025, 0.030, 0.040, 0.050)


@unchanging
class CubeChoice:
    """The same meat and mix in cubes of one edge."""

    edge_m: float
    pieces: int
    open_area_m2: float
    paste_kg: float
    window: Window


def paste_needed_kg(open_area_m2: float) -> float:
    """Paste for a coat of normal thickness on so much surface [kg].

    >>> round(paste_needed_kg(0.22642), 4)
    0.2491
    """
    return open_area_m2 * COAT_M.value * PASTE_DENSITY.value


def cube_series(cut: Cut, balance: Balance, hold: Hold) -> list[CubeChoice]:
    """The series over usual edges, those left out of which not even one cube could be cut."""
    series = []
    for edge_m in EDGES_M:
        each_kg = usual_piece_kg(cut.kind, "cube", edge_m, 0.0)
        if each_kg > cut.meat_kg:
            continue
        pieces = max(1, round(cut.meat_kg / each_kg))
        cubes = replace(
            cut, shape="cube", thickness_m=edge_m, pieces=pieces, bone="none", mass_kg=cut.meat_kg, bone_share=0.0,
            cover="none", steps=(),
        )  # fmt: skip
        area_m2 = cubes.open_area_m2
        series.append(
            CubeChoice(
                edge_m, pieces, area_m2, paste_needed_kg(area_m2), window_of(hold_scenario(cubes, balance, hold))
            )
        )
    return series
