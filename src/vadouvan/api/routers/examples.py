"""Example starts for a cook with an empty counter."""

from __future__ import annotations

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.routers.batches import answer
from vadouvan.api.schemas.batch import BatchOut, ExampleOut
from vadouvan.core.draft.examples import EXAMPLES
from vadouvan.errors import NotKept

router = router_of("/api/examples", "examples")


@router.get("")
def list_examples() -> list[ExampleOut]:
    """The example starts."""
    return [ExampleOut(id=key, name=example.draft.name, about=example.about) for key, example in EXAMPLES.items()]


@router.post("/{example}", status_code=201)
def start_from_example(example: str, here: Here) -> BatchOut:
    """Keep a new batch that starts as the example does."""
    if example not in EXAMPLES:
        raise NotKept("example", example)
    return answer(here.batches.add(here.new_id(), here.started(EXAMPLES[example].draft), now=here.now()), here)
