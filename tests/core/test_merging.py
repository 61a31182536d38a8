"""Taking one kitchen into another: nothing is lost, the same twice is once, and what differs stands beside."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given, settings

from tests.drafts import NOW, steak
from tests.strategies import whole_kitchens
from vadouvan.core.interpretation.shared import SharedSaid
from vadouvan.core.parsing.label import LabelSaid
from vadouvan.core.snapshot.kitchen import KitchenSettings, OwnLabel, WholeBatch, WholeKitchen, WholeVerdict
from vadouvan.core.snapshot.merging import BESIDE, Merge, merged
from vadouvan.core.tasting.verdict import VerdictSaid
from vadouvan.core.weighing.event import Noted, Press
from vadouvan.data.tables import shipped_kitchen

ONE = WholeBatch("one", steak("10 g salt"), NOW)
SALTY = WholeVerdict(VerdictSaid("Odile", {"salt": "far too much"}), NOW)
MILD = WholeVerdict(VerdictSaid("Tobiah", {"salt": "just right"}), NOW)


def after(here: WholeKitchen, merge: Merge) -> WholeKitchen:
    """The kitchen with what a merge brings, by identity."""
    batches = {batch.id: batch for batch in (*here.batches, *merge.batches)}
    old, new = here.settings, merge.settings
    both = KitchenSettings(new.routine or old.routine, new.shared or old.shared, new.household or old.household)
    return WholeKitchen(tuple(batches.values()), (*here.labels, *merge.labels), (*here.cuts, *merge.cuts), both)


def fate(merge: Merge) -> str:
    """What became of the one thing that was told."""
    (told,) = merge.told
    return told.fate


class Rules(unittest.TestCase):
    """One batch against its like."""

    def test_new_same_and_added_to(self) -> None:
        """It comes in; a second time nothing does; another eater's verdict and further presses are added."""
        here = WholeKitchen((ONE,))
        self.assertEqual(fate(merged(WholeKitchen(), here)), "new")
        self.assertEqual(fate(merged(here, here)), "same")
        pressed = replace(ONE, presses=(Noted(1, NOW, Press("turned")),), verdicts=(SALTY,))
        merge = merged(WholeKitchen((replace(ONE, verdicts=(MILD,)),)), WholeKitchen((pressed,)))
        self.assertEqual(fate(merge), "added_to")
        self.assertEqual(merge.batches[0].verdicts, (MILD, SALTY))
        self.assertEqual(merge.batches[0].presses, pressed.presses)

    def test_what_is_ahead_here_stays(self) -> None:
        """An older archive takes nothing away."""
        ahead = replace(ONE, verdicts=(SALTY,), presses=(Noted(1, NOW, Press("turned")),))
        merge = merged(WholeKitchen((ahead,)), WholeKitchen((ONE,)))
        self.assertEqual((fate(merge), merge.batches), ("same", ()))

    def test_an_archive_without_the_drafts_that_presses_changed_is_the_same(self) -> None:
        """Older ones have none: what is here stays, and what was taken from one gains them."""
        bare = replace(ONE, presses=(Noted(1, NOW, Press("turned")),))
        full = replace(ONE, presses=(replace(bare.presses[0], before=steak("9 g salt")),))
        self.assertEqual(fate(merged(WholeKitchen((full,)), WholeKitchen((bare,)))), "same")
        self.assertEqual(merged(WholeKitchen((bare,)), WholeKitchen((full,))).batches, (full,))

    def test_another_state_stands_beside_and_only_once(self) -> None:
        """Another amount, other presses, or another word of the same eater: beside, with its descendants."""
        others = (
            replace(ONE, draft=steak("12 g salt")),
            replace(ONE, presses=(Noted(1, NOW, Press("turned")),)),
            replace(ONE, verdicts=(replace(SALTY, said=VerdictSaid("Odile", {"salt": "just right"})),)),
        )
        mine = replace(ONE, presses=(Noted(1, NOW, Press("fridge", celsius=5.0)),), verdicts=(SALTY,))
        here = WholeKitchen((mine,))
        for other in others:
            child = WholeBatch("child", steak("9 g salt"), NOW, from_id="one", changed=("less salt",))
            there = WholeKitchen((other, child))
            merge = merged(here, there)
            with self.subTest(other=other):
                self.assertEqual([one.fate for one in merge.told], ["beside", "new"])
                beside, taken = merge.batches
                self.assertNotEqual(beside.id, "one")
                self.assertEqual(beside.draft.name, f"Test{BESIDE}")
                self.assertEqual(taken.from_id, beside.id)
                again = merged(after(here, merge), there)
                self.assertEqual((again.batches, {one.fate for one in again.told}), ((), {"same"}))
                turned = merged(here, WholeKitchen((child, other)))
                self.assertEqual(turned.batches, merge.batches, "whatever their order")

    def test_own_cuts_and_ingredients(self) -> None:
        """Another label under the same identity gets a name of its own; batches follow their cut."""
        kind = replace(shipped_kitchen().cuts["beef_sirloin"], id="mine")
        thick = replace(kind, thickness_m=0.05)
        label = OwnLabel("l", LabelSaid("Harbour sauce", label="Salt 10 g"))
        batch = WholeBatch("b", replace(ONE.draft, cut=replace(ONE.draft.cut, kind="mine")), NOW)
        there = WholeKitchen((batch,), (OwnLabel("l", replace(label.said, label="Salt 12 g")),), (thick,))
        merge = merged(WholeKitchen((), (label,), (kind,)), there)
        self.assertEqual([one.fate for one in merge.told], ["beside", "beside", "new"])
        self.assertEqual(merge.labels[0].said.name, f"Harbour sauce{BESIDE}")
        self.assertEqual(merge.batches[0].draft.cut.kind, merge.cuts[0].id)

    def test_settings_stay_unless_asked(self) -> None:
        """Taken over where nothing was set; else only if that is asked for."""
        small, large = (KitchenSettings(shared=SharedSaid(litres)) for litres in ("20 l", "40 l"))
        there = WholeKitchen(settings=large)
        cases = ((KitchenSettings(), False, "new"), (small, False, "kept"), (small, True, "replaced"))
        for mine, wanted, expected in (*cases, (large, True, "same")):
            merge = merged(WholeKitchen(settings=mine), there, with_settings=wanted)
            with self.subTest(expected):
                self.assertEqual(fate(merge), expected)
                self.assertEqual(merge.settings.shared, large.shared if expected in ("new", "replaced") else None)


class Properties(unittest.TestCase):
    """Of any two kitchens."""

    @settings(max_examples=60, deadline=None)
    @given(whole_kitchens, whole_kitchens)
    def test_nothing_is_lost_and_a_second_time_nothing_comes(self, here: WholeKitchen, there: WholeKitchen) -> None:
        """All that was here is here, all of the other's words are here, and taking it in again changes nothing."""
        merge = merged(here, there)
        both = after(here, merge)
        self.assertLessEqual({batch.id for batch in here.batches}, {batch.id for batch in both.batches})
        drafts = [replace(batch.draft, name="") for batch in both.batches]
        self.assertTrue(all(replace(batch.draft, name="") in drafts for batch in there.batches))
        again = merged(both, there)
        self.assertEqual((again.batches, again.labels, again.cuts), ((), (), ()))

    @settings(max_examples=30, deadline=None)
    @given(whole_kitchens)
    def test_into_an_empty_kitchen_it_is_the_same(self, there: WholeKitchen) -> None:
        """Taken into nothing, it is what it was."""
        self.assertEqual(after(WholeKitchen(), merged(WholeKitchen(), there)), there)


if __name__ == "__main__":
    unittest.main()
