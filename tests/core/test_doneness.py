"""Core temperatures: every row of the table of cuts against what the authority asks of its species."""

from __future__ import annotations

import unittest

from tests.drafts import NOW, cut_of, of_kind
from tests.limits import KITCHEN, UNKNOWN
from vadouvan.core.cooking.doneness import guidance_for
from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import judge
from vadouvan.data.tables import shipped_kitchen

# US FSIS safe minimum internal temperatures and, for game, its storage and cooking charts: from memory, not looked up.
AUTHORITY_C = {
    **dict.fromkeys(("chicken", "turkey", "duck", "goose", "quail", "guinea fowl", "pheasant"), 74.0),
    **dict.fromkeys(("pigeon", "partridge"), 74.0),
    **dict.fromkeys(("beef", "veal", "lamb", "mutton", "goat", "pork"), 63.0),
    **dict.fromkeys(("venison", "wild boar", "rabbit", "hare", "kangaroo", "bison"), 71.0),
    **dict.fromkeys(
        (
            "salmon", "cod", "tilapia", "tuna", "swordfish", "mackerel", "sea bass / snapper", "trout", "catfish",
            "monkfish", "haddock", "sole", "sardine", "prawn", "squid", "octopus", "scallop", "lobster",
        ),
        63.0,
    ),
}  # fmt: skip
MINCED_C = 71.0
PLANTS = {
    "tofu",
    "tempeh",
    "seitan",
    "paneer",
    "mushroom",
    "cauliflower",
    "aubergine",
    "courgette",
    "jackfruit",
    "halloumi",
}


class Rows(unittest.TestCase):
    """All that can be chosen."""

    def test_every_row_asks_for_what_the_authority_asks(self) -> None:
        """Never less; a species that the authority's table does not hold fails here."""
        for kind in shipped_kitchen().cuts.values():
            with self.subTest(cut=kind.id):
                guidance = guidance_for(cut_of(of_kind(kind.id, "2 kg", "", "", "10 g salt")))
                if kind.species in PLANTS:
                    self.assertIsNone(guidance)
                    continue
                assert guidance is not None
                wanted = AUTHORITY_C[kind.species]
                if kind.family == "mince":
                    wanted = max(wanted, MINCED_C)
                self.assertGreaterEqual(guidance.core_c, wanted)
                self.assertEqual(guidance.core_c, max(wanted, kind.core_c or 0.0))

    def test_no_species_is_without_a_family(self) -> None:
        """A new species without a rule of its own fails; it never becomes fish."""
        self.assertEqual([kind.id for kind in shipped_kitchen().cuts.values() if kind.family == "other"], [])

    def test_an_unknown_species_asks_and_takes_the_strictest(self) -> None:
        """74 C and one day, and it is said."""
        draft: Draft = of_kind(UNKNOWN, "1 kg", "slab", "25 mm", "10 g salt")
        judgement = judge(draft, KITCHEN, now=NOW)
        cut = judgement.reading.cut
        assert cut is not None
        guidance = guidance_for(cut)
        assert guidance is not None
        self.assertEqual((guidance.core_c, cut.kind.keeps_s), (74.0, 24 * 3600))
