"""Values of ours beside the standard library's frozen data classes, which they take the place of."""

from __future__ import annotations

import copy
import pickle
from concurrent.futures import ThreadPoolExecutor
from dataclasses import FrozenInstanceError, asdict, dataclass, field, fields, replace
from functools import cached_property
from pathlib import Path
from typing import Any, ClassVar
from unittest import TestCase

from vadouvan.unchanging import unchanging


@unchanging
class Tub:
    """A value with all that a field may be."""

    name: str
    litres: float = 2.0
    lids: list[str] = field(default_factory=list, hash=False)
    seen: int = field(default=0, compare=False, repr=False)
    owner: str = field(kw_only=True, default="house")
    marked: str = field(init=False, default="no")
    kind: ClassVar[str] = "box"

    @cached_property
    def told(self) -> str:
        """Worked out once."""
        return f"{self.name} of {self.litres} l"


@dataclass(frozen=True)
class Reference:
    """The same, made by the standard library."""

    name: str
    litres: float = 2.0
    lids: list[str] = field(default_factory=list, hash=False)
    seen: int = field(default=0, compare=False, repr=False)
    owner: str = field(kw_only=True, default="house")
    marked: str = field(init=False, default="no")
    kind: ClassVar[str] = "box"


@unchanging
class Lidded(Tub):
    """A value that adds a field."""

    lid: str = "flat"


@unchanging
class Empty:
    """A value without a field."""


@unchanging(eq=False)
class Itself:
    """A value that is equal to itself alone."""

    name: str


@unchanging
class Counted:
    """A value with a hash of its own."""

    name: str

    def __hash__(self) -> int:
        return 7


MADE: list[tuple[tuple[Any, ...], dict[str, Any]]] = [
    (("a",), {}),
    (("a", 3.0), {}),
    (("a", 3.0, ["x"]), {"owner": "neighbour"}),
    ((), {"name": "b", "seen": 4}),
    (("a",), {"seen": 9}),
]
REFUSED: list[tuple[tuple[Any, ...], dict[str, Any]]] = [
    ((), {}),
    (("a", 1.0, [], 0, "owner"), {}),
    (("a",), {"marked": "yes"}),
    (("a",), {"nothing": 1}),
    (("a",), {"name": "b"}),
]


class TestUnchanging(TestCase):
    """The same as the standard library's, wherever a reader can tell."""

    def test_made_told_equal_and_hashed_as_the_standard_librarys(self) -> None:
        """Every way of making one, and every two of them compared."""
        for given, named in MADE:
            ours, theirs = Tub(*given, **named), Reference(*given, **named)
            with self.subTest(given=given, named=named):
                self.assertEqual(asdict(ours), asdict(theirs))
                self.assertEqual(repr(ours), repr(theirs).replace("Reference", "Tub"))
                self.assertEqual(hash(ours), hash(theirs))
                for other, named_other in MADE:
                    self.assertEqual(
                        ours == Tub(*other, **named_other), theirs == Reference(*other, **named_other), other
                    )
        self.assertNotEqual(Tub("a"), Reference("a"))
        self.assertNotEqual(Tub("a"), Lidded("a"))
        self.assertEqual([part.name for part in fields(Tub)], [part.name for part in fields(Reference)])

    def test_what_the_standard_library_refuses_is_refused(self) -> None:
        """By the same errors."""
        for given, named in REFUSED:
            for made in (Tub, Reference):
                with self.subTest(made=made.__name__, given=given, named=named), self.assertRaises(TypeError):
                    made(*given, **named)
        with self.assertRaises(ValueError):

            @unchanging
            class Shared:
                lids: list[str] = []  # noqa: RUF012 - what is refused

            Shared()

    def test_a_field_stays_as_it_was_made(self) -> None:
        """Neither set nor deleted; what is worked out of a value is kept beside."""
        tub = Tub("a")
        for name in ("name", "kind", "unheard_of"):
            with self.assertRaises(FrozenInstanceError):
                setattr(tub, name, "b")
            with self.assertRaises(FrozenInstanceError):
                delattr(tub, name)
        self.assertEqual(tub.told, "a of 2.0 l")
        self.assertEqual(tub, Tub("a"), "what was worked out of a value is no part of it")

    def test_a_list_of_its_own(self) -> None:
        """A default that is made is made for each."""
        one, other = Tub("a"), Tub("a")
        one.lids.append("x")
        self.assertEqual(other.lids, [])

    def test_replaced_copied_and_kept(self) -> None:
        """By the standard library's own functions."""
        tub = Tub("a", 3.0, ["x"], owner="neighbour")
        self.assertEqual(replace(tub, litres=4.0), Tub("a", 4.0, ["x"], owner="neighbour"))
        for again in (copy.copy(tub), copy.deepcopy(tub), pickle.loads(pickle.dumps(tub))):
            self.assertEqual(again, tub)
        with self.assertRaises(ValueError):
            replace(tub, marked="yes")

    def test_a_value_that_adds_a_field(self) -> None:
        """Fields of both, in their order."""
        lidded = Lidded("a", lid="round", owner="neighbour")
        self.assertEqual((lidded.name, lidded.litres, lidded.lid, lidded.owner), ("a", 2.0, "round", "neighbour"))
        self.assertEqual(lidded, Lidded("a", lid="round", owner="neighbour"))
        self.assertNotEqual(lidded, replace(lidded, lid="flat"))

    def test_without_fields_by_itself_and_with_a_hash_of_its_own(self) -> None:
        """The three ways to differ from most."""
        self.assertEqual((Empty(), hash(Empty())), (Empty(), hash(Empty())))
        one = Itself("a")
        self.assertEqual(one, one)
        self.assertNotEqual(one, Itself("a"))
        self.assertEqual(len({one, Itself("a")}), 2)
        self.assertEqual((hash(Counted("a")), Counted("a")), (7, Counted("a")))

    def test_a_method_is_compiled_when_it_is_first_called_and_once(self) -> None:
        """Before that it costs a start nothing."""

        @unchanging
        class Late:
            name: str

        waiting = vars(Late)["__init__"]
        Late("a")
        compiled = vars(Late)["__init__"]
        Late("b")
        self.assertIsNot(waiting, compiled)
        self.assertIs(vars(Late)["__init__"], compiled)
        waiting(one := Late("c"), "d")
        self.assertEqual(one.name, "d", "who held the first one is answered too")

    def test_every_value_of_the_program_is_one(self) -> None:
        """None is compiled as the standard library does it, six functions at each start."""
        program = Path(__file__).resolve().parents[2] / "src"
        found = [path.name for path in program.rglob("*.py") if "@dataclass(frozen" in path.read_text()]
        self.assertEqual(found, [])

    def test_first_made_by_many_at_once(self) -> None:
        """Threads that all find the method not yet compiled are all answered."""
        for _ in range(20):

            @unchanging
            class Asked:
                name: str
                number: int = 1

            def made(number: int, of: type[Asked] = Asked) -> tuple[bool, int]:
                return of("a", number) == of("a", number), hash(of("a", number))

            with ThreadPoolExecutor(8) as pool:
                self.assertEqual(list(pool.map(made, range(8))), [(True, hash(("a", number))) for number in range(8)])
