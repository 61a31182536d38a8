"""Two edits of one draft: nothing that only one side changed is lost; where both changed one field it is asked."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import steak
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.merging import merged
from vadouvan.core.draft.typed import Draft, LineInput, StageInput

SINCE = replace(steak("6 g salt", "20 g oil", "2 g pepper"), name="Steak")


def with_line(draft: Draft, number: int, text: str) -> Draft:
    """The draft with one line's text changed."""
    changed = [replace(one, text=text) if place == number else one for place, one in enumerate(draft.mix)]
    return replace(draft, mix=tuple(changed))


class Edits(unittest.TestCase):
    """What each side did, and what came of it."""

    def test_different_fields_both_stand(self) -> None:
        """A name here, a line and the fridge there."""
        mine = replace(SINCE, name="Quick steak")
        theirs = with_line(replace(SINCE, hold=replace(SINCE.hold, fridge="3")), 0, "7 g salt")
        found = merged(SINCE, mine, theirs)
        self.assertEqual(found.clashes, ())
        self.assertEqual(found.draft, replace(theirs, name="Quick steak"))

    def test_two_lines_of_one_mix(self) -> None:
        """One line changed here, another there, one removed there, one put in the middle here."""
        mine = with_line(SINCE, 0, "8 g salt")
        mine = replace(mine, mix=(mine.mix[0], LineInput("new", "1 clove garlic"), *mine.mix[1:]))
        theirs = replace(with_line(SINCE, 1, "30 g oil"), mix=with_line(SINCE, 1, "30 g oil").mix[:2])
        found = merged(SINCE, mine, theirs)
        self.assertEqual([one.text for one in found.draft.mix], ["8 g salt", "1 clove garlic", "30 g oil"])
        self.assertEqual(found.clashes, ())

    def test_the_same_field_is_asked_about(self) -> None:
        """Both values are told, and either can be preferred."""
        mine, theirs = with_line(SINCE, 0, "8 g salt"), with_line(replace(SINCE, name="Other"), 0, "9 g salt")
        found = merged(SINCE, mine, theirs)
        (clash,) = found.clashes
        self.assertEqual(clash.says, "Here “8 g salt”, elsewhere “9 g salt”.")
        for side, text in (("mine", "8 g salt"), ("theirs", "9 g salt")):
            chosen = merged(SINCE, mine, theirs, "mine" if side == "mine" else "theirs").draft
            self.assertEqual((chosen.mix[0].text, chosen.name), (text, "Other"))

    def test_removed_here_and_changed_there_is_asked_about(self) -> None:
        """A removal never takes an edit along silently."""
        mine, theirs = replace(SINCE, mix=SINCE.mix[1:]), with_line(SINCE, 0, "9 g salt")
        (clash,) = merged(SINCE, mine, theirs).clashes
        self.assertEqual(clash.says, "Here it is removed, elsewhere “9 g salt”.")
        self.assertEqual(len(merged(SINCE, mine, theirs, "mine").draft.mix), 2)
        self.assertEqual(len(merged(SINCE, mine, theirs, "theirs").draft.mix), 3)

    def test_the_same_change_on_both_sides_is_no_question(self) -> None:
        """Also of a stage that both added."""
        both = replace(SINCE, fire=replace(SINCE.fire, stages=(StageInput("s", "oven", "200 C"),)))
        self.assertEqual(merged(SINCE, both, both), merged(SINCE, both, SINCE))

    def test_two_new_lines_under_one_name_are_asked_about(self) -> None:
        """Neither takes the other's place silently."""
        ours, others = (replace(SINCE, mix=(*SINCE.mix, LineInput("9", text))) for text in ("4 g honey", "9 g sugar"))
        self.assertEqual(len(merged(SINCE, ours, others).clashes), 1)

    @given(st.permutations(range(4)), st.permutations(range(4)), st.sets(st.integers(0, 3)), st.sets(st.integers(0, 3)))
    def test_nothing_is_lost_or_doubled(
        self, mine: list[int], theirs: list[int], mine_has: set[int], theirs_has: set[int]
    ) -> None:
        """Lines moved and removed on both sides: what both keep is there once, what one removed is gone."""
        since = Draft("x", mix=lines("a", "b", "c", "d"))
        ours = replace(since, mix=tuple(since.mix[one] for one in mine if one in mine_has))
        others = replace(since, mix=tuple(since.mix[one] for one in theirs if one in theirs_has))
        found = [since.mix.index(one) for one in merged(since, ours, others).draft.mix]
        self.assertEqual(sorted(found), sorted(mine_has & theirs_has))
        if ours == since:
            self.assertEqual(merged(since, ours, others).draft, others)
        if others == since:
            self.assertEqual(merged(since, ours, others).draft, ours)
