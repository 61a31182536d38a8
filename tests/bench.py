"""Speed as ratios, medians of many runs on one core: ``make bench``. Each line names what it compares with."""

from __future__ import annotations

import math
import statistics
import time
from collections.abc import Callable, Iterator
from dataclasses import replace
from functools import partial
from itertools import count as counted
from typing import Literal

import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import minimize

from tests.bench_busy import print_beside_work
from tests.bench_logbook import print_logbook
from tests.bench_page import print_page_speed
from tests.bench_reading import print_reading
from tests.bench_service import print_service
from tests.drafts import judged, of_kind
from tests.kitchens import best_by_trying, evening_dish, random_kitchen, tight_kitchens
from tests.mixes import portions
from tests.reference.crank import uptake
from tests.slabs import slab
from vadouvan.cli.common import loaded
from vadouvan.core.cut.shape import Path
from vadouvan.core.draft.typed import Draft
from vadouvan.core.hold import eigenmodes as modes
from vadouvan.core.hold.acid import acid_course
from vadouvan.core.hold.salt import SaltContact, salt_course
from vadouvan.core.hold.temperature import salt_diffusivity
from vadouvan.core.joint_schedule.planner import plan_table
from vadouvan.core.kitchen.shared import SharedKitchen
from vadouvan.core.mix.acidity import Solution
from vadouvan.core.mix.rounding import in_measures
from vadouvan.core.mix.solver import PULL, Aims, aim_rows, solve

RUNS = 25
Method = Literal["BDF", "Radau", "LSODA"]
SLAB = Path(0.0, 0.0127)
NODES, TIMES = 100, 200
FIFTEEN = (
    "20 g soy sauce", "6 g salt", "20 g honey", "30 g lemon juice", "15 g mustard", "40 g olive oil", "20 g garlic",
    "10 g ginger", "15 g white miso", "100 g yoghurt", "8 g fish sauce", "10 g sugar", "20 g cider vinegar",
    "2 g black pepper", "15 g tomato paste",
)  # fmt: skip


def median_ms(work: Callable[[], object], runs: int = RUNS) -> float:
    """Median time of many runs [ms]."""
    times = []
    for _ in range(runs):
        start = time.perf_counter()
        work()
        times.append((time.perf_counter() - start) * 1000)
    return statistics.median(times)


def history(cells: int, hours: float = 72.0, *, cold: bool = False) -> tuple[np.ndarray, np.ndarray]:
    """Times [Fo] and uptake over final uptake of a 25.4 mm slab in as much water, through so many hours at 4 C."""
    if cold:
        modes._modes.cache_clear()
    found = modes.modes_of(SLAB, 1.0, cells)
    last = salt_diffusivity(4.0, "red") * hours * 3600 / SLAB.length_m**2
    fo = np.linspace(last / TIMES, last, TIMES)
    states = found.states(np.append(np.zeros(cells), 1.0), fo)
    return fo, states[:, :-1] @ found.grid.volumes / 0.5


def stepped(cells: int, method: str) -> tuple[np.ndarray, np.ndarray]:
    """The same by one of scipy's stiff solvers on the same graded grid."""
    grid = modes.graded_grid(0.0, cells)
    inner = 1 / np.diff(grid.centres)
    surface = 1 / (1 - grid.centres[-1])

    def change(_time: float, c: np.ndarray) -> np.ndarray:
        flux = np.concatenate(([0.0], inner * np.diff(c[:-1]), [surface * (c[-1] - c[-2])]))
        return np.append(np.diff(flux) / grid.volumes, -flux[-1])

    fo, _ = history(cells)
    start = np.append(np.zeros(cells), 1.0)
    span = (0.0, float(fo[-1]))
    found = solve_ivp(change, span, start, method, t_eval=fo, rtol=1e-6, atol=1e-8)  # type: ignore[call-overload]
    return fo, found.y[:-1].T @ grid.volumes / 0.5


def worst_error(fo: np.ndarray, ours: np.ndarray) -> float:
    """Largest error of an uptake against the analytic series, from ten minutes on."""
    return max(abs(float(value) - uptake("slab", 1.0, float(time))) for time, value in zip(fo, ours, strict=True))


def print_salt() -> None:
    """A 72 h history, its error, the stiff solvers at the same error, and how cost grows."""
    cold_ms, kept_ms = median_ms(lambda: history(NODES, cold=True)), median_ms(lambda: history(NODES))
    error = worst_error(*history(NODES))
    print(
        f"salt, 72 h, {NODES} nodes, {TIMES} times: {cold_ms:.2f} ms, {kept_ms:.2f} with kept modes; error {error:.0e}"
    )
    methods: tuple[Method, ...] = ("BDF", "Radau", "LSODA")
    for method in methods:
        runs = 3 if method != "LSODA" else 7
        theirs_ms = median_ms(lambda method=method: stepped(NODES, method), runs)  # type: ignore[misc]
        other = worst_error(*stepped(NODES, method))
        ratios = f"{theirs_ms / cold_ms:.0f} times as long ({theirs_ms / kept_ms:.0f} with kept modes)"
        print(f"  scipy {method:5}: {theirs_ms:6.0f} ms, {ratios}; error {other:.0e}")
    by_nodes = ", ".join(f"{n}: {median_ms(lambda n=n: history(n, cold=True)):.1f}" for n in (30, 60, 120, 240))  # type: ignore[misc]
    by_hours = ", ".join(f"{h}: {median_ms(lambda h=h: history(NODES, h)):.2f}" for h in (12, 72, 432))  # type: ignore[misc]
    print(f"  ms by nodes {by_nodes}; by hours {by_hours}: hours cost nothing, nodes about their square")


def print_acid() -> None:
    """Salt and acid together."""
    piece = slab(0.024, open_faces=2, volume_m3=1e-3)
    contact = SaltContact(0.012, 0.4, 0.73, piece.open_area_m2)
    vinegar = Solution({"acetic": 0.877}, 0.0)

    def both() -> object:
        modes._modes.cache_clear()
        return salt_course(piece, contact), acid_course(piece, "poultry", 0.75, vinegar, 0.5)

    print(f"salt with acid: {median_ms(both):.1f} ms")


def print_judgement() -> None:
    """Whole judgements, each of another weight; one that was made is kept: what a meal that moves costs."""
    plain = of_kind("beef_sirloin", "1 kg", "slab", "25 mm", "12 g salt", "300 g yoghurt", "20 g honey")
    sour = of_kind("chicken_breast", "1 kg", "slab", "24 mm", "12 g salt", "300 g cider vinegar")
    plain_ms, sour_ms = (median_ms(partial(_judged_anew, draft, counted(1001))) for draft in (plain, sour))
    kept_ms = median_ms(lambda: judged(plain))
    print(f"whole judgement with its band: {plain_ms:.1f} ms, a sour one {sour_ms:.1f} ms")
    print(f"  of a hold that is kept, as when a meal moves: {kept_ms:.1f} ms")
    many = [of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", pieces=str(n)) for n in (35, 36)]
    pieces_ms = [median_ms(partial(_judged_anew, draft, counted(1001))) for draft in many]
    print(f"  35 pieces {pieces_ms[0]:.1f} ms, 36 pieces {pieces_ms[1]:.1f} ms: one stands for all")


def _judged_anew(draft: Draft, masses_g: Iterator[int]) -> object:
    return judged(replace(draft, cut=replace(draft.cut, mass=f"{next(masses_g)} g")))


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
    print(f"solver, 15 ingredients, 4 aims: {solve_ms:.2f} ms; in whole measures {round_ms:.1f} ms more")
    print(f"  scipy L-BFGS-B: {general_ms:.1f} ms, {general_ms / solve_ms:.0f} times as long")


def print_table() -> None:
    """The planner of several dishes, and the same by trying everything where that ends at all."""
    for count in (2, 4, 8):
        dishes = [evening_dish(number) for number in range(count)]
        plan_ms = median_ms(lambda dishes=dishes: plan_table(dishes, SharedKitchen()), 7)  # type: ignore[misc]
        plan = plan_table(dishes, SharedKitchen())
        ways = math.prod(len(dish.contacts) * len(dish.pulls) for dish in dishes)
        print(f"{count} dishes: {plan_ms:.0f} ms, proven best of {ways:.0e} plans; {plan.cost:.2f} h from best in all")
    for name, (tight, kitchen) in tight_kitchens().items():
        tight_ms = median_ms(lambda tight=tight, kitchen=kitchen: plan_table(tight, kitchen), 7)  # type: ignore[misc]
        out = len(plan_table(tight, kitchen).left_out)
        print(f"  eight, {name}: {tight_ms:.0f} ms, {out} left out and why")
    small = random_kitchen(7, dishes=5, contacts=6)
    plan_ms, trying_ms = median_ms(lambda: plan_table(*small), 7), median_ms(lambda: best_by_trying(*small), 1)
    print(f"  five small dishes: {plan_ms:.0f} ms; by trying all: {trying_ms / plan_ms:.0f} times as long")


def main() -> None:
    """Print the table, with memory collected as in a kitchen that is served."""
    loaded()
    print_table()
    print_logbook()
    print_salt()
    print_acid()
    print_judgement()
    print_reading()
    print_service()
    print_beside_work()
    print_page_speed()
    print_solver()
    if math.isnan(worst_error(*history(NODES))):
        raise SystemExit("The salt history is no number.")


if __name__ == "__main__":
    main()
