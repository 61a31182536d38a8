"""Recipes: ours by general JSON-LD tools, those of elsewhere read in; plain lists; what cannot be read."""

from __future__ import annotations

import html
import json
import subprocess
import tempfile
import unittest
from dataclasses import replace
from pathlib import Path
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st
from pyld import jsonld

from tests import drawn
from tests.drafts import NOW, judged
from tests.formats.test_archive import demo_whole
from vadouvan.core.draft.typed import CompanionInput, CutInput, Draft, LineInput, OccasionInput
from vadouvan.core.parsing.cut_name import cut_named, line_of
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import BadInput, FormatError
from vadouvan.formats.any_file import read_any
from vadouvan.formats.recipe import read_recipe, write_recipe
from vadouvan.use_cases.cards import card_of_batch

KITCHEN = shipped_kitchen()
CUTS = KITCHEN.cuts
WEB = Path(__file__).parents[2] / "web"
VOCABULARY = "https://schema.org/"
FOREIGN = {
    "@context": "https://schema.org",
    "@graph": [
        {"@type": "WebPage", "name": "A page"},
        {
            "@type": ["Recipe", "NewsArticle"],
            "name": "Harbour skewers",
            "recipeYield": ["4", "4 servings"],
            "recipeIngredient": ["1.2 kg lamb shoulder, cut in cubes", "2 tsp salt", "juice of 1 lemon"],
            "recipeInstructions": [{"@type": "HowToStep", "text": "Mix and wait."}],
        },
    ],
}


def ours(batch: BatchSnapshot) -> str:
    """The recipe of a batch."""
    return write_recipe(batch, card_of_batch(batch, KITCHEN, now=NOW), batch_path=f"../batches/{batch.id}.json")


class Outside(unittest.TestCase):
    """Our recipes by tools that know nothing of us."""

    def test_expanded_by_a_json_ld_processor(self) -> None:
        """pyld, with the vocabulary's plain context: every term becomes one of schema.org, none is dropped."""

        def context(_address: str, _options: Any = None) -> dict[str, Any]:
            document = {"@context": {"@vocab": VOCABULARY}}
            return {"contentType": "application/ld+json", "contextUrl": None, "documentUrl": "", "document": document}

        for batch in demo_whole().batches:
            raw = json.loads(ours(batch))
            (node,) = jsonld.expand(raw, {"documentLoader": context})
            with self.subTest(batch.draft.name):
                self.assertEqual(node["@type"], [f"{VOCABULARY}Recipe"])
                self.assertEqual(
                    [item["@value"] for item in node[f"{VOCABULARY}recipeIngredient"]], raw["recipeIngredient"]
                )
                self.assertEqual({f"{VOCABULARY}{key}" for key in raw if key[0] != "@"}, set(node) - {"@type"})

    def test_typed_by_the_vocabulary(self) -> None:
        """schema-dts (the vocabulary as TypeScript types) through tsc: no property of ours is unknown or of a wrong
        type; one that is unknown is found.
        """
        recipes = [json.loads(ours(batch)) for batch in demo_whole().batches]
        with tempfile.TemporaryDirectory(dir=WEB) as folder:
            ours_ts, wrong_ts = Path(folder) / "ours.ts", Path(folder) / "wrong.ts"
            ours_ts.write_text(_typescript(recipes))
            wrong_ts.write_text(_typescript([{**recipes[0], "marinatedFor": "12 h"}]))
            flags = ["--noEmit", "--strict", "--skipLibCheck", "--ignoreConfig"]
            command = [str(WEB / "node_modules/.bin/tsc"), *flags, str(ours_ts), str(wrong_ts)]
            done = subprocess.run(command, cwd=WEB, capture_output=True, text=True, check=False)
        faults = [line for line in done.stdout.splitlines() if ": error " in line]
        self.assertEqual([fault for fault in faults if "ours.ts" in fault], [], done.stdout)
        self.assertTrue(any("wrong.ts" in fault for fault in faults), done.stdout)
        self.assertIn("marinatedFor", done.stdout)


def _typescript(recipes: list[dict[str, Any]]) -> str:
    head = "import type { Recipe, WithContext } from 'schema-dts'\n"
    return head + "\n".join(
        f"export const r{number}: WithContext<Recipe> = {json.dumps(recipe)}" for number, recipe in enumerate(recipes)
    )


def plain_of(line: str) -> str:
    """A line of a page as it would be copied."""
    return html.unescape(line.removeprefix("<p>").removesuffix("</p>"))


class ReadIn(unittest.TestCase):
    """Recipes and lists to drafts."""

    def test_ours_come_back(self) -> None:
        """Name, cut, weight, thickness, lines and servings."""
        for batch in demo_whole().batches:
            back = read_recipe(ours(batch), KITCHEN)
            draft = batch.draft
            with self.subTest(draft.name):
                self.assertEqual(back.draft.name, draft.name)
                self.assertEqual(
                    (back.draft.cut.kind, back.draft.cut.mass, back.draft.cut.thickness),
                    (draft.cut.kind, draft.cut.mass, draft.cut.thickness),
                )
                self.assertEqual([line.text for line in back.draft.mix], [line.text for line in draft.mix])
                self.assertEqual(back.draft.occasion.servings, draft.occasion.servings)
                self.assertEqual(back.notes, ())

    @settings(max_examples=drawn(80))
    @given(
        st.sampled_from(sorted(CUTS)),
        st.integers(100, 9000),
        st.integers(2, 200),
        st.lists(st.text("abcdefgh é-'\"\\", min_size=1, max_size=20).map(str.strip).filter(bool), max_size=6),
        st.integers(1, 99),
    )
    def test_any_comes_back(self, kind: str, grams: int, mm: int, lines: list[str], servings: int) -> None:
        """Any cut of the table with any lines."""
        cut = CutInput(kind=kind, mass=f"{grams} g", thickness=f"{mm} mm")
        texts = ["5 g salt", *(" ".join(line.split()) for line in lines)]
        mix = tuple(LineInput(str(number), text) for number, text in enumerate(texts, start=1))
        draft = Draft("Any", cut, mix, occasion=OccasionInput(str(servings)))
        back = read_recipe(ours(BatchSnapshot("a", draft, NOW)), KITCHEN).draft
        self.assertEqual(back, draft)

    def test_what_stands_beside_comes_back(self) -> None:
        """A glaze, a gravy, and a mix whose name says nothing of its kind: each with its lines and as what it is."""
        beside = (
            CompanionInput("1", "", "honey glaze", "60 g honey\n20 g soy sauce"),
            CompanionInput("2", "sauce", "gravy", "300 ml chicken stock\n12 g cornflour"),
            CompanionInput("3", "coating", "paper white", "120 g cornflour"),
        )
        draft = Draft("Legs", CutInput("chicken_leg", "2.6 kg"), (LineInput("1", "30 g salt"),), companions=beside)
        text = ours(BatchSnapshot("a", draft, NOW))
        self.assertIn("For the paper white (coating):", text)
        back = read_recipe(text, KITCHEN).draft
        self.assertEqual([line.text for line in back.mix], ["30 g salt"])
        self.assertEqual([(one.title, one.text) for one in back.companions], [(one.title, one.text) for one in beside])
        kinds = [[one.kind for one in judged(found).reading.companions] for found in (draft, back)]
        self.assertEqual(kinds[0], kinds[1])

    def test_a_heading_among_the_ingredients_of_another_site(self) -> None:
        """A glaze goes beside the mix, what follows "For the marinade:" into it."""
        lines = ["2 tsp salt", "Glaze:", "60 g honey", "For the marinade:", "40 g oil"]
        recipe = json.dumps({"@type": "Recipe", "name": "Legs", "recipeIngredient": lines})
        draft = read_recipe(recipe, KITCHEN).draft
        self.assertEqual([line.text for line in draft.mix], ["2 tsp salt", "40 g oil"])
        self.assertEqual([(one.title, one.text) for one in draft.companions], [("Glaze", "60 g honey")])

    def test_one_from_elsewhere_is_read_as_a_list_is(self) -> None:
        """What is for the pan and what is to serve is left out and told; marks of a page are none of its words."""
        lines = [
            "<p>600g boneless chicken thighs, cut into 3cm pieces</p>", "1&frasl;4 cup soy sauce",
            "2 tbsp oil, for frying", "lemon wedges, to serve", "For the sauce:", "150g yogurt &amp; 1 tbsp tahini",
        ]  # fmt: skip
        recipe = {"@type": "Recipe", "name": "Soy &amp; lemon", "recipeIngredient": lines}
        brought = read_any(json.dumps(recipe), KITCHEN)
        pasted = read_any("Soy & lemon\n\n" + "\n".join(map(plain_of, lines)), KITCHEN)
        self.assertEqual(brought.draft, pasted.draft)
        self.assertEqual(brought.draft.cut.kind, "chicken_thigh")
        self.assertEqual([line.text for line in brought.draft.mix], ["1⁄4 cup soy sauce"])
        self.assertIn("Left out: 2 tbsp oil, for frying; lemon wedges, to serve.", brought.notes)
        marked = Draft("A &amp; B", CutInput("chicken_leg", "1 kg"), (LineInput("1", "5 g salt, <i>fine</i>"),))
        back = read_recipe(ours(BatchSnapshot("a", marked, NOW)), KITCHEN).draft
        self.assertEqual((back.name, back.mix), (marked.name, marked.mix))  # one of ours, as it was typed
        asked = read_any(json.dumps({**recipe, "recipeIngredient": ["4 chops", "12 g salt"]}), KITCHEN)
        self.assertIn("lamb_chop", [one.kind for one in asked.cuts_meant])

    def test_one_list_for_all_of_a_dish(self) -> None:
        """What its instructions, in sections or not, name only after the hold goes beside the mix."""
        steps = [
            {"@type": "HowToStep", "text": "Mix the yoghurt, cumin and salt, add the chicken and chill for 4 hours."},
            {"@type": "HowToStep", "text": "Fry the onion in the oil, add the chicken and its marinade, simmer."},
        ]
        sections = [{"@type": "HowToSection", "name": "All of it", "itemListElement": steps}]
        listed = ["1 kg chicken thighs", "200 g yoghurt", "2 tsp cumin", "12 g salt", "1 onion", "2 tbsp oil"]
        for told in (steps, sections, " ".join(step["text"] for step in steps)):
            recipe = {"@type": "Recipe", "name": "Pot", "recipeIngredient": listed, "recipeInstructions": told}
            draft = read_recipe(json.dumps(recipe), KITCHEN).draft
            self.assertEqual([line.text for line in draft.mix], listed[1:4])
            self.assertEqual([one.text for one in draft.companions], ["1 onion\n2 tbsp oil"])

    def test_from_elsewhere(self) -> None:
        """In a graph, in a list, in a page; yields and instructions as others write them."""
        page = f'<html><script type="application/ld+json">{json.dumps(FOREIGN)}</script><p>x</p></html>'
        graph = FOREIGN["@graph"]
        for text in (json.dumps(FOREIGN), json.dumps(graph), page):
            brought = read_any(text, KITCHEN)
            with self.subTest(text[:12]):
                self.assertEqual(brought.draft.name, "Harbour skewers")
                self.assertEqual((brought.draft.cut.kind, brought.draft.cut.mass), ("lamb_shoulder_cubes", "1.2 kg"))
                self.assertEqual([line.text for line in brought.draft.mix], ["2 tsp salt", "juice of 1 lemon"])
                self.assertEqual(brought.draft.occasion.servings, "4")
                self.assertIn("instructions were not taken over", " ".join(brought.notes))
        text_only = {"@type": "Recipe", "name": "One", "ingredients": "1 tbsp miso\n2 tbsp mirin", "recipeYield": 2}
        brought = read_any(json.dumps(text_only), KITCHEN)
        self.assertEqual([line.text for line in brought.draft.mix], ["1 tbsp miso", "2 tbsp mirin"])
        self.assertEqual(brought.draft.occasion.servings, "2")
        self.assertIn("No line names a cut", " ".join(brought.notes))

    def test_amounts_of_the_directions(self) -> None:
        """A spoon's full stop ends no sentence; what the list names alone has the amount that the directions give."""
        recipe = {
            "@type": "Recipe",
            "name": "Grilled chicken",
            "recipeIngredient": ["1½ lb. chicken breasts", "60 ml oil", "Kosher salt", "Freshly ground black pepper"],
            "recipeInstructions": ["Whisk oil, 1 tsp. salt, and 1/2 tsp. pepper. Add chicken; chill 2 hours."],
        }
        mix = [line.text for line in read_recipe(json.dumps(recipe), KITCHEN).draft.mix]
        self.assertEqual(mix, ["60 ml oil", "1/2 tsp. freshly ground black pepper", "1 tsp. kosher salt"])

    def test_plain_text(self) -> None:
        """A name, a cut, lines; what is under "Method:" is no ingredient."""
        text = "Harbour tofu\n\n800 g firm tofu\n2 tbsp tamarind paste\n1 tsp turmeric\n\nMethod:\nstir\nwait\n"
        brought = read_any(text, KITCHEN)
        self.assertEqual(brought.draft.name, "Harbour tofu")
        self.assertEqual((brought.draft.cut.kind, brought.draft.cut.mass), ("tofu_firm", "800 g"))
        self.assertEqual([line.text for line in brought.draft.mix], ["2 tbsp tamarind paste", "1 tsp turmeric"])
        two = read_any("For the paste:\n2 tbsp miso\nFor the glaze:\n1 tbsp honey", KITCHEN)
        self.assertEqual([line.text for line in two.draft.mix], ["2 tbsp miso"])
        self.assertIn('Beside the mix, under Plate, as "glaze": 1 tbsp honey.', " ".join(two.notes))
        self.assertEqual([(one.title, one.text) for one in two.draft.companions], [("glaze", "1 tbsp honey")])

    def test_a_table_in_two_units(self) -> None:
        """Each row is one line with both amounts; the head of a table is no name."""
        rows = "Supper brine\n\n| Ingredient | Metric | US |\n|---|---|---|\n| turkey | 6 kg | 13 lb |\n"
        brought = read_any(rows + "| salt | 300 g | 1 cup |\n| bay leaves | 4 | 4 |\n", KITCHEN)
        self.assertEqual((brought.draft.cut.kind, brought.draft.cut.mass), ("turkey_whole", "6 kg"))
        self.assertEqual([line.text for line in brought.draft.mix], ["300 g / 1 cup salt", "bay leaves, 4"])
        tabs = read_any("Ingredient\tAmount\nChicken thighs, boneless\t1 kg\nSoy sauce\t80 ml\n", KITCHEN)
        self.assertEqual((tabs.draft.name, tabs.draft.cut.kind), ("", "chicken_thigh"))

    def test_an_ingredient_is_no_part_of_the_name(self) -> None:
        """Prose with amounts in it is asked; a name may hold figures."""
        prose = "Flank steak. For 800 g flank steak you need 60 ml soy sauce, 30 ml lime juice and 2 tbsp brown sugar."
        brought = read_any(prose, KITCHEN)
        self.assertEqual(brought.draft.name, "")
        self.assertIn("60 ml soy sauce", brought.draft.mix[0].text)
        self.assertEqual(
            read_any("Cod in miso, 4 servings:\n\n600 g cod\n40 g miso\n", KITCHEN).draft.name[:11], "Cod in miso"
        )
        row = read_any("Kebabs: 750 g minced mutton, 8 g salt, 15 g papaya, 5 g cumin. Rest 1 hour.", KITCHEN)
        self.assertEqual((row.draft.cut.kind, row.draft.mix[-1].text), ("lamb_ground", "5 g cumin"))
        self.assertIn("Left out: Rest 1 hour", " ".join(row.notes))
        for name in ("Kebabs for 6", "Wings | Sunday", "Brine 5% for 2 kg", "Overnight (12 h) wings"):
            with self.subTest(name):
                self.assertEqual(read_any(f"{name}\n\n1 kg chicken wings\n12 g salt\n", KITCHEN).draft.name, name)

    def test_what_is_none(self) -> None:
        """Each says what would do; a cut short batch file is told as one."""
        cases = (
            ("{oops", "broken or not JSON.*Choose a batch file", FormatError),
            ("[]", "no recipe", FormatError),
            ('[{"@type": "Recipe", "name": "x"}]', "no ingredients", FormatError),
            ('{"@type": "Recipe", "recipeIngredient": []}', "no ingredients", FormatError),
            ("<html><script type='application/ld+json'>{</script></html>", "no JSON", FormatError),
            ("", "No ingredients", FormatError),
            ('{"format": "vadouvan-batch", "version": 1, "name": "x', "broken", FormatError),
            ('{"format": "vadouvan-batch", "version": 9}', "newer", (FormatError, BadInput)),
            ('{"a": 1}', "vadouvan-batch", (FormatError, BadInput)),
            ("[" * 5000, "broken or not JSON", FormatError),
        )
        for text, words, kind in cases:
            with self.subTest(text[:30]), self.assertRaisesRegex(kind, words):
                read_any(text, KITCHEN)


class NamedCuts(unittest.TestCase):
    """A cut in a line of a list."""

    def test_by_words(self) -> None:
        """The animal and a word of the cut, with a weight; anything else is a line of the mix."""
        cases = {
            "1.2 kg lamb shoulder, cubed": "lamb_shoulder_cubes",
            "2 lb chicken wings": "chicken_wing",
            "900 g of beef flank strips": "beef_flank_strips",
            "1 lb 8 oz pork tenderloin": "pork_tenderloin",
        }
        for text, kind in cases.items():
            named = cut_named(text, CUTS)
            with self.subTest(text):
                assert named is not None
                self.assertEqual(CUTS[named.kind].species, CUTS[kind].species)
        self.assertEqual(cut_named("2 lb chicken wings", CUTS), replace(_named("chicken_wing"), mass="2 lb"))
        for text in ("200 ml chicken stock", "30 g fish sauce", "50 g chicken breast", "chicken breast", "2 lemons"):
            with self.subTest(text):
                self.assertIsNone(cut_named(text, CUTS))

    def test_every_cut_by_its_whole_name(self) -> None:
        """As our own recipes write it."""
        for kind in CUTS.values():
            named = cut_named(line_of("1.5 kg", kind, "1 1/4 in"), CUTS)
            with self.subTest(kind.id):
                self.assertEqual(named, replace(_named(kind.id), mass="1.5 kg", thickness="1 1/4 in"))


def _named(kind: str) -> Any:
    named = cut_named(line_of("1 kg", CUTS[kind], ""), CUTS)
    assert named is not None
    return named


if __name__ == "__main__":
    unittest.main()
