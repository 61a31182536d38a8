"""Questions about a mix: amounts for its aims, corrections after tasting, swaps, labels."""

from __future__ import annotations

from pathlib import Path
from typing import Annotated

import typer

from vadouvan.cli.common import AsJson, BatchFile, Now, draft_in, moment_in, refusing, tell, text_in
from vadouvan.core.advice.amounts import amounts_for
from vadouvan.core.advice.corrections import Degree, Taste
from vadouvan.core.advice.tasted import corrections_for, swaps_of_line
from vadouvan.core.mix.measure import Measures
from vadouvan.core.mix.solver import Aim
from vadouvan.core.parsing.label import LabelInput, read_label
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.advice_out import amounts_out, correction_out, swap_out


def add_to(app: typer.Typer) -> None:
    """The commands of this module."""
    for command in (amounts, correct, swaps, label):
        app.command()(command)


@refusing
def amounts(
    file: BatchFile,
    salt: Annotated[
        float | None, typer.Option(help="Grams of salt for a kilogram of meat, instead of the aim.")
    ] = None,
    sugar: Annotated[float | None, typer.Option(help="Grams of sugar for a kilogram of meat.")] = None,
    acid: Annotated[float | None, typer.Option(help="Grams of acid for a kilogram of meat.")] = None,
    cover: Annotated[bool, typer.Option(help="Also as much mix as the cut needs.")] = False,
    kitchen_measures: Annotated[bool, typer.Option("--spoons", help="In spoons and pieces.")] = False,
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Amounts that reach the aims of a batch, with its locked lines left alone."""
    asked: dict[Aim, float | None] = {"salt": salt, "sugar": sugar, "acid": acid}
    in_mix = {aim: value / 1000 for aim, value in asked.items() if value is not None}
    measures: Measures = "kitchen" if kitchen_measures else "scale"
    found = amounts_out(
        amounts_for(
            draft_in(file), shipped_kitchen(), now=moment_in(now), in_mix=in_mix, cover=cover, measures=measures
        )
    )
    lines = [f"  {line.text}" for line in found.lines] + [one.says for one in found.reached]
    tell(found, lines, as_json=as_json)


@refusing
def correct(
    file: BatchFile,
    taste: Annotated[Taste, typer.Argument(help="How it tasted.")],
    degree: Annotated[Degree, typer.Option(help="By how much.")] = "clearly",
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Additions that would mend a mix that tasted wrong, and what each addition does."""
    found = corrections_for(draft_in(file), shipped_kitchen(), now=moment_in(now), taste=taste, degree=degree)
    answers = [correction_out(one) for one in found]
    lines = [f"{one.says} ({'; '.join(effect.says for effect in one.effects)})" for one in answers]
    tell(answers, lines or ["Nothing that could be added helps."], as_json=as_json)


@refusing
def swaps(
    file: BatchFile,
    line: Annotated[int, typer.Argument(help="Which line of the mix, from 1.")],
    without: Annotated[list[str] | None, typer.Option(help="An allergen to leave out; again for more.")] = None,
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Stand-ins for a line, with allergens gained and lost."""
    found = swaps_of_line(
        draft_in(file), shipped_kitchen(), now=moment_in(now), line_id=str(line), without=frozenset(without or ())
    )
    answers = [swap_out(one) for one in found]
    lines = [f"{one.says} (equal {one.keeps}{_allergens(one.gains, one.loses)})" for one in answers]
    tell(answers, lines or ["Nothing known stands in for it."], as_json=as_json)


@refusing
def label(
    file: Annotated[Path, typer.Argument(help="The lines of a nutrition label; - reads standard input.")],
    name: Annotated[str, typer.Option(help="What it is called.")],
    like: Annotated[str, typer.Option(help="The ingredient of the pantry it is most like, by id.")] = "",
    basis: Annotated[str, typer.Option(help="per_100g, per_100ml or per_serving.")] = "per_100g",
    serving: Annotated[str, typer.Option(help='For per_serving: "15 ml".')] = "",
    as_json: AsJson = False,
) -> None:
    """An ingredient from its nutrition label, and what was assumed."""
    said = LabelInput(name, like, basis, serving, text_in(file, "A label is text in UTF-8."))
    reading = read_label(said, "label", shipped_kitchen().pantry.by_id)
    item = reading.ingredient
    shares = {
        "water": item.water, "salt": item.salt.value, "sugar": item.sugar.value, "acid": item.acid.value,
        "fat": item.fat, "protein": item.protein,
    }  # fmt: skip
    answer = {"name": item.name, "g_per_100g": {name: share * 100 for name, share in shares.items()},
              "assumed": list(reading.assumed)}  # fmt: skip
    lines = [f"{what:8} {share * 100:.1f} g/100 g" for what, share in shares.items()]
    tell(answer, [*lines, *(f"assumed: {words}" for words in reading.assumed)], as_json=as_json)


def _allergens(gains: list[str], loses: list[str]) -> str:
    told = [f"brings {', '.join(gains)}"] if gains else []
    told += [f"without {', '.join(loses)}"] if loses else []
    return "".join(f"; {words}" for words in told)
