"""Speed as ratios: the salt model against scipy's stiff solver at the same accuracy, in one run."""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable

import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import minimize

from tests.drafts import judged, of_kind
from tests.mixes import portions
from vadouvan.core.cut.shape import Path, slab
from vadouvan.core.hold import modes
from vadouvan.core.hold.salt import Contact, salt_course
from vadouvan.core.mix.rounding import in_measures
from vadouvan.core.mix.solver import PULL, Aims, aim_rows, solve

RUNS = 25


def median_ms(work: Callable[[], object], runs: int = RUNS) -> float:
    """Median time of many runs [ms]."""
    times = []
    for _ in range(runs):
        start = time.perf_counter()
        work()
        times.append((time.perf_counter() - start) * 1000)
    return statistics.median(times)


def stepped(cells: int) -> Callable[[], object]:
    """The same slab in a bath, stepped by BDF on the same graded grid."""
    grid = modes.graded_grid(0.0, cells)
    inner = 1 / np.diff(grid.centres)
    surface = 1 / (1 - grid.centres[-1])

    def change(_time: float, c: np.ndarray) -> np.ndarray:
        flux = np.concatenate(([0.0], inner * np.diff(c[:-1]), [surface * (c[-1] - c[-2])]))
        return np.append(np.diff(flux) / grid.volumes, -flux[-1])

    start = np.append(np.zeros(cells), 1.0)
    fo = np.geomspace(1e-4, 2, 200)
    return lambda: solve_ivp(change, (0, 2), start, method="BDF", t_eval=fo, rtol=1e-6, atol=1e-8)


FIFTEEN = (
    "20 g soy sauce", "6 g salt", "20 g honey", "30 g lemon juice", "15 g mustard", "40 g olive oil", "20 g garlic",
    "10 g ginger", "15 g white miso", "100 g yoghurt", "8 g fish sauce", "10 g sugar", "20 g cider vinegar",
    "2 g black pepper", "15 g tomato paste",
)  # fmt: skip


def print_solver() -> None:
    """Fifteen ingredients to four aims: exact, in kitchen measures, and by a general optimiser."""
    mix = portions(*FIFTEEN)
    aims = Aims(1.0, 0.73, False, {"salt": 0.012, "sugar": 0.02, "acid": 0.003, "total": 0.4})
    exact = solve(mix, aims)
    solve_ms = median_ms(lambda: solve(mix, aims))
    round_ms = median_ms(lambda: in_measures(mix, exact, aims))
    rows, wanted = aim_rows(mix, [], aims)
    start = np.array([portion.mass_kg.value for portion in mix])
    scale = np.maximum(start, 0.002)

    def miss(amounts: np.ndarray) -> float:
        return float(np.sum((rows @ amounts - wanted) ** 2) + PULL * np.sum(((amounts - start) / scale) ** 2))

    general_ms = median_ms(lambda: minimize(miss, start, bounds=[(0, None)] * len(mix), method="L-BFGS-B"), 5)
    print(f"solver, 15 ingredients, 4 aims:   {solve_ms:.2f} ms; in whole measures {round_ms:.1f} ms more")
    print(f"scipy L-BFGS-B on the same:       {general_ms:.1f} ms, {general_ms / solve_ms:.0f} times as long")


def main() -> None:
    """Print the table."""
    piece = slab(0.025, open_faces=2, volume_m3=1e-3)
    contact = Contact(0.012, 0.4, 0.73, piece.open_area_m2)

    def cold() -> object:
        modes._modes.cache_clear()
        return salt_course(piece, contact)

    warm_ms = median_ms(lambda: salt_course(piece, contact))
    cold_ms = median_ms(cold)
    stiff_ms = median_ms(stepped(modes.CELLS), 5)
    draft = of_kind("beef_sirloin", "1 kg", "slab", "25 mm", "12 g salt", "300 g yoghurt", "20 g honey")
    judge_ms = median_ms(lambda: judged(draft))
    modes.modes_of(Path(0.0, 1.0), 1.0)
    print(f"salt course, 60 cells, 260 times: {cold_ms:.2f} ms cold, {warm_ms:.2f} ms with kept modes")
    print(f"scipy BDF on the same grid:       {stiff_ms:.1f} ms, {stiff_ms / cold_ms:.0f} times as long")
    print_solver()
    print(f"whole judgement with its band:    {judge_ms:.1f} ms, {judge_ms / cold_ms:.1f} salt courses")


if __name__ == "__main__":
    main()
