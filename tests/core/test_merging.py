"""Taking one kitchen into another: nothing is lost, the same twice is once, and what differs stands beside."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given, settings

from tests import drawn
from tests.drafts import NOW, steak
from tests.strategies import whole_kitchens
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.snapshot.merging import BESIDE, Merge, merged
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.data.tables import shipped_kitchen

ONE = BatchSnapshot("one", steak("10 g salt"), NOW)
SALTY = VerdictSnapshot(VerdictInput("Odile", {"salt": "far too much"}), NOW)
MILD = VerdictSnapshot(VerdictInput("Tobiah", {"salt": "just right"}), NOW)


def after(here: KitchenSnapshot, merge: Merge) -> KitchenSnapshot:
    """The kitchen with what a merge brings, by identity."""
    batches = {batch.id: batch for batch in (*here.batches, *merge.batches)}
    old, new = here.settings, merge.settings
    both = KitchenSettings(new.routine or old.routine, new.shared or old.shared, new.household or old.household)
    return KitchenSnapshot(tuple(batches.values()), (*here.labels, *merge.labels), (*here.cuts, *merge.cuts), both)


def fate(merge: Merge) -> str:
    """What became of the one thing that was told."""
    (told,) = merge.told
    return told.fate


class Rules(unittest.TestCase):
    """One batch against its like."""

    def test_new_same_and_added_to(self) -> None:
        """It comes in; a second time nothing does; another eater's verdict and further presses are added."""
        here = KitchenSnapshot((ONE,))
        self.assertEqual(fate(merged(KitchenSnapshot(), here)), "new")
        self.assertEqual(fate(merged(here, here)), "same")
        pressed = replace(ONE, events=(LoggedEvent(1, NOW, CounterEvent("turned")),), verdicts=(SALTY,))
        merge = merged(KitchenSnapshot((replace(ONE, verdicts=(MILD,)),)), KitchenSnapshot((pressed,)))
        self.assertEqual(fate(merge), "added_to")
        self.assertEqual(merge.batches[0].verdicts, (MILD, SALTY))
        self.assertEqual(merge.batches[0].events, pressed.events)

    def test_what_is_ahead_here_stays(self) -> None:
        """An older archive takes nothing away."""
        ahead = replace(ONE, verdicts=(SALTY,), events=(LoggedEvent(1, NOW, CounterEvent("turned")),))
        merge = merged(KitchenSnapshot((ahead,)), KitchenSnapshot((ONE,)))
        self.assertEqual((fate(merge), merge.batches), ("same", ()))

    def test_an_archive_without_the_drafts_that_presses_changed_is_the_same(self) -> None:
        """Older ones have none: what is here stays, and what was taken from one gains them."""
        bare = replace(ONE, events=(LoggedEvent(1, NOW, CounterEvent("turned")),))
        full = replace(ONE, events=(replace(bare.events[0], before=steak("9 g salt")),))
        self.assertEqual(fate(merged(KitchenSnapshot((full,)), KitchenSnapshot((bare,)))), "same")
        self.assertEqual(merged(KitchenSnapshot((bare,)), KitchenSnapshot((full,))).batches, (full,))

    def test_another_state_stands_beside_and_only_once(self) -> None:
        """Another amount, other presses, or another word of the same eater: beside, with its descendants."""
        others = (
            replace(ONE, draft=steak("12 g salt")),
            replace(ONE, events=(LoggedEvent(1, NOW, CounterEvent("turned")),)),
            replace(ONE, verdicts=(replace(SALTY, said=VerdictInput("Odile", {"salt": "just right"})),)),
        )
        mine = replace(ONE, events=(LoggedEvent(1, NOW, CounterEvent("fridge", celsius=5.0)),), verdicts=(SALTY,))
        here = KitchenSnapshot((mine,))
        for other in others:
            child = BatchSnapshot("child", steak("9 g salt"), NOW, from_id="one", changed=("less salt",))
            there = KitchenSnapshot((other, child))
            merge = merged(here, there)
            with self.subTest(other=other):
                self.assertEqual([one.fate for one in merge.told], ["beside", "new"])
                beside, taken = merge.batches
                self.assertNotEqual(beside.id, "one")
                self.assertEqual(beside.draft.name, f"Test{BESIDE}")
                self.assertEqual(taken.from_id, beside.id)
                again = merged(after(here, merge), there)
                self.assertEqual((again.batches, {one.fate for one in again.told}), ((), {"same"}))
                turned = merged(here, KitchenSnapshot((child, other)))
                self.assertEqual(turned.batches, merge.batches, "whatever their order")

    def test_own_cuts_and_ingredients(self) -> None:
        """Another label under the same identity gets a name of its own; batches follow their cut."""
        kind = replace(shipped_kitchen().cuts["beef_sirloin"], id="mine")
        thick = replace(kind, thickness_m=0.05)
        label = OwnLabel("l", LabelInput("Harbour sauce", label="Salt 10 g"))
        batch = BatchSnapshot("b", replace(ONE.draft, cut=replace(ONE.draft.cut, kind="mine")), NOW)
        there = KitchenSnapshot((batch,), (OwnLabel("l", replace(label.said, label="Salt 12 g")),), (thick,))
        merge = merged(KitchenSnapshot((), (label,), (kind,)), there)
        self.assertEqual([one.fate for one in merge.told], ["beside", "beside", "new"])
        self.assertEqual(merge.labels[0].said.name, f"Harbour sauce{BESIDE}")
        self.assertEqual(merge.batches[0].draft.cut.kind, merge.cuts[0].id)

    def test_settings_stay_unless_asked(self) -> None:
        """Taken over where nothing was set; else only if that is asked for."""
        small, large = (KitchenSettings(shared=SharedInput(litres)) for litres in ("20 l", "40 l"))
        there = KitchenSnapshot(settings=large)
        cases = ((KitchenSettings(), False, "new"), (small, False, "kept"), (small, True, "replaced"))
        for mine, wanted, expected in (*cases, (large, True, "same")):
            merge = merged(KitchenSnapshot(settings=mine), there, with_settings=wanted)
            with self.subTest(expected):
                self.assertEqual(fate(merge), expected)
                self.assertEqual(merge.settings.shared, large.shared if expected in ("new", "replaced") else None)


class Properties(unittest.TestCase):
    """Of any two kitchens."""

    @settings(max_examples=drawn(60))
    @given(whole_kitchens, whole_kitchens)
    def test_nothing_is_lost_and_a_second_time_nothing_comes(
        self, here: KitchenSnapshot, there: KitchenSnapshot
    ) -> None:
        """All that was here is here, all of the other's words are here, and taking it in again changes nothing."""
        merge = merged(here, there)
        both = after(here, merge)
        self.assertLessEqual({batch.id for batch in here.batches}, {batch.id for batch in both.batches})
        drafts = [replace(batch.draft, name="") for batch in both.batches]
        self.assertTrue(all(replace(batch.draft, name="") in drafts for batch in there.batches))
        again = merged(both, there)
        self.assertEqual((again.batches, again.labels, again.cuts), ((), (), ()))

    @settings(max_examples=drawn(30))
    @given(whole_kitchens)
    def test_into_an_empty_kitchen_it_is_the_same(self, there: KitchenSnapshot) -> None:
        """Taken into nothing, it is what it was."""
        self.assertEqual(after(KitchenSnapshot(), merged(KitchenSnapshot(), there)), there)


if __name__ == "__main__":
    unittest.main()
