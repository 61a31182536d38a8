"""The shipped tables, read and validated into core values.

Values stand in the files as published (percent, grams, millimetres) and are converted here.
Every row names its sources (keys of ``sources.csv``) and how sure it is.
"""

from __future__ import annotations

import csv
from collections.abc import Callable, Iterator
from dataclasses import replace
from functools import cache
from importlib.resources import files
from typing import Any, TypeVar, get_args

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.core.kitchen.caution import Caution, CautionKind, Where
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.pantry.ingredient import Acids, Enzyme, Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.pantry.swap import RULES, Swap
from vadouvan.errors import TableError

Row = dict[str, str]
T = TypeVar("T")
TEASPOON_M3 = 5e-6
CONFIDENCES = ("high", "medium", "low")
PARTS_MAY_MISS_PCT = 1.0
# How far a source was looked into, as it stands in sources.csv, in words for a cook.
STANDING_WORDS = {
    "from memory": "from memory, not looked up; check the current text",
    "exact": "exact",
    "worked out": "worked out",
    "none": "no source",
}


def table_rows(name: str) -> list[Row]:
    """All rows of a shipped table."""
    text = files("vadouvan.data").joinpath(f"{name}.csv").read_text(encoding="utf-8")
    return list(csv.DictReader(text.splitlines()))


@cache
def source_keys() -> frozenset[str]:
    """Keys of all sources that rows may name."""
    return frozenset(row["key"] for row in table_rows("sources"))


@cache
def shipped_kitchen() -> Kitchen:
    """Cuts and pantry as shipped; raises TableError for a row that breaks the rules."""
    words = {row["id"]: row for row in table_rows("cut_words")}
    cuts = {row["id"]: _checked("cuts", row, _cut) for row in table_rows("cuts")}
    cuts = {name: _called(kind, words[name]) for name, kind in cuts.items()}
    pantry = Pantry.of(_checked("pantry", row, _ingredient) for row in table_rows("pantry")).with_aliases(_aliases())
    cautions = {row["id"]: _caution(row) for row in table_rows("cautions")}
    sources = {row["key"]: row["title"] for row in table_rows("sources")}
    standings = {row["key"]: STANDING_WORDS[row["checked"]] for row in table_rows("sources")}
    swaps = tuple(_checked("swaps", row, _swap) for row in table_rows("swaps"))
    _name_known_ingredients(swaps, pantry)
    return Kitchen(cuts, pantry, cautions, sources, swaps, standings=standings)


def _called(kind: CutKind, row: Row) -> CutKind:
    """A cut with its names in a shopping list, and how many pieces of it one of what they name gives."""
    return replace(kind, also_called=tuple(row["words"].split(";")), pieces_in_one=int(row["pieces_in_one"] or 0))


def _aliases() -> dict[str, str]:
    """Further names by region, form and spelling: name to ingredient."""
    return {row["name"]: row["ingredient"] for row in table_rows("aliases")}


def _name_known_ingredients(swaps: tuple[Swap, ...], pantry: Pantry) -> None:
    for swap in swaps:
        for name in (swap.swap_from, *(part for part, _ in swap.parts)):
            if name not in pantry.by_id:
                raise TableError("swaps", swap.id, f"{name} is not in the pantry")


def _swap(row: Row) -> Swap:
    parts = tuple((name, float(ratio)) for name, ratio in (entry.split() for entry in row["to"].split("|")))
    return Swap(
        id=row["id"],
        swap_from=row["swap_from"],
        parts=parts,
        rule=_one_of(row, "rule", RULES),
        note=row["note"],
        also=row["also"],
        source=row["source"],
        confidence=row["confidence"],
    )


def _checked(table: str, row: Row, build: Callable[[Row], T]) -> T:
    for key in row["source"].split(";"):
        if key not in source_keys():
            raise TableError(table, row["id"], f"source {key!r} is not in sources.csv")
    if row["confidence"] not in CONFIDENCES:
        raise TableError(table, row["id"], f"confidence {row['confidence']!r} is not one of {CONFIDENCES}")
    try:
        return build(row)
    except (KeyError, ValueError) as error:
        raise TableError(table, row["id"], str(error)) from error


# --- pantry --------------------------------------------------------------------------------


def _ingredient(row: Row) -> Ingredient:
    _parts_add_up(row)
    density = _number(row, "density_g_per_ml") * 1000
    return Ingredient(
        id=row["id"],
        name=row["name"],
        also_called=tuple(row["also_called"].split(";")),
        group=row["group"],
        density_kg_per_m3=density,
        spoon_density_kg_per_m3=_spoon_density(row, density),
        piece_kg=dict(_pieces(row)),
        water=_share(row, "water_pct"),
        salt=_spread(row, "salt"),
        sugar=_spread(row, "sugar"),
        acid=_spread(row, "acid"),
        acids=Acids(
            *(_share(row, f"{name}_pct") for name in ("acetic", "citric", "lactic", "malic", "tartaric", "other_acid"))
        ),
        ph=float(row["ph"]) if row["ph"] else None,
        fat=_share(row, "fat_pct"),
        alcohol=_share(row, "alcohol_pct"),
        protein=_share(row, "protein_pct"),
        enzyme=_enzyme(row),
        allergens=_words(row, "allergens_eu"),
        source=row["source"],
        confidence=row["confidence"],
        sodium=_number(row, "sodium_mg_per_100g") / 100_000,
        heat_shu=_range_of(row, "heat_scoville", "heat_low_scoville", "heat_high_scoville", 1.0),
        allergens_us=_words(row, "allergens_us"),
        allergens_to_check=_words(row, "allergens_check_label"),
        dose_kg_per_kg=_range_of(row, "dose_g_per_kg", "dose_low_g_per_kg", "dose_high_g_per_kg", 1000.0)
        if row["dose_g_per_kg"]
        else None,
        burns=row["burns"] == "yes",
        lifts_out=row["remove"].startswith("lift out"),
        stains=row["stains"].startswith(("strong", "moderate")),
        form=row["form"],
    )


def _words(row: Row, column: str) -> tuple[str, ...]:
    return tuple(filter(None, row[column].split(";")))


def _range_of(row: Row, typical: str, low: str, high: str, divisor: float) -> Interval:
    value = _number(row, typical) / divisor
    ends = [float(row[name]) / divisor if row[name] else value for name in (low, high)]
    return _ordered(ends[0], value, ends[1])


def _parts_add_up(row: Row) -> None:
    names = ("water", "salt", "sugar", "acid", "fat", "alcohol", "protein", "other")
    total = sum(_number(row, f"{name}_pct") for name in names)
    if abs(total - 100) > PARTS_MAY_MISS_PCT:
        raise ValueError(f"its parts add up to {total:.1f} %")


def _spoon_density(row: Row, density: float) -> Interval:
    """Weight of a spoon or cup over its volume, with the range of differently cut grains."""
    if not row["tsp_g"]:
        return Interval.exactly(density)
    typical = _number(row, "tsp_g") / 1000 / TEASPOON_M3
    low = float(row["tsp_low_g"]) / 1000 / TEASPOON_M3 if row["tsp_low_g"] else typical
    high = float(row["tsp_high_g"]) / 1000 / TEASPOON_M3 if row["tsp_high_g"] else typical
    return _ordered(low, typical, high)


def _pieces(row: Row) -> Iterator[tuple[str, Interval]]:
    for entry in filter(None, row["pieces"].split("|")):
        unit, typical, low, high = entry.split()
        yield unit, _ordered(float(low) / 1000, float(typical) / 1000, float(high) / 1000)


def _enzyme(row: Row) -> Enzyme | None:
    strength = _number(row, "enzyme_strength")
    if strength <= 0:
        return None
    low = float(row["enzyme_low"] or strength)
    high = float(row["enzyme_high"] or strength)
    return Enzyme(row["enzyme"], _ordered(low, strength, high), row["enzyme_ended_by"])


def _spread(row: Row, name: str) -> Interval:
    typical = _share(row, f"{name}_pct")
    low = float(row[f"{name}_low_pct"]) / 100 if row[f"{name}_low_pct"] else typical
    high = float(row[f"{name}_high_pct"]) / 100 if row[f"{name}_high_pct"] else typical
    return _ordered(min(low, typical), typical, max(high, typical))


def _ordered(low: float, typical: float, high: float) -> Interval:
    if not 0 <= low <= typical <= high:
        raise ValueError(f"range {low:g} to {high:g} does not hold {typical:g}")
    return Interval(typical, low, high)


def _share(row: Row, column: str) -> float:
    value = _number(row, column) / 100
    if not 0 <= value <= 1:
        raise ValueError(f"{column} is {row[column]}, not 0 to 100")
    return value


def _number(row: Row, column: str) -> float:
    return float(row[column] or 0)


# --- cuts ----------------------------------------------------------------------------------


def _cut(row: Row) -> CutKind:
    return CutKind(
        id=row["id"],
        species=row["species"],
        cut=row["cut"],
        form=row["form"],
        shape=_one_of(row, "shape", get_args(ShapeName)),
        thickness_m=_number(row, "thickness_mm") / 1000,
        thickness_low_m=_number(row, "thickness_low_mm") / 1000,
        thickness_high_m=_number(row, "thickness_high_mm") / 1000,
        mass_kg=_number(row, "mass_g") / 1000,
        bone=_one_of(row, "bone", get_args(Bone)),
        bone_share=_share(row, "bone_share_pct"),
        cover=_one_of(row, "cover", get_args(Cover)),
        cover_all_round=row["cover_on"] == "all",
        density_kg_per_m3=_number(row, "density_g_per_ml") * 1000,
        water_share=_share(row, "water_pct"),
        hold_max_s=_number(row, "hold_high_days") * 86_400,
        hold_source=row["hold_source"],
        allergens=tuple(filter(None, row["allergens"].split(";"))),
        prep=row["prep"],
        source=row["source"],
        confidence=row["confidence"],
        core_c=float(row["core_c"]) if row["core_c"] else None,
        core_source=row["core_source"],
        toughness=_one_of(row, "toughness", ("tender", "moderate", "tough")),
        fat_share=_share(row, "fat_pct"),
    )


def _one_of(row: Row, column: str, accepted: tuple[str, ...]) -> Any:
    if row[column] not in accepted:
        raise ValueError(f"{column} {row[column]!r} is not one of {accepted}")
    return row[column]


def _caution(row: Row) -> Caution:
    if row["source"] not in source_keys():
        raise TableError("cautions", row["id"], f"source {row['source']!r} is not in sources.csv")
    return Caution(
        row["id"],
        _one_of(row, "kind", get_args(CautionKind)),
        _one_of(row, "where", get_args(Where)),
        row["says"],
        row["source"],
    )
