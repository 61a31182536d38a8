"""An integer program put together row by row, and solved by HiGHS through scipy."""

from __future__ import annotations

import numpy as np

TIME_LIMIT_S = 10.0


class Program:
    """Rows of the integer program, collected; variables are numbered in the order they are asked for."""

    def __init__(self) -> None:
        self.costs: list[float] = []
        self.rows: list[tuple[dict[int, float], float, float]] = []

    def variable(self, cost_h: float) -> int:
        """A new variable, 0 or 1, with what it costs if it is 1 [h]."""
        self.costs.append(cost_h)
        return len(self.costs) - 1

    def row(self, terms: dict[int, float], low: float, high: float) -> None:
        """Keep a sum of variables times factors between two numbers."""
        self.rows.append((terms, low, high))

    def solved(self) -> tuple[np.ndarray, bool]:
        """The values at the least cost, and whether that is proven; RuntimeError if none was found in time."""
        from scipy.optimize import Bounds, LinearConstraint, milp  # noqa: PLC0415 - a fifth of a start, for the planner
        from scipy.sparse import csr_array  # noqa: PLC0415

        data, at_row, at_column = [], [], []
        for number, (terms, _, _) in enumerate(self.rows):
            for column, value in terms.items():
                data.append(value)
                at_row.append(number)
                at_column.append(column)
        matrix = csr_array((data, (at_row, at_column)), shape=(len(self.rows), len(self.costs)))
        limits = LinearConstraint(matrix, [low for _, low, _ in self.rows], [high for _, _, high in self.rows])
        found = milp(
            np.array(self.costs),
            constraints=[limits],
            integrality=np.ones(len(self.costs), dtype=np.int64),
            bounds=Bounds(0, 1),
            options={"mip_rel_gap": 0.0, "time_limit": TIME_LIMIT_S},
        )
        if found.x is None:
            raise RuntimeError(f"The planner found no answer, not even an empty one: {found.message}")
        return np.round(found.x), found.status == 0
