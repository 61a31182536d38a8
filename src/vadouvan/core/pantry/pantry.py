"""The pantry: finding the ingredient that a name means, forgiving spelling."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping, Sequence
from functools import cached_property

from rapidfuzz import fuzz, process, utils
from rapidfuzz.distance import OSA

from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

SURE_SCORE = 86.0  # below this a spelling is asked about, not assumed
SUGGEST_SCORE = 60.0
SURE_WORD, LEAST_GUESSED = 79.0, 6  # of each word by itself, and only of words so long
PLAIN_SALT_NAME = "salt"
# Words that say how it was treated or how big it is, not what it is.
_TREATMENT = lazily(
    r"\b(?:finely|roughly|coarsely|freshly|thinly|chopped|minced|crushed|grated|sliced|pounded|peeled|"
    r"squeezed|strained|beaten|melted|soft|toasted|torn|picked|packed|optional|good|quality|pure|organic|mashed|crumbled|bruised|"
    r"cracked|shredded|whisked|warmed|softened|cubed|diced|quartered|halved|trimmed|washed|rinsed|deseeded|seeded|"
    r"pureed|puréed|blended|fat|plump|whole|fine|heavily|lightly|loosely|tightly|firmly|very|thin|thick|ripe)\b",
    re.IGNORECASE,
)

# Words that say where it is from, how rich or how cold it is; left out only where no name holds them.
_LOOSE = lazily(
    r"\b(?:(?:full|low|half|reduced|non)[- ]?fat|fat[- ]free|skimmed|[a-z]+[- ]style|thai|chinese|japanese|korean|"
    r"indian|italian|spanish|turkish|greek|mexican|home[- ]?made|(?:shop|store)[- ]bought|plain|natural|real|"
    r"raw|unsweetened|cold|warm|lukewarm|hot|boiling|boiled|chilled|iced|tap|filtered|roasted|fried|smashed|bashed|leftover)\b",
    re.IGNORECASE,
)
# A chilli by its American spelling, named after its kind; before "powder" the spelling decides what it is.
_CHILLI = lazily(r"(?<=\S) chil(?:e|i|ie|lie|ly)s?$")
# Words that say in what form it comes, where the name is known without them.
_ENDING = lazily(r"\s(?:seasoning|threads?|strands?|sprigs?|pods?|stalks?|chunks?|wedges|flesh|pulp)$", re.IGNORECASE)


@unchanging(eq=False)
class Pantry:
    """All known ingredients, by identity and by every name that they go by; equal only to itself."""

    by_id: Mapping[str, Ingredient]
    by_name: Mapping[str, str]

    @classmethod
    def of(cls, ingredients: Iterable[Ingredient]) -> Pantry:
        """A pantry of these ingredients; the first to claim a name keeps it."""
        by_id = {item.id: item for item in ingredients}
        by_name: dict[str, str] = {}
        for item in by_id.values():
            for name in (*item.also_called, item.name):
                by_name.setdefault(_plain(name), item.id)
        return cls(by_id, by_name)

    def with_aliases(self, aliases: Mapping[str, str]) -> Pantry:
        """The same pantry with further names; a name that an ingredient has itself keeps its meaning."""
        further = {_plain(name): identity for name, identity in aliases.items()}
        return Pantry(self.by_id, {**further, **self.by_name})

    def with_own(self, own: Iterable[Ingredient]) -> Pantry:
        """The same pantry with the cook's own ingredients, whose names come before all others."""
        mine = Pantry.of(own)
        return Pantry({**mine.by_id, **self.by_id}, {**self.by_name, **mine.by_name}) if mine.by_id else self

    def with_plain_salt(self, identity: str) -> Pantry:
        """The same pantry in which "salt", with no more said, means this ingredient."""
        return Pantry(self.by_id, {**self.by_name, _plain(PLAIN_SALT_NAME): identity})

    @property
    def plain_salt(self) -> Ingredient:
        """Salt that "salt" means with no more said."""
        return self.by_id[self.by_name[_plain(PLAIN_SALT_NAME)]]

    def find(self, names: Sequence[str], *, field: str, given: str) -> Ingredient:
        """The ingredient that one of these names means, tried in turn; near spellings of the first count too.

        Raises InputError with the nearest names if none does.
        """
        forms = [form for name in names for form in _forms(name)]
        for form in (*forms, *(_CHILLI.sub(" chilli", form) for form in forms)):
            if form in self.by_name:
                return self.by_id[self.by_name[form]]
        if (loosely := self._loosely(names)) is not None:
            return loosely
        for name in names:
            if (whole := _plain(name).replace(" ", "")) in self._in_one_word:
                return self.by_id[self._in_one_word[whole]]
        if (either := self._either(names[0], field, given)) is not None:
            return either
        name, wanted = names[0], _forms(names[0])[1]
        near = self.nearest(wanted)
        if near and near[0][1] >= SURE_SCORE and (len(near) == 1 or near[0][1] > near[1][1]):
            meant = [own for own, identity in self.by_name.items() if identity == near[0][0].id]
            if any(_alike(wanted, own) for own in meant):
                return near[0][0]
        listed = ", ".join(f'"{item.also_called[0]}"' for item, _ in near[:3])
        accepted = (
            f"Did you mean {listed}?" if listed else "Look it up in the list of ingredients, or write a plainer name."
        )
        raise InputError(field=field, given=given, wrong=f'"{name}" is not in the pantry.', accepted=accepted)

    def _either(self, name: str, field: str, given: str) -> Ingredient | None:
        """The ingredient that two names joined by "or" both mean, "vegetable or canola oil"; none if one is unknown.

        Raises InputError where they mean two.
        """
        one, joined, other = name.partition(" or ")
        last = other.rpartition(" ")[2]
        found = [
            next((self.by_name[form] for form in forms if form in self.by_name), None)
            for forms in ((*_forms(f"{one} {last}"), *_forms(one)), _forms(other))
            if joined
        ]
        meant = [self.by_id[identity] for identity in found if identity is not None]
        if len(meant) < 2 or meant[0] == meant[1]:
            return meant[0] if len(meant) == 2 else None
        first, second = (item.also_called[0] for item in meant)
        wrong = f'"{name}" may be {first} or {second}.'
        raise InputError(field=field, given=given, wrong=wrong, accepted=f'Write "{first}" or "{second}".')

    def _loosely(self, names: Sequence[str]) -> Ingredient | None:
        """The ingredient that a name means without where it is from or how rich it is; raw fruit is fresh fruit."""
        for name in names:
            said = list(_LOOSE.finditer(name))
            shorter = [name[: word.start()] + name[word.end() :] for word in said]
            for other in (re.sub(r"\braw\b", "fresh", name, flags=re.IGNORECASE), *shorter, _LOOSE.sub(" ", name)):
                known = next((self.by_name[form] for form in _forms(other) if form in self.by_name), None)
                if known is not None and other.strip() and other != name:
                    return self.by_id[known]
        return None

    def qualified(self, names: Sequence[str]) -> Ingredient | None:
        """The ingredient that one of these names is exactly; none for what is only a treatment ("crushed tomato")."""
        plain = (name for name in names if _TREATMENT.match(name) is None)
        return next((item for item in map(self.named, plain) if item is not None), None)

    def named(self, name: str) -> Ingredient | None:
        """The ingredient that has this name, treated or not ("crushed chillies"); none if none has."""
        known = next((self.by_name[form] for form in _forms(name) if form in self.by_name), None)
        return None if known is None else self.by_id[known]

    @cached_property
    def _in_one_word(self) -> Mapping[str, str]:
        """Names without their gaps: "ricewine vinegar"."""
        return {own.replace(" ", ""): identity for own, identity in self.by_name.items()}

    @cached_property
    def _all_names(self) -> tuple[str, ...]:
        """Every name, in order."""
        return tuple(self.by_name)

    def search(self, text: str, limit: int = 40) -> list[Ingredient]:
        """Ingredients with a name that holds every typed word, then those with a name near to it."""
        words = _plain(text).split()
        holding = [
            item for item in self.by_id.values() if any(_holds(name, words) for name in (item.name, *item.also_called))
        ]
        near = [item for item, _ in self.nearest(" ".join(words))] if words else []
        return list({item.id: item for item in [*sorted(holding, key=lambda item: len(item.name)), *near]}.values())[
            :limit
        ]

    def nearest(self, name: str, limit: int = 8) -> list[tuple[Ingredient, float]]:
        """Ingredients whose names come near, best first, with a score from 0 to 100."""
        best: dict[str, float] = {}
        for scorer in _LIKENESS:
            for text, score, _ in process.extract(
                name, self._all_names, scorer=scorer, limit=limit * 3, score_cutoff=SUGGEST_SCORE
            ):
                identity = self.by_name[text]
                best[identity] = max(best.get(identity, 0.0), score)
        ranked = sorted(best.items(), key=lambda pair: -pair[1])
        return [(self.by_id[identity], score) for identity, score in ranked[:limit]]


def _holds(name: str, words: list[str]) -> bool:
    plain = _plain(name)
    return all(word in plain for word in words)


# By letters, with word order forgiven but no word dropped: the better of both counts.
_LIKENESS = (fuzz.ratio, fuzz.token_sort_ratio)


def _alike(wanted: str, name: str) -> bool:
    """Whether a spelling differs from a name word by word only: "dried chilli" is no way to spell "red chilli"."""
    words, own = sorted(wanted.split()), sorted(name.split())
    return len(words) == len(own) and all(
        (a == b or (len(a) >= LEAST_GUESSED and fuzz.ratio(a, b) >= SURE_WORD) or _slip(a, b))
        for a, b in zip(words, own, strict=True)
    )


def _slip(a: str, b: str) -> bool:
    """Whether two words of five letters or so differ by a slip of the hand: two letters turned round, one left out."""
    turned = len(a) == len(b) and sorted(a) == sorted(b) and a[0] == b[0]
    return (
        min(len(a), len(b)) >= LEAST_GUESSED - 1 and (turned or abs(len(a) - len(b)) == 1) and OSA.distance(a, b) == 1
    )


def _plain(name: str) -> str:
    return " ".join(utils.default_process(name).split())


def _forms(name: str) -> tuple[str, ...]:
    """A name as written, without words of treatment, and in the singular."""
    bare = _plain(_TREATMENT.sub(" ", name)) or _plain(name)
    core = _ENDING.sub("", bare)
    return _plain(name), bare, _singular(bare), core, _singular(core)


def _singular(name: str) -> str:
    if name.endswith("illies"):  # chillies
        return name[:-2]
    if name.endswith("ies"):
        return name[:-3] + "y"
    if name.endswith("oes"):
        return name[:-2]
    return name.removesuffix("s")
