"""The mix for programs and for the page: lines, spans, need against made, making, allergens."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence

from vadouvan.core.contact.allergens import allergens_of, allergens_told
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.mix.balance import SUBSTANCES, Balance, Substance
from vadouvan.core.mix.making import MakingId, StepKind
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.mix.need import Sufficiency
from vadouvan.core.mix.span import SaltSpan
from vadouvan.formats.drawn import Drawn
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class IngredientOut:
    """One line of the mix, weighed, with what it brings per kilogram of meat; ``weighed`` says a guess in grams."""

    line_id: str
    text: str
    name: str
    grams: Drawn
    grams_low: Drawn
    grams_high: Drawn
    grams_shown: str
    band_shown: str | None
    guessed: bool
    weighed: str
    salt_g_per_kg: Drawn
    sugar_g_per_kg: Drawn
    acid_g_per_kg: Drawn
    fat_g_per_kg: Drawn
    aroma_g_per_kg: Drawn


@unchanging(kw_only=True)
class PartOut:
    """Share of one line in a substance; the line is told among the ingredients."""

    line_id: str
    g_per_kg: Drawn


@unchanging(kw_only=True)
class SpanOut:
    """A substance on its rule; ``figure`` names the figure that tells it, whose unit is the rule's."""

    substance: str
    figure: str
    value: Drawn
    low: Drawn
    high: Drawn
    target_low: Drawn | None
    target_high: Drawn | None
    rule_end: Drawn
    parts: list[PartOut]


@unchanging(kw_only=True)
class LineChangeOut:
    """A line to add (empty ``line_id``) or to change, and its text."""

    line_id: str
    text: str


@unchanging(kw_only=True)
class SaltOfferOut:
    """A way to the salt target: the lines it adds or changes."""

    lines: list[LineChangeOut]
    says: str
    also: str


@unchanging(kw_only=True)
class MakingStepOut:
    """One step of making the mix, or something to mind; ``kind`` is note, warn or stop."""

    id: MakingId
    says: str
    minutes: float
    kind: StepKind
    hands_on: bool


@unchanging(kw_only=True)
class AllergenOut:
    """An allergen, what brings it, and whether it is sure or for the label to say."""

    name: str
    brought_by: list[str]
    sure: bool


@unchanging(kw_only=True)
class MixShown:
    """Facts of the mix as a whole that a page shows at once; ``on_meat_pct`` of it meets the meat."""

    need_says: str
    sufficiency: Sufficiency
    on_meat_pct: float
    ready_in_min: float
    school: str | None
    school_says: str
    heat_says: str
    sodium_says: str
    steps: list[MakingStepOut]
    allergens: list[AllergenOut]
    allergens_told: str
    household: list[str]


@unchanging(kw_only=True)
class MixOut(MixShown):
    """The same with the balance per kilogram of mix."""

    spans_in_mix: list[SpanOut]


def ingredients_out(judgement: Judgement) -> list[IngredientOut]:
    """The lines of the mix that could be weighed."""
    brought = _brought(judgement.balance)
    return [
        IngredientOut(
            line_id=portion.line_id,
            text=portion.text,
            name=portion.ingredient.name,
            grams=grams.value,
            grams_low=portion.mass_kg.low * 1000,
            grams_high=portion.mass_kg.high * 1000,
            grams_shown=grams.shown,
            band_shown=grams.band_shown,
            guessed=portion.guessed,
            weighed=weighed_text(portion.ingredient, portion.mass_kg.value) if portion.guessed else "",
            **{f"{name}_g_per_kg": of_line[portion.line_id] for name, of_line in brought.items()},
        )
        for portion, grams in zip(judgement.reading.portions, judgement.grams, strict=True)
    ]


def _brought(balance: Balance | None) -> dict[Substance, defaultdict[str, float]]:
    """Each substance by line [g/kg of meat]."""
    found: dict[Substance, defaultdict[str, float]] = {name: defaultdict(float) for name in SUBSTANCES}
    for name, of_line in found.items():
        for part in balance.parts[name] if balance else ():
            of_line[part.line_id] += part.amount.value * 1000
    return found


def _span(span: SaltSpan, figure: str) -> SpanOut:
    parts = [PartOut(line_id=p.line_id, g_per_kg=p.amount.value * 1000) for p in span.parts]
    return SpanOut(
        substance=span.substance,
        figure=figure,
        value=span.value,
        low=span.low,
        high=span.high,
        target_low=span.target_low,
        target_high=span.target_high,
        rule_end=span.rule_end,
        parts=parts,
    )


def spans_out(spans: Sequence[SaltSpan], suffix: str = "") -> list[SpanOut]:
    """Rules of the substances; ``suffix`` of the figures that tell them."""
    return [
        _span(span, "enzyme_pct" if span.substance == "enzyme" else f"{span.substance}_g_per_kg{suffix}")
        for span in spans
    ]


def mix_out(mix: MixJudgement, reading: Interpretation, kind: CutKind | None) -> MixOut:
    """All of the mix as data."""
    return MixOut(**vars(mix_shown(mix, reading, kind)), spans_in_mix=spans_in_mix_out(mix))


def spans_in_mix_out(mix: MixJudgement) -> list[SpanOut]:
    """Rules of the substances per kilogram of mix."""
    return spans_out(mix.in_mix.spans, "_mix")


def salt_offers_out(judgement: Judgement) -> list[SaltOfferOut]:
    """Ways to the salt target; each is a judgement of its own."""
    return [
        SaltOfferOut(
            lines=[LineChangeOut(line_id=line.line_id, text=line.text) for line in offer.lines],
            says=offer.says,
            also=offer.also,
        )
        for offer in judgement.offers
    ]


def mix_shown(mix: MixJudgement, reading: Interpretation, kind: CutKind | None) -> MixShown:
    """The mix as a page shows it; the cut and what stands beside the mix bring allergens too."""
    at_contact = mix.at_contact
    allergens = allergens_of(reading.all_portions, kind)
    return MixShown(
        need_says=at_contact.need_says,
        sufficiency=at_contact.sufficiency,
        on_meat_pct=at_contact.share * 100,
        ready_in_min=mix.minutes,
        school=mix.salt.school if mix.salt else None,
        school_says=mix.school_says,
        heat_says=mix.heat_says,
        sodium_says=mix.sodium_says,
        steps=[
            MakingStepOut(id=step.id, says=step.says, minutes=step.minutes, kind=step.kind, hands_on=step.hands_on)
            for step in mix.steps
        ],
        allergens=[AllergenOut(name=one.name, brought_by=list(one.brought_by), sure=one.sure) for one in allergens],
        allergens_told=allergens_told(allergens),
        household=list(mix.household),
    )
