"""A rest in the cold after the pull: with nothing outside any more, the salt inside evens out."""

from __future__ import annotations

import math
from dataclasses import replace

from vadouvan.core.hold.eigenmodes import modes_of
from vadouvan.core.hold.salt import SaltCourse
from vadouvan.core.hold.scenario import HoldScenario


def rested_course(scenario: HoldScenario, rest_h: float) -> SaltCourse:
    """The salt of each moment of a hold after a rest of so many hours [h] with all faces closed.

    What is inside stays inside: the average is that of the pull, the profile flatter. At the last temperature of the
    hold, since both are in the same fridge.
    """
    course, path = scenario.course, scenario.course.piece.path
    far = None if path.far_resistance_m is None else math.inf
    sealed = modes_of(replace(path, resistance_m=math.inf, far_resistance_m=far), math.inf, course.cells.shape[1])
    cells = sealed.after(course.cells, scenario.pace.diffusivity * rest_h * 3600 / path.length_m**2)
    return replace(course, cells=cells, surface=cells[:, -1])
