"""Values: classes of fields that never change and are equal when their fields are, as of the standard library.

Its ``dataclass(frozen=True)`` compiles six functions for each class when the class is made: of our 250 that was a fifth
of a start, and most are never called in it. Here the three that are called often are compiled when the first of a
class is made, compared or hashed; the others are the same for every class.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import MISSING, Field, FrozenInstanceError, dataclass, field, fields
from reprlib import recursive_repr
from typing import Any, TypeVar, dataclass_transform, overload

T = TypeVar("T")
_GIVEN_NOTHING = object()


@overload
def unchanging(cls: type[T], /) -> type[T]: ...
@overload
def unchanging(*, eq: bool = True, kw_only: bool = False) -> Callable[[type[T]], type[T]]: ...
@dataclass_transform(frozen_default=True, field_specifiers=(field,))
def unchanging(
    cls: type[T] | None = None, /, *, eq: bool = True, kw_only: bool = False
) -> type[T] | Callable[[type[T]], type[T]]:
    """A class of values, whose ``fields``, ``replace`` and ``asdict`` are those of the standard library.

    With ``eq=False`` one is equal to itself alone, with ``kw_only`` its fields are told by name. Raises
    FrozenInstanceError where a field is set or deleted later, ValueError as the standard library does for a default
    that all would share.
    """
    if cls is None:
        return lambda made: _unchanging(made, eq=eq, kw_only=kw_only)
    return _unchanging(cls, eq=eq, kw_only=kw_only)


def _unchanging(cls: type[T], *, eq: bool, kw_only: bool) -> type[T]:
    hashed_by_itself = "__hash__" in cls.__dict__
    made = dataclass(init=False, repr=False, eq=False, kw_only=kw_only)(cls)
    _when_first_called(made, "__init__", _init)
    _set_on(made, "__setattr__", _refused)
    _set_on(made, "__delattr__", _refused)
    if "__repr__" not in cls.__dict__:
        _set_on(made, "__repr__", _told)
    if eq:
        _when_first_called(made, "__eq__", _eq)
        if not hashed_by_itself:
            _when_first_called(made, "__hash__", _hash)
    return made


def _set_on(cls: type, name: str, method: Callable[..., Any]) -> None:
    setattr(cls, name, method)


def _when_first_called(
    cls: type, name: str, words: Callable[[tuple[Field[Any], ...]], tuple[str, dict[str, Any]]]
) -> None:
    """A method that compiles what takes its place, then is that."""

    def first(*given: Any, **named: Any) -> Any:
        source, known = words(fields(cls))
        exec(source, known)  # our own words: the names of fields, which Python has read as names
        method = known[name]
        method.__qualname__ = f"{cls.__qualname__}.{name}"
        _set_on(cls, name, method)
        return method(*given, **named)

    first.__name__, first.__qualname__ = name, f"{cls.__qualname__}.{name}"
    _set_on(cls, name, first)


def _init(parts: tuple[Field[Any], ...]) -> tuple[str, dict[str, Any]]:
    known: dict[str, Any] = {"_set": object.__setattr__, "_GIVEN_NOTHING": _GIVEN_NOTHING}
    by_place: list[str] = ["self"]
    by_name: list[str] = []
    body: list[str] = []
    for part in parts:
        name, sets = part.name, part.name
        taken = name
        if part.default is not MISSING:
            known[f"_default_{name}"] = part.default
            taken, sets = f"{name}=_default_{name}", name if part.init else f"_default_{name}"
        elif part.default_factory is not MISSING:
            known[f"_make_{name}"] = part.default_factory
            taken, made = f"{name}=_GIVEN_NOTHING", f"_make_{name}()"
            sets = f"{made} if {name} is _GIVEN_NOTHING else {name}" if part.init else made
        if part.init:
            (by_name if part.kw_only else by_place).append(taken)
        body.append(f"    _set(self, {name!r}, {sets})")
    head = ", ".join([*by_place, *(["*", *by_name] if by_name else [])])
    return "\n".join([f"def __init__({head}):", *(body or ["    pass"])]), known


def _eq(parts: tuple[Field[Any], ...]) -> tuple[str, dict[str, Any]]:
    compared = [part.name for part in parts if part.compare]
    ours, theirs = (_each(of, compared) for of in ("self", "other"))
    same_class = "other.__class__ is self.__class__"
    return f"def __eq__(self, other):\n    return {ours} == {theirs} if {same_class} else NotImplemented", {}


def _hash(parts: tuple[Field[Any], ...]) -> tuple[str, dict[str, Any]]:
    hashed = [part.name for part in parts if (part.compare if part.hash is None else part.hash)]
    return f"def __hash__(self):\n    return hash({_each('self', hashed)})", {}


def _each(of: str, names: list[str]) -> str:
    return f"({''.join(f'{of}.{name}, ' for name in names)})"


def _refused(one: object, name: str, *_given: object) -> None:
    raise FrozenInstanceError(f"{type(one).__name__}.{name} stays as it was made")


@recursive_repr()
def _told(one: Any) -> str:
    told = ", ".join(f"{part.name}={getattr(one, part.name)!r}" for part in fields(one) if part.repr)
    return f"{type(one).__qualname__}({told})"
