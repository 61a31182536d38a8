"""Questions about the mix of a draft, as typed and not necessarily kept yet."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.mix import (
    AmountsQuestion,
    CorrectionsQuestion,
    PastedMixOut,
    PastedOut,
    PastedQuestion,
    ScaledQuestion,
    SwapsQuestion,
)
from vadouvan.core.advice.amounts import amounts_for
from vadouvan.core.advice.scaling import scaled_to
from vadouvan.core.advice.tasted import corrections_for, swaps_of_line
from vadouvan.core.interpretation.line import can_be_read, single_lines
from vadouvan.core.mix.solver import Aim
from vadouvan.core.parsing.parts import PastedMix
from vadouvan.formats.advice_out import (
    AmountsOut,
    CorrectionOut,
    ScaledOut,
    SwapOut,
    amounts_out,
    correction_out,
    scaled_out,
    swap_out,
)
from vadouvan.formats.any_file import name_and_lines
from vadouvan.formats.ingredient_list import meat_told_by, recipe_of

router = router_of("/api/mix", "mix")


@router.post("/amounts")
def ask_amounts(question: AmountsQuestion, here: Here) -> AmountsOut:
    """Amounts that reach the aims with the locked lines left alone."""
    in_mix: dict[Aim, float] = {aim: value / 1000 for aim, value in question.in_mix_g_per_kg.items()}
    amounts = amounts_for(
        question.draft,
        here.kitchen,
        now=here.now(),
        in_mix=in_mix,
        cover=question.cover,
        measures=question.measures,
    )
    return amounts_out(amounts)


@router.post("/corrections")
def ask_corrections(question: CorrectionsQuestion, here: Here) -> list[CorrectionOut]:
    """Additions after tasting, and what each addition does."""
    found = corrections_for(question.draft, here.kitchen, now=here.now(), taste=question.taste, degree=question.degree)
    return [correction_out(correction) for correction in found]


@router.post("/swaps")
def ask_swaps(question: SwapsQuestion, here: Here) -> list[SwapOut]:
    """Stand-ins for a line."""
    found = swaps_of_line(
        question.draft,
        here.kitchen,
        now=here.now(),
        line_id=question.line_id,
        without=frozenset(question.without) | here.household().allergens,
    )
    return [swap_out(offer) for offer in found]


@router.post("/scaled")
def ask_scaled(question: ScaledQuestion, here: Here) -> ScaledOut:
    """The amounts for another cut."""
    scaled = scaled_to(question.draft, here.kitchen, now=here.now(), cut=question.cut)
    return scaled_out(scaled)


@router.post("/pasted")
def read_pasted(question: PastedQuestion, here: Here) -> PastedOut:
    """The lines of a pasted recipe, one ingredient each: a mix, or several; and what stands beside it."""
    name, text = name_and_lines(question.text, here.kitchen)
    recipe, names_meat = recipe_of(text, here.kitchen), meat_told_by(text, here.kitchen)

    def is_meat(line: str) -> bool:
        """Whether a line names the cut, and no ingredient."""
        return names_meat(line) and not can_be_read(line, here.kitchen.pantry)

    def told(mixes: Sequence[PastedMix]) -> list[PastedMixOut]:
        """Mixes without the meat that stands among their lines."""
        singles = [
            [one for line in mix.lines if not is_meat(line) for one in single_lines(line, here.kitchen.pantry)]
            for mix in mixes
        ]
        return [PastedMixOut(title=mix.title, lines=said) for mix, said in zip(mixes, singles, strict=True) if said]

    return PastedOut(
        name=name,
        mixes=told(recipe.mixes),
        companions=told(recipe.companions),
        meat=[line for line in recipe.lines if is_meat(line)],
        told=list(recipe.told),
        left_out=list(recipe.left_out),
    )
