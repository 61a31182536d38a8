"""A batch as the cook typed it: texts and choices, kept exactly, read later.

Every field is text, so that nothing typed is ever lost, whether it can be read or not. Empty
means "not said"; what is then assumed is told in the reading.
"""

from __future__ import annotations

from typing import Annotated

from annotated_types import Interval, Len

from vadouvan.unchanging import unchanging

MOST_LINES = 60
MOST_STEPS = 20
MOST_STAGES = 8
MOST_COMPANIONS = 8
MOST_OWN_STEPS = 12
LONGEST_TEXT = 200
LONGEST_KEPT = 2000  # letters of a field that are kept, readable or not
YES = "yes"  # a ticked answer

Text = Annotated[str, Len(0, LONGEST_KEPT)]
Identity = Annotated[str, Len(1, 64)]
Number = Annotated[float, Interval(ge=-1e9, le=1e9)]  # of what is kept: no kitchen holds more


@unchanging
class StepInput:
    """One thing done to the cut, as typed; only what its kind asks for is filled in."""

    id: Identity
    kind: Text
    amount: Text = ""
    depth: Text = ""
    spacing: Text = ""
    crosswise: Text = ""
    through_skin: Text = ""
    count: Text = ""
    stuffed_with: Text = ""


@unchanging
class OccasionInput:
    """For how many: servings, appetite, share for the freezer."""

    servings: Text = ""
    appetite: Text = ""
    frozen: Text = ""


@unchanging
class CutInput:
    """Answers about the cut. ``kind`` is an id of the table of cuts; ``state`` whether it starts fresh or frozen;
    ``age`` how long it has been raw in the fridge, bought or thawed, when it goes into the mix.
    """

    kind: Text = ""
    mass: Text = ""
    shape: Text = ""
    thickness: Text = ""
    width: Text = ""
    length: Text = ""
    pieces: Text = ""
    bone: Text = ""
    bone_share: Text = ""
    cover: Text = ""
    cover_on: Text = ""
    evenness: Text = ""
    steps: Annotated[tuple[StepInput, ...], Len(0, 100)] = ()
    state: Text = ""
    age: Text = ""


@unchanging
class LineInput:
    """One typed line of the mix with an identity of its own.

    ``locked``: the solver leaves its amount alone; ``lifted``: fished out before cooking;
    ``first``: goes on the meat before the rest, as a step of its own.
    """

    id: Identity
    text: Text
    locked: Text = ""
    lifted: Text = ""
    first: Text = ""


@unchanging
class AimsInput:
    """Aims of the mix: the school of salting with what it asks for, and other aims."""

    school: Text = ""
    spoon_salt: Text = ""
    spoons: Text = ""
    bath_time: Text = ""
    sugar: Text = ""
    acid: Text = ""
    heat: Text = ""


@unchanging
class QuantityInput:
    """How the mix meets the meat, in what, and what is kept clean: a weight or a share of the mix, boiled down
    to so much for the table or not.
    """

    form: Text = ""
    container: Text = ""
    size: Text = ""
    coat: Text = ""
    set_aside: Text = ""
    set_aside_for: Text = ""
    set_aside_to: Text = ""


@unchanging
class MakingInput:
    """How the mix is made before it meets the meat."""

    method: Text = ""
    simmer: Text = ""
    reduce_to: Text = ""
    cooling: Text = ""
    texture: Text = ""
    first_contact: Text = ""
    strained: Text = ""


@unchanging
class HoldInput:
    """Answers about the hold; ``readings`` are temperatures as they were noted: "0 h 4 C, 6 h 9 C"; ``room`` is how
    warm the kitchen is; ``aim`` what the hold is for.
    """

    fridge: Text = ""
    goal: Text = ""
    salt_target: Text = ""
    vacuum_school: Text = ""
    turned: Text = ""
    metal: Text = ""
    open_air: Text = ""
    readings: Text = ""
    room: Text = ""
    aim: Text = ""


@unchanging
class MealInput:
    """Answers about the meal: local date and time, time from pull to plate, time zone name.

    ``start`` is when the cook wants to put the meat in; ``contact`` when it went in and ``pulled`` when it came
    out, once they have. ``early`` is how long before the meal it is done, and kept warm. ``thaw_for`` is another
    meal, for the part that goes to the freezer in its mix.
    """

    at: Text = ""
    lead: Text = ""
    time_zone: Text = ""
    start: Text = ""
    contact: Text = ""
    pulled: Text = ""
    early: Text = ""
    thaw_for: Text = ""


@unchanging
class StageInput:
    """One stage of cooking: where, how hot, in moving air or not, how long, up to which core or until it is tender,
    turned once or every so often, brushed.
    """

    id: Identity
    place: Text = ""
    heat: Text = ""
    air: Text = ""
    minutes: Text = ""
    core: Text = ""
    turn: Text = ""
    brush: Text = ""
    tender: Text = ""
    every: Text = ""


@unchanging
class OwnStepInput:
    """A step of the cook's own on the same clock: what, how long, and how long before the meal it is done."""

    id: Identity
    what: Text = ""
    minutes: Text = ""
    before: Text = ""


@unchanging
class FireInput:
    """How it is cooked: its surface, the stages, doneness with a core of one's own, and the used mix.

    ``freeze`` says whether the part for the freezer goes there raw in its mix or cooked. ``dries`` is how long it lies
    uncovered in the fridge before the heat, ``travels`` how long in a cold box, ``rest`` how long it rests after it;
    ``own_steps`` are what else is to be done meanwhile; ``crust`` says how dark it is meant to become.
    """

    surface: Text = ""
    stages: Annotated[tuple[StageInput, ...], Len(0, 100)] = ()
    doneness: Text = ""
    core: Text = ""
    sauce: Text = ""
    boil: Text = ""
    reduce_to: Text = ""
    freeze: Text = ""
    dries: Text = ""
    travels: Text = ""
    rest: Text = ""
    own_steps: Annotated[tuple[OwnStepInput, ...], Len(0, 100)] = ()
    crust: Text = ""


@unchanging
class CompanionInput:
    """A mix beside the marinade, such as a glaze or a sauce: what it is, its name, its lines as one text, what it is
    boiled down or thinned to, how much of it is eaten, when it goes in or on.
    """

    id: Identity
    kind: Text = ""
    title: Text = ""
    text: Text = ""
    eaten: Text = ""
    reduce_to: Text = ""
    when: Text = ""


@unchanging
class Draft:
    """A whole batch as typed."""

    name: Text = ""
    cut: CutInput = CutInput()
    mix: Annotated[tuple[LineInput, ...], Len(0, 1000)] = ()
    hold: HoldInput = HoldInput()
    meal: MealInput = MealInput()
    occasion: OccasionInput = OccasionInput()
    aims: AimsInput = AimsInput()
    quantity: QuantityInput = QuantityInput()
    making: MakingInput = MakingInput()
    fire: FireInput = FireInput()
    companions: Annotated[tuple[CompanionInput, ...], Len(0, 100)] = ()


PARTS = (
    StepInput, OccasionInput, CutInput, LineInput, AimsInput, QuantityInput, MakingInput, HoldInput, MealInput,
    StageInput, OwnStepInput, FireInput, CompanionInput, Draft,
)  # fmt: skip
