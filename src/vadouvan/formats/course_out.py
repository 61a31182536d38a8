"""A hold through time for programs and for the page: salt by depth and hour, bands, remarks, comparisons."""

from __future__ import annotations

from collections.abc import Iterable

from vadouvan.core.figure import hours_told
from vadouvan.core.hold.concerns import ConcernName
from vadouvan.core.hold.remarks import RemarkKind
from vadouvan.core.hold.telling import rested_at, told_at
from vadouvan.core.hold.time_course import TimeCourse
from vadouvan.core.hold.worded import named
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class ConcernOut:
    """Worth of each hour of the course by one concern, from 0 to 1; rising ones get better with the hours."""

    id: ConcernName
    name: str
    rises: bool
    worth: list[float]
    shown: list[str]


@unchanging(kw_only=True)
class CourseOut:
    """Per hour: salt by depth, mean, middle, salt outside, depth of seasoning, white band and softening."""

    hours: list[float]
    hours_shown: list[str]
    depth_mm: list[float]
    salt_g_per_kg: list[list[float]]
    average_g_per_kg: list[float]
    middle_g_per_kg: list[float]
    left_g: list[float]
    seasoned_mm: list[float]
    white_mm: list[float]
    soft_mm: list[float]
    says: list[str]
    rest_shown: str
    rested_g_per_kg: list[list[float]]
    rested_says: list[str]
    tasted_from_g_per_kg: float
    across: bool
    concerns: list[ConcernOut]
    worst: list[int]


@unchanging(kw_only=True)
class RemarkOut:
    """A remark on the hold; ``kind`` is note, warn or stop."""

    id: str
    kind: RemarkKind
    says: str


def course_out(course: TimeCourse) -> CourseOut:
    """A course as data, rounded to what a drawing needs."""
    return CourseOut(
        hours=_rounded(course.hours, 1.0),
        hours_shown=[hours_told(float(hour)) for hour in course.hours],
        depth_mm=_rounded(course.depths_m, 1000.0),
        salt_g_per_kg=[_rounded(row, 1000.0) for row in course.salt],
        average_g_per_kg=_rounded(course.average, 1000.0),
        middle_g_per_kg=_rounded(course.middle, 1000.0),
        left_g=_rounded(course.left_kg, 1000.0),
        seasoned_mm=_rounded(course.seasoned_m, 1000.0),
        white_mm=_rounded(course.white_m, 1000.0),
        soft_mm=_rounded(course.soft_m, 1000.0),
        says=[told_at(course, index) for index in range(len(course.hours))],
        rest_shown=hours_told(course.rest_h),
        rested_g_per_kg=[_rounded(row, 1000.0) for row in course.rested],
        rested_says=[rested_at(course, index) for index in range(len(course.hours))],
        tasted_from_g_per_kg=course.tasted * 1000,
        across=course.across,
        concerns=[
            ConcernOut(
                id=one.name,
                name=named(one),
                rises=one.rises,
                worth=[round(float(value), 2) for value in one.values],
                shown=[_of_ten(float(value)) for value in one.values],
            )
            for one in course.concerns
        ],
        worst=list(course.worst),
    )


def _of_ten(worth: float) -> str:
    return f"{round(worth * 10)} of 10"


def _rounded(values: Iterable[float], factor: float) -> list[float]:
    return [round(float(value) * factor, 3) for value in values]
