"""The judgement for a reader at a terminal."""

from __future__ import annotations

from collections.abc import Iterator

from vadouvan.formats.judgement import JudgementOut


def judgement_text(answer: JudgementOut) -> str:
    """The judgement as plain lines: sentence, plan, ledger, balance, limits, what is assumed or wrong."""
    return "\n".join(_lines(answer))


def _lines(answer: JudgementOut) -> Iterator[str]:
    yield answer.sentence
    if answer.plan_says:
        yield answer.plan_says
    for problem in answer.problems:
        yield f"  {problem.field}: {problem.wrong} {problem.accepted}"
    if answer.ingredients:
        yield ""
        yield from _ledger(answer)
    if answer.spans:
        yield ""
        yield "per kilogram of meat:"
        yield from (
            f"  {span.substance:8}{answer.figures[span.figure].shown:>12}" for span in answer.spans if span.value > 0
        )
    if answer.salt_says:
        yield f"  {answer.salt_says}"
    if answer.salt_line:
        yield f"  {answer.salt_line}"
    if answer.mix is not None and answer.mix.allergens_told:
        yield f"  {answer.mix.allergens_told}"
    yield from _plate(answer)
    yield from _window(answer)
    if answer.assumed:
        yield ""
        yield "assumed: " + "; ".join(f"{path} {words}" for path, words in answer.assumed.items())


def _plate(answer: JudgementOut) -> Iterator[str]:
    for one in answer.companions:
        yield ""
        yield f"{one.title} ({one.kind}):"
        yield from (f"  {line.mass_shown:>8}  {line.ingredient}" for line in one.lines)
        yield from (f"  {bad.given}: {bad.wrong} {bad.accepted}" for bad in one.unread)
        yield from (f"  {says}" for says in one.says)
    if answer.companions and answer.plate:
        yield from answer.plate.says


def _ledger(answer: JudgementOut) -> Iterator[str]:
    for item in answer.ingredients:
        guess = f"  (guess, {item.band_shown})" if item.guessed and item.band_shown else ""
        yield f"  {item.grams_shown:>8}  {item.name}{guess}"


def _window(answer: JudgementOut) -> Iterator[str]:
    if answer.window is None:
        return
    yield ""
    for name in ("earliest", "best", "latest"):
        edge = getattr(answer.window, name)
        figure = answer.figures[f"window.{name}"]
        band = f" ({figure.band_shown})" if figure.band_shown else ""
        yield f"  {name:9}{edge.shown:>9}{band}: {edge.says}"
