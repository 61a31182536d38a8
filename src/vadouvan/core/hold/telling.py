"""A hold in words: what stands where at an hour, why not longer, why not now, how two holds differ."""

from __future__ import annotations

import numpy as np

from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.time_course import TimeCourse
from vadouvan.core.hold.window import Window

DEEP_ENOUGH_TO_TELL_M = 0.0001
# Two sections differ to a cook by a twentieth, by two tenths of a gram a kilogram or of a millimetre (our calibration).
DIFFERS_BY, LEAST_TOLD = 0.05, 0.2e-3
LEFT_TOLD_KG = 1e-6


def told_at(course: TimeCourse, index: int) -> str:
    """State of salt, acid and softening by the hour of an index."""
    parts = []
    salt = float(course.average[index]) * 1000
    if float(course.salt.max()) > 0:
        through = course.seasoned_m[index] >= course.depths_m[-1] - 1e-9
        depth = "right through" if through else f"{number_told(float(course.seasoned_m[index]) * 1000)} mm deep"
        parts.append(f"salt is tasted {depth}, {number_told(salt)} g a kilogram on average")
    if course.white_m[index] >= DEEP_ENOUGH_TO_TELL_M:
        parts.append(f"acid has whitened about {_roughly_mm(float(course.white_m[index]))}")
    if course.soft_m[index] >= DEEP_ENOUGH_TO_TELL_M:
        parts.append(f"live enzyme has softened about {_roughly_mm(float(course.soft_m[index]))}")
    if float(course.left_kg.max()) > LEFT_TOLD_KG or not parts:
        parts.append(f"{number_told(float(course.left_kg[index]) * 1000)} g of salt is still outside")
    return f"{hours_told(float(course.hours[index]))}: {'; '.join(parts)}."


def rested_at(course: TimeCourse, index: int) -> str:
    """The state after the rest, pulled at the hour of an index: how salty the outside is then, and how deep it goes."""
    outside, rested = (f"{number_told(float(rows[index][0]) * 1000)}" for rows in (course.salt, course.rested))
    through = course.rested_m[index] >= course.depths_m[-1] - 1e-9
    depth = "right through" if through else f"{number_told(float(course.rested_m[index]) * 1000)} mm deep"
    return (
        f"Pulled at {hours_told(float(course.hours[index]))}, then {hours_told(course.rest_h)} in the cold: "
        f"salt is tasted {depth}; {rested} g a kilogram at the outside, {outside} when it was pulled."
    )


def _roughly_mm(depth_m: float) -> str:
    """A depth that is known within a factor of two."""
    low, high = depth_m * 1000 / 1.5, depth_m * 1000 * 1.5
    return f"{number_told(low)} to {number_told(high)} mm"


def why_not_longer(window: Window) -> str:
    """Limit that ends it, and what would come next."""
    latest = window.latest
    later = sorted((one for one in latest.others if one.hours < 24 * 30), key=lambda one: one.hours)
    ends = _with_hour(latest.limit.says, f"by about {hours_told(latest.hours, 'down')}", latest.limit.hours)
    if not later:
        return f"Why not longer? {_capital(ends)}."
    following = _with_hour(later[0].says, f"at about {hours_told(later[0].hours)}", later[0].hours)
    return f"Why not longer? {_capital(ends)}. Next would be: {following}."


def _with_hour(says: str, when: str, hours: float) -> str:
    """The words of a limit with its hour, unless they name it already."""
    return says if hours_told(hours) in says else f"{says} {when}"


def why_not_now(window: Window) -> str:
    """Concerns not met before it opens, and before it is best."""
    best = window.best
    words = f"Why not now? {_capital(window.earliest.limit.says)}: that takes {window.earliest_told}."
    if window.straight:
        words = f"Why not now? It may: {window.earliest.limit.says}, and it gets better until then."
    if best.limit.id != "crossing":
        words += f" {_capital(best.limit.says)} at about {window.best_told}."
    return words


def differences(this: tuple[Window, TimeCourse], other: tuple[Window, TimeCourse], hours: float) -> list[str]:
    """How another hold differs from this one: its window, what ends it, salt and bands at an hour."""
    (window, course), (window_b, course_b) = this, other
    found = []
    for name, was, now in (
        ("opens", window.earliest_told, window_b.earliest_told),
        ("is best", window.best_told, window_b.best_told),
        ("ends", window.latest_told, window_b.latest_told),
    ):
        if was != now:
            found.append(f"It {name} at {now} instead of {was}.")
    if window.latest.limit.id != window_b.latest.limit.id:
        found.append(f"It ends because {window_b.latest.limit.says}, no longer because {window.latest.limit.says}.")
    found += _values_differ(course, hours, course_b, hours, f"At {hours_told(hours)} ")
    return found or ["Nothing that could be told apart."]


def between_hours(course: TimeCourse, hours: float, other_h: float) -> list[str]:
    """How the same hold looks at another hour."""
    found = _values_differ(course, hours, course, other_h, f"At {hours_told(other_h)} ")
    return found or ["Nothing that could be told apart."]


def _values_differ(course: TimeCourse, hours: float, course_b: TimeCourse, hours_b: float, begins: str) -> list[str]:
    """Salt, middle and bands of the second against the first, where a cook could tell the difference."""
    pairs = (
        ("salt on average", "g a kilogram", course.average, course_b.average),
        ("the middle", "g a kilogram", course.middle, course_b.middle),
        ("the depth of seasoning", "mm", course.seasoned_m, course_b.seasoned_m),
        ("the white band", "mm", course.white_m, course_b.white_m),
        ("the softened layer", "mm", course.soft_m, course_b.soft_m),
    )
    found = []
    for what, unit, values, values_b in pairs:
        was, now = _at(course, values, hours), _at(course_b, values_b, hours_b)
        told, told_b = number_told(was * 1000), number_told(now * 1000)
        if told != told_b and abs(was - now) > max(DIFFERS_BY * max(was, now), LEAST_TOLD):
            found.append(f"{begins}{what} is {told_b} {unit} instead of {told}.")
    return found


def _at(course: TimeCourse, values: Array, hours: float) -> float:
    return float(np.interp(hours, course.hours, values))


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]
