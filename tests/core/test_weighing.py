"""The weigh-in: order, tolerances, advice, what is judged, and that no presses lead around the record."""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import datetime, timedelta

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, SATURDAY, of_kind
from tests.mixes import KITCHEN
from vadouvan.core.draft.typed import CompanionInput, Draft, QuantityInput
from vadouvan.core.judgement.judge import judge
from vadouvan.core.weighing.advice import advice_on
from vadouvan.core.weighing.as_weighed import as_weighed
from vadouvan.core.weighing.event import KINDS, CounterEvent, EventKind, LoggedEvent
from vadouvan.core.weighing.lines import lines_to_weigh, tolerance
from vadouvan.core.weighing.locking import refuse_what_is_locked
from vadouvan.core.weighing.rules import Counter, check
from vadouvan.core.weighing.session import Session, carry_out, session_of
from vadouvan.core.weighing.state import WeighState, state_of
from vadouvan.devices.simulated import SCALE_STEP_G, SimulatedScale
from vadouvan.errors import InputError
from vadouvan.formats.weighing_out import weigh_out

ITEMS = KITCHEN.pantry.by_id
SKEWERS = replace(
    of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil"),
    meal=replace(SATURDAY, at="2026-11-25T22:00"),
)
LINES = lines_to_weigh(judge(SKEWERS, KITCHEN, now=NOW))


class Table:
    """A batch at the counter whose presses are kept in a list, with a clock that goes on by itself."""

    def __init__(self, draft: Draft = SKEWERS, now: datetime = NOW) -> None:
        self.draft, self.now, self.logged = draft, now, list[LoggedEvent]()

    @property
    def session(self) -> Session:
        """Where it stands."""
        return session_of(self.draft, self.logged, KITCHEN, now=self.now)

    @property
    def record(self) -> WeighState:
        """What has happened."""
        return state_of(self.logged)

    def event(self, kind: str, line_id: str = "", grams: float | None = None, **more: object) -> None:
        """Press; a minute goes by."""
        mass_kg = None if grams is None else grams / 1000
        event = CounterEvent(kind, line_id, mass_kg, **{"sure": True, **more})  # type: ignore[arg-type]
        carried = carry_out(self.session, event, KITCHEN, now=self.now)
        self.logged.append(carried.logged)
        self.draft = carried.draft or self.draft
        self.now += timedelta(minutes=1)

    def weigh_all(self) -> None:
        """Every line as planned."""
        for line in self.session.lines:
            self.event("weighed", line.id, line.mass_kg * 1000)

    def to_contact(self, meat_g: float = 1000.0) -> None:
        """All of it, by the book."""
        self.weigh_all()
        self.event("tasted", words="good")
        self.event("set_aside", grams=0)
        self.event("contact", grams=meat_g, celsius=4.0)


class Order(unittest.TestCase):
    """None can be skipped by accident."""

    def refused(self, table: Table, says: str, kind: str, *args: object, **more: object) -> None:
        """Assert that a press is refused with words and what would do."""
        with self.assertRaises(InputError) as caught:
            table.event(kind, *args, **more)  # type: ignore[arg-type]
        self.assertIn(says, str(caught.exception))
        self.assertTrue(caught.exception.accepted)

    def test_by_the_book(self) -> None:
        """Weigh, taste, set aside, contact, hold, out: each phase after the other."""
        table = Table()
        self.assertEqual(table.session.counter.phase, "weigh")
        table.weigh_all()
        self.assertEqual(table.session.counter.phase, "taste")
        table.event("tasted", words="good")
        self.assertEqual(table.session.counter.phase, "set_aside")
        table.event("set_aside", grams=20)
        self.assertEqual(table.session.counter.phase, "contact")
        table.event("contact", grams=980, celsius=5.0)
        self.assertEqual(table.session.counter.phase, "hold")
        table.event("pulled")
        self.assertEqual(table.session.counter.phase, "out")

    def test_each_waits_for_the_one_before(self) -> None:
        """Contact before tasting and setting aside, tasting before all is weighed, turning before contact."""
        table = Table()
        self.refused(table, "Not weighed yet: table salt and lemon juice and olive oil", "contact")
        self.refused(table, "Not weighed yet", "tasted")
        self.refused(table, "not in the mix yet", "turned")
        table.weigh_all()
        self.refused(table, "has not been tasted", "set_aside", grams=0)
        table.event("tasted")
        self.refused(table, "Nothing is said of a clean part", "contact")

    def test_what_stands_beside_the_mix(self) -> None:
        """Weighed as planned or as told, before contact and after; taken back; nothing of the mix moves by it."""
        table = Table(
            replace(SKEWERS, companions=(CompanionInput("1", title="Glaze", text="60 g honey\n20 g mustard"),))
        )
        table.event("beside", "1/0")
        self.assertEqual((table.record.beside, table.record.total_kg), ({"1/0": 0.06}, 0.0))
        self.assertEqual(table.session.counter.phase, "weigh")
        self.assertEqual(weigh_out(table.session, (), NOW).last_says, "honey weighed beside it: 60 g")
        self.refused(table, "was not weighed", "beside_back", "1/1")
        self.refused(table, "does not stand beside the mix", "beside", "2/0")
        table.to_contact()
        table.event("beside", "1/1", 23.0)
        self.assertEqual(table.record.beside, {"1/0": 0.06, "1/1": 0.023})
        table.event("undone")
        table.event("beside_back", "1/0")
        self.assertEqual(table.record.beside, {})
        self.assertTrue(table.record.is_locked)

    def test_skipped_lines_stay_open_until_weighed_or_left_out(self) -> None:
        """Skipped is not decided; it is asked for at the end."""
        table = Table()
        table.event("skipped", "1")
        table.event("weighed", "2", 50)
        table.event("weighed", "3", 40)
        self.refused(table, "Not weighed yet: table salt", "tasted")
        table.event("left_out", "1")
        table.event("tasted")
        self.assertEqual(table.session.counter.phase, "set_aside")

    def test_after_the_clean_part_nothing_goes_into_one_of_the_two(self) -> None:
        """Tip it back first."""
        table = Table()
        table.weigh_all()
        table.event("tasted")
        table.event("set_aside", grams=30)
        self.refused(table, "not be the same mix", "added", grams=5, words="lemon juice")
        table.event("tipped_back")
        table.event("added", grams=5, words="lemon juice")

    def test_contact_is_made_once(self) -> None:
        """Pressed again it says when it went in; the mix is locked."""
        table = Table()
        table.to_contact()
        self.refused(table, "It went in at", "contact", grams=900)
        self.refused(table, "is locked", "weighed", "1", 5)

    def test_numbers_that_cannot_be(self) -> None:
        """Less than nothing, 300 C, meat heavier than the tub, more set aside than there is, words that are nothing."""
        table = Table(replace(SKEWERS, quantity=QuantityInput(container="tub", size="0.5 l")))
        self.refused(table, "cannot be weighed in", "weighed", "1", -37)
        self.refused(table, "cannot be weighed in", "weighed", "1", 0)
        self.refused(table, "no line", "weighed", "9", 5)
        self.refused(table, "not in the pantry", "added", grams=5, words="moon dust")
        self.refused(table, "is for curing", "added", grams=5, words="curing salt")
        table.weigh_all()
        table.event("tasted")
        self.refused(table, "Only 102 g were weighed in", "set_aside", grams=500)
        table.event("set_aside", grams=0)
        self.refused(table, "does not fit", "contact", grams=5000)
        self.refused(table, "cannot be right", "contact", grams=300, celsius=300.0)
        table.event("contact", grams=300, celsius=4.0)
        table.event("pulled")
        self.refused(table, "300 °C cannot be right", "probe", celsius=300.0)

    def test_a_clock_set_back(self) -> None:
        """An hour back: presses stay in their order, none is earlier than the one before."""
        table = Table()
        table.to_contact()
        table.now -= timedelta(hours=1)
        table.event("turned")
        contact = table.record.contact
        assert contact is not None
        self.assertGreaterEqual(table.record.turned_at[0], contact.at)


class Amounts(unittest.TestCase):
    """Tolerances and totals."""

    def test_salt_matters_and_oil_does_not(self) -> None:
        """For a kilogram of meat 2 g are too much salt, and nothing in 80 g of oil."""
        salt, guards = tolerance(ITEMS["salt_table"], 0.012, 1.0)
        oil, _ = tolerance(ITEMS["oil_olive"], 0.080, 1.0)
        self.assertLess(salt, 0.002)
        self.assertEqual(guards, "salt")
        self.assertGreater(oil, 0.002)

    def test_tolerance_is_what_the_balance_bears(self) -> None:
        """Off by the tolerance, salt on the meat moves by 0.25 g/kg at most: 2 % of the usual 12.5."""
        for name in ("salt_table", "soy_regular", "miso_white"):
            item = ITEMS[name]
            off, _ = tolerance(item, 0.1, 2.0)
            self.assertLessEqual(off * item.salt.value / 2.0, 0.00025 + 1e-9)

    @settings(max_examples=drawn(100))
    @given(st.lists(st.tuples(st.sampled_from(["1", "2", "3"]), st.floats(0.5, 200)), min_size=1, max_size=12))
    def test_the_total_is_the_sum_of_the_tares(self, parts: list[tuple[str, float]]) -> None:
        """Read off a noisy scale, several tares in one bowl, one taken back: nothing is lost on the way."""
        scale, at = SimulatedScale(seed=len(parts)), NOW
        logged: list[LoggedEvent] = []
        for line, grams in parts:
            before = scale.read(at).value or 0.0
            scale.put(grams, at)
            at += timedelta(seconds=6)
            shown = (scale.read(at).value or 0.0) - before
            self.assertAlmostEqual(shown, grams, delta=3 * SCALE_STEP_G)
            if shown > 0:
                logged.append(LoggedEvent(len(logged) + 1, at, CounterEvent("weighed", line, shown / 1000)))
        self.assertAlmostEqual(state_of(logged).total_kg * 1000, scale.read(at).value or 0.0, delta=2 * SCALE_STEP_G)
        if logged:
            last = logged[-1].event
            logged.append(LoggedEvent(len(logged) + 1, at, CounterEvent("taken_back", last.line_id)))
            rest = sum(one.event.mass_kg or 0.0 for one in logged[:-2])
            self.assertAlmostEqual(state_of(logged).total_kg, rest, places=9)

    def test_a_spoon_stands_beside_the_gram(self) -> None:
        """12 g of fine salt are about two teaspoons; no spoon for half a kilogram of yoghurt."""
        spoons = {line.name: line.spoon for line in Table().session.lines}
        self.assertRegex(spoons["table salt"], r"^(2|2 1/4) tsp$")
        yoghurt = of_kind("chicken_breast", "1 kg", "slab", "24 mm", "500 g yoghurt")
        self.assertEqual(lines_to_weigh(judge(yoghurt, KITCHEN, now=NOW))[0].spoon, "")

    def test_two_bowls_for_two_steps(self) -> None:
        """What goes on first is weighed first, into a bowl of its own."""
        draft = replace(SKEWERS, mix=(SKEWERS.mix[0], replace(SKEWERS.mix[1], first="yes"), SKEWERS.mix[2]))
        lines = Table(draft).session.lines
        self.assertEqual([(line.id, line.bowl) for line in lines], [("2", "first"), ("1", "main"), ("3", "main")])


class Overshoot(unittest.TestCase):
    """Answered at once, with what to change elsewhere."""

    def test_another_salty_line_makes_up_for_it(self) -> None:
        """6 g too much salt, soy still to come: less soy, and the salt is as aimed again."""
        draft = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "6 g salt", "43 g soy sauce", "40 g olive oil")
        table = Table(replace(draft, hold=replace(draft.hold, salt_target="11.3")))
        table.event("weighed", "1", 8)
        (advice,) = advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW)
        (change,) = [one for one in advice.changes if one.line_id == "2"]
        self.assertLess(change.after_kg, change.before_kg - 0.005)
        taken = tuple(replace(line, text=change.text) if line.id == "2" else line for line in table.draft.mix)
        present = as_weighed(replace(table.draft, mix=taken), table.session.lines, table.record)
        salt = judge(present, KITCHEN, now=NOW).salt
        assert salt is not None
        self.assertEqual(salt.says, "salt as aimed")

    def test_water_takes_no_salt_out_of_a_paste(self) -> None:
        """52 g soy instead of 35: it advised 11 g of water. What is told lowers the salt, and says how far."""
        draft = of_kind("chicken_thigh", "1 kg", "", "", "35 g soy sauce", "8 g salt", "30 g honey", "20 g garlic")
        table = Table(draft)
        for line_id, grams in (("2", 8.0), ("3", 30.0), ("4", 20.0), ("1", 52.0)):
            table.event("weighed", line_id, grams)
        (advice,) = advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW)
        self.assertEqual(advice.says, "17 g too much soy sauce. This helps:")
        self.assertEqual([way.id for way in advice.ways], ["take-out", "meat", "jar", "go-on"])
        self.assertFalse(any("water" in way.says for way in advice.ways))
        for way in advice.ways[:-1]:
            self.assertRegex(way.says, r"salt 15 to 13 g/kg$")
        self.assertRegex(advice.ways[-1].says, r"salty at 15 g/kg; rinse and pat .* about 1\d$")

    def test_more_meat_and_a_larger_mix_do_what_they_say(self) -> None:
        """Carried out by hand, the salt comes to the figure told."""
        draft = of_kind("chicken_thigh", "1 kg", "", "", "16 g salt", "60 g honey")
        table = Table(replace(draft, hold=replace(draft.hold, salt_target="16")))
        table.event("weighed", "2", 60)
        table.event("weighed", "1", 20)
        (advice,) = advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW)
        ways = {way.id: way.says for way in advice.ways}
        self.assertEqual(ways["meat"], "250 g more meat: salt 20 to 16 g/kg")
        self.assertIn("15 g more honey) and keep 19 g of the mix clean in a jar: salt 20 to 16 g/kg", ways["jar"])

    def test_a_bath_is_brought_back_with_water(self) -> None:
        """80 g of salt for 58 in two litres round a crown."""
        table = Table(of_kind("turkey_breast", "2.5 kg", "", "", "2 l water", "58 g salt"))
        table.event("weighed", "1", 2000)
        table.event("weighed", "2", 80)
        (advice,) = advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW)
        water = next(way for way in advice.ways if way.id == "more-water")
        grams = float(water.text.split()[0])
        present = as_weighed(table.draft, table.session.lines, table.record)
        more = replace(present, mix=(*present.mix, replace(present.mix[0], id="9", text=water.text)))
        salt = judge(more, KITCHEN, now=NOW).salt
        assert salt is not None
        planned = judge(table.draft, KITCHEN, now=NOW).salt
        assert planned is not None
        self.assertTrue(grams > 500)
        self.assertAlmostEqual(salt.settles_g_per_kg, planned.settles_g_per_kg, delta=0.1)

    def test_as_planned_and_nothing_helps_are_never_both_said(self) -> None:
        """Too much oil, or garlic, moves no salt: so it is told, and no way is sought."""
        table = Table()
        table.event("weighed", "3", 80)
        (advice,) = advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW)
        self.assertEqual((advice.ways, advice.changes), ((), ()))
        self.assertEqual(advice.says, "40 g too much olive oil. Take some out again, or go on with it.")

    def test_two_grams_of_oil_are_no_overshoot(self) -> None:
        """Nothing is said."""
        table = Table()
        table.event("weighed", "3", 42)
        self.assertEqual(advice_on(table.draft, table.session.lines, table.record, KITCHEN, now=NOW), [])


class Judged(unittest.TestCase):
    """The hold is judged from what was weighed."""

    def test_as_weighed_not_as_planned(self) -> None:
        """Half as much salt again in the bowl is so much more in the judgement, and in the draft after contact."""
        table = Table()
        table.event("weighed", "1", 18)
        table.event("weighed", "2", 50)
        table.event("left_out", "3")
        table.event("tasted")
        table.event("added", grams=10, words="honey")
        table.event("set_aside", grams=0)
        table.event("contact", grams=900, celsius=4.0)
        mix = judge(table.draft, KITCHEN, now=table.now).mix
        assert mix is not None
        self.assertAlmostEqual(mix.at_contact.balance.total("salt").value * 0.9 * 1000, 18, delta=0.4)
        self.assertEqual([line.text for line in table.draft.mix], ["18 g table salt", "50 g lemon juice", "10 g honey"])
        self.assertEqual(table.draft.cut.mass, "900 g")
        plan = judge(table.draft, KITCHEN, now=table.now).plan
        contact = table.record.contact
        assert plan is not None
        assert contact is not None
        self.assertEqual(plan.contact_at, contact.at)

    def test_later_additions_are_recorded_as_such(self) -> None:
        """Added an hour later: in the mix that is judged, and told with its hour."""
        table = Table()
        table.to_contact()
        table.now += timedelta(hours=1)
        table.event("later", grams=15, words="soy sauce")
        self.assertEqual(table.draft.mix[-1].text, "15 g soy sauce")
        self.assertEqual(table.record.later[0].words, "soy sauce")

    def test_fridge_readings_count(self) -> None:
        """Noted two hours in: the course of temperatures the hold is judged by; warm ones count as out of the cold."""
        table = Table()
        table.to_contact()
        contact = table.record.contact
        assert contact is not None
        table.now = contact.at + timedelta(hours=2)
        table.event("fridge", celsius=7.0)
        self.assertEqual(table.draft.hold.readings, "0 h 4 C, 2 h 7 C")
        table.now += timedelta(hours=1)
        table.event("fridge", celsius=4.0)
        warm, cold = (judge(one, KITCHEN, now=table.now).window for one in (table.draft, self.kept_cold(table.draft)))
        assert warm is not None
        assert cold is not None
        self.assertLess(warm.keeps_h, cold.keeps_h - 0.5)

    @staticmethod
    def kept_cold(draft: Draft) -> Draft:
        """The same, in a fridge at 4 C throughout."""
        return replace(draft, hold=replace(draft.hold, readings=""))

    def test_pull_now(self) -> None:
        """Answered at any moment: not yet, yes, past its best, no more."""
        table = Table()
        table.to_contact()
        contact = table.record.contact
        assert contact is not None
        for hours, says in (
            (0.5, "It may go straight to the heat"),
            (5, "It may"),
            (8, "at its best"),
            (20, "nearly as good as at its best"),
            (38, "past its best"),
            (60, "It has been raw for"),
        ):
            meal = replace(table.draft.meal, at="2026-12-03T19:00")
            judgement = judge(replace(table.draft, meal=meal), KITCHEN, now=contact.at + timedelta(hours=hours))
            self.assertIn(says, judgement.pull_now, hours)

    def test_what_is_locked(self) -> None:
        """Cut and mix are; plan, hold, fire and name are not."""
        other = replace(
            SKEWERS, name="x", meal=replace(SATURDAY, lead="90 min"), hold=replace(SKEWERS.hold, fridge="3")
        )
        less = replace(SKEWERS, mix=SKEWERS.mix[1:], cut=replace(SKEWERS.cut, mass="2 kg"))
        moved = replace(SKEWERS, meal=replace(SATURDAY, contact="2026-11-27T20:00+00:00"))
        met = LoggedEvent(1, NOW, CounterEvent("contact"))
        refuse_what_is_locked(SKEWERS, less, [])
        refuse_what_is_locked(SKEWERS, other, [met])
        for after, field in ((less, "mix"), (moved, "meal")):
            with self.subTest(field), self.assertRaises(InputError) as refused:
                refuse_what_is_locked(SKEWERS, after, [met])
            self.assertEqual(refused.exception.field, field)


class AnyPresses(unittest.TestCase):
    """No sequence of presses reaches a locked mix without a record."""

    @settings(max_examples=drawn(300))
    @given(
        st.lists(
            st.tuples(
                st.sampled_from(KINDS), st.sampled_from(["", "1", "2", "3"]), st.sampled_from([None, 0.0, 0.005, 0.04])
            ),
            max_size=40,
        )
    )
    def test_a_locked_mix_was_weighed_tasted_and_set_aside(
        self, events: list[tuple[EventKind, str, float | None]]
    ) -> None:
        """Whatever is pressed, in whatever order: what is refused changes nothing, what is locked has all of it."""
        logged: list[LoggedEvent] = []
        for kind, line, mass_kg in events:
            event = CounterEvent(kind, line, mass_kg, 4.0, "honey")
            before = state_of(logged)
            try:
                check(event, Counter(LINES, before))
            except InputError:
                continue
            logged.append(LoggedEvent(len(logged) + 1, NOW, event))
            record = state_of(logged)
            if record.is_locked:
                self.assertTrue(all(record.is_decided(line) for line in ("1", "2", "3")))
                self.assertIsNotNone(record.verdict)
                self.assertIsNotNone(record.set_aside_kg)
            if before.is_locked:
                self.assertEqual(
                    (record.tares, record.added, record.contact), (before.tares, before.added, before.contact)
                )
