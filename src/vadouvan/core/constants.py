"""Every constant of the model, once: value, range, unit, source key and standing.

``standing`` says how far to trust a value: ``exact``, ``derived`` (arithmetic from others),
``published`` (recalled, not looked up again), ``practice`` (common among cooks) or ``ours``
(our calibration). All but the first two are shown to the cook as estimates.
"""

from __future__ import annotations

from typing import Literal

from vadouvan.unchanging import unchanging

Standing = Literal["exact", "derived", "published", "practice", "ours"]


@unchanging
class Constant:
    """A number with its range, unit, source key and standing."""

    value: float
    low: float
    high: float
    unit: str
    source: str
    standing: Standing


def _exact(value: float, unit: str, source: str = "physical") -> Constant:
    return Constant(value, value, value, unit, source, "exact")


# --- physics -------------------------------------------------------------------------------
ZERO_CELSIUS_K = _exact(273.15, "K")
GAS_CONSTANT = _exact(8.314462618, "J/(mol K)")
REFERENCE_TEMPERATURE_K = _exact(277.15, "K")  # 4 C, where diffusivities are quoted
WATER_PK = _exact(14.0, "1")  # ionic product, near enough from fridge to kitchen
SODA_KG_PER_MOL = Constant(0.084007, 0.084007, 0.084007, "kg/mol", "atomic_weights", "derived")
# Standard normal quantiles of a band that holds so much, either way.
QUANTILE_OF_80 = _exact(1.2816, "1")
QUANTILE_OF_68 = _exact(0.9945, "1")

# --- salt in meat --------------------------------------------------------------------------
SALT_DIFFUSIVITY = Constant(2.4e-10, 1.5e-10, 4.0e-10, "m2/s", "fox1980;sabadini1998;volpato2007", "ours")
SALT_DIFFUSIVITY_FISH_FACTOR = Constant(1.3, 0.5, 4.0, "1", "calibration", "ours")
DIFFUSIVITY_LOG_SD = Constant(0.30, 0.20, 0.45, "1", "calibration", "ours")
EVEN_LOG_SD = Constant(0.05, 0.03, 0.08, "1", "calibration", "ours")
UNEVEN_LOG_SD = Constant(0.10, 0.08, 0.13, "1", "calibration", "ours")
VERY_UNEVEN_LOG_SD = Constant(0.15, 0.12, 0.25, "1", "calibration", "ours")
ACTIVATION_ENERGY = Constant(21_000.0, 17_000.0, 35_000.0, "J/mol", "fox1980", "published")
SATURATION_KG_PER_KG_WATER = Constant(0.3587, 0.357, 0.360, "kg/kg", "handbook_solubility", "published")
VISIBLE_SALT_KG_PER_KG_WATER = Constant(0.007, 0.004, 0.010, "kg/kg", "calibration", "ours")
TASTED_SALT_KG_PER_KG_WATER = Constant(0.0053, 0.003, 0.008, "kg/kg", "calibration", "ours")
USUAL_REST_H = Constant(8.0, 4.0, 24.0, "h", "common_practice", "practice")  # uncovered in the fridge, overnight
FILM_WATER_KG_PER_M2 = Constant(0.5, 0.2, 1.0, "kg/m2", "calibration", "ours")

# --- what lies over the meat: as a length of lean meat that resists as much ------------------
POULTRY_SKIN_RESISTANCE_M = Constant(0.0015, 0.0006, 0.0040, "m", "calibration", "ours")
FISH_SKIN_RESISTANCE_M = Constant(0.004, 0.0016, 0.010, "m", "calibration", "ours")
PORK_RIND_RESISTANCE_M = Constant(0.025, 0.010, 0.060, "m", "calibration", "ours")
FAT_CAP_RESISTANCE_M = Constant(0.100, 0.040, 0.250, "m", "calibration", "ours")
MEMBRANE_RESISTANCE_M = Constant(0.001, 0.0004, 0.0025, "m", "calibration", "ours")
SHELL_RESISTANCE_M = Constant(0.003, 0.001, 0.010, "m", "calibration", "ours")

RIBS_RESISTANCE_M = Constant(0.020, 0.010, 0.050, "m", "calibration", "ours")
BONE_IN_SECTION = Constant(0.35, 0.2, 0.6, "1", "calibration", "ours")
# Set against the finite-volume solver of the tests: what a covered face lets in at first, as a share of half the way.
COVERED_FACE_EARLY = Constant(0.25, 0.2, 0.3, "1", "calibration", "ours")
COVERED_SHARE_OF_ROUND = Constant(1 / 3, 0.25, 0.5, "1", "calibration", "ours")

# --- what the knife and the tap do ---------------------------------------------------------
SCORE_OPEN_SHARE = Constant(0.9, 0.8, 1.0, "1", "calibration", "ours")
SLIT_OPEN_SHARE = Constant(0.4, 0.3, 0.5, "1", "calibration", "ours")
STUFFED_SLIT_OPEN_SHARE = Constant(0.8, 0.6, 0.9, "1", "calibration", "ours")
SLIT_WIDTH_M = Constant(0.020, 0.010, 0.030, "m", "common_practice", "practice")
CUT_REACH = Constant(0.8, 0.7, 0.9, "1", "calibration", "ours")
PRICKED_FACTOR = Constant(1.03, 1.0, 1.1, "1", "calibration", "ours")
WET_FILM_KG_PER_M2 = Constant(0.060, 0.030, 0.100, "kg/m2", "calibration", "ours")
PATTED_FILM_KG_PER_M2 = Constant(0.010, 0.005, 0.020, "kg/m2", "calibration", "ours")
PRESSED_FILM_KG_PER_M2 = Constant(0.005, 0.002, 0.010, "kg/m2", "calibration", "ours")
ACID_RINSE_SHARE = Constant(0.01, 0.005, 0.02, "kg/kg", "common_practice", "practice")
DEEP_SCORE_M = Constant(0.010, 0.005, 0.015, "m", "common_practice", "practice")

# --- servings ------------------------------------------------------------------------------
SERVING_LIGHT_KG = Constant(0.120, 0.100, 0.140, "kg", "common_practice", "practice")
SERVING_NORMAL_KG = Constant(0.160, 0.140, 0.180, "kg", "common_practice", "practice")
SERVING_HEARTY_KG = Constant(0.220, 0.190, 0.260, "kg", "common_practice", "practice")

# --- paste ---------------------------------------------------------------------------------
COAT_M = Constant(0.001, 0.0005, 0.003, "m", "calibration", "ours")
PASTE_DENSITY = Constant(1100.0, 1000.0, 1200.0, "kg/m3", "calibration", "ours")
LIQUID_DENSITY = Constant(1030.0, 1000.0, 1080.0, "kg/m3", "calibration", "ours")  # a seasoned watery mix

THIN_COAT_M = Constant(0.0005, 0.0003, 0.0008, "m", "calibration", "ours")
THICK_COAT_M = Constant(0.0025, 0.0012, 0.0035, "m", "calibration", "ours")
# A dusting of a dry rub, as it stays on a moist surface: its measure is its salt.
RUB_KG_PER_M2 = Constant(0.15, 0.05, 0.45, "kg/m2", "common_practice", "practice")
# Share of what pours in what pours and holds: a paste below the low end, a liquid above the high one.
POURING_SHARE = Constant(0.50, 0.30, 0.70, "1", "calibration", "ours")
# Water and fat in a mix: a rub below the low end, a paste above the high one.
DRY_MIX_WATER = Constant(0.40, 0.20, 0.60, "kg/kg", "calibration", "ours")
DRY_SPICE_HOLDS = Constant(2.0, 1.0, 3.0, "kg/kg", "common_practice", "practice")
PASTE_RUN_OFF = Constant(0.10, 0.05, 0.20, "1", "calibration", "ours")
# Grains of mince, by the holes of the plate; a mix worked in lies between them.
MINCED_GRAIN_M = Constant(0.0045, 0.003, 0.008, "m", "common_practice", "practice")

# --- a liquid round the meat -----------------------------------------------------------------
BAG_LAYER_M = Constant(0.0015, 0.0007, 0.003, "m", "calibration", "ours")
VACUUM_LAYER_M = Constant(0.0005, 0.0003, 0.001, "m", "calibration", "ours")
OVER_THE_MEAT_M = Constant(0.010, 0.005, 0.015, "m", "common_practice", "practice")
TUB_HEIGHT_M = Constant(0.090, 0.060, 0.120, "m", "common_practice", "practice")
PACKED_CUBES = Constant(0.58, 0.52, 0.64, "1", "calibration", "ours")
PACKED_STRIPS = Constant(0.55, 0.50, 0.62, "1", "calibration", "ours")
PACKED_SLABS = Constant(0.80, 0.70, 0.90, "1", "calibration", "ours")
PACKED_LEGS = Constant(0.55, 0.50, 0.62, "1", "calibration", "ours")

# --- making the mix --------------------------------------------------------------------------
WATER_HEAT_CAPACITY = Constant(4186.0, 4180.0, 4220.0, "J/(kg K)", "handbook_thermal", "published")
ICE_HEAT_CAPACITY = Constant(2090.0, 2000.0, 2110.0, "J/(kg K)", "handbook_thermal", "published")
ICE_MELTING_HEAT = Constant(333_600.0, 333_000.0, 334_000.0, "J/kg", "handbook_thermal", "published")
FREEZER_ICE_C = Constant(-18.0, -20.0, -10.0, "C", "common_practice", "practice")
ICE_BATH_C = Constant(0.5, 0.0, 2.0, "C", "common_practice", "practice")
CONCENTRATE_C = Constant(80.0, 70.0, 95.0, "C", "common_practice", "practice")
CONTACT_C = Constant(5.0, 4.0, 5.0, "C", "fda_food_code", "published")
HOT_C = Constant(60.0, 57.0, 60.0, "C", "fda_food_code", "published")
WARM_C = Constant(21.0, 21.0, 21.0, "C", "fda_food_code", "published")
HOT_TO_WARM_S = Constant(7200.0, 7200.0, 7200.0, "s", "fda_food_code", "published")
WARM_TO_COLD_S = Constant(14_400.0, 14_400.0, 14_400.0, "s", "fda_food_code", "published")
BOILING_C = Constant(98.0, 95.0, 101.0, "C", "common_practice", "practice")
STILL_AIR_COOLING = Constant(10.0, 6.0, 14.0, "W/(m2 K)", "calibration", "ours")
ICE_BATH_COOLING = Constant(200.0, 100.0, 400.0, "W/(m2 K)", "calibration", "ours")
MIX_HEAT_PER_VOLUME = Constant(3.9e6, 3.4e6, 4.2e6, "J/(m3 K)", "handbook_thermal", "published")
COOLING_LAYER_M = Constant(0.030, 0.020, 0.050, "m", "common_practice", "practice")
PAN_BOILS_OFF_KG_PER_S = Constant(0.00025, 0.00015, 0.0004, "kg/s", "calibration", "ours")
# An open pot at a simmer, some 5 g a minute; wide pans twice that.
SIMMERS_OFF_KG_PER_S = Constant(0.00008, 0.00004, 0.00016, "kg/s", "common_practice", "practice")
# Water kept by a kilogram of sugar boiled to a thick syrup: the end of what a reduction is.
SYRUP_WATER = Constant(0.20, 0.10, 0.35, "kg/kg", "calibration", "ours")
FRIED_LOSES = Constant(0.50, 0.35, 0.65, "1", "common_practice", "practice")
FRYING = Constant(8.0, 4.0, 15.0, "min", "common_practice", "practice")
LIFTED_TAKES_ALONG = Constant(0.10, 0.05, 0.20, "kg/kg", "calibration", "ours")
SOAKED_UP_BY_DRIED = Constant(1.0, 0.5, 2.0, "kg/kg", "common_practice", "practice")
# Share of what dissolves (heat included) that a lifted piece leaves behind after a simmer; raw, a part of that.
LEFT_BY_CUT_PIECES = Constant(0.60, 0.40, 0.80, "1", "calibration", "ours")
LEFT_BY_WHOLE_PIECES = Constant(0.25, 0.10, 0.40, "1", "calibration", "ours")
RAW_LEAVES = Constant(0.50, 0.30, 0.70, "1", "calibration", "ours")
THICK_PASTE_WATER = Constant(0.55, 0.50, 0.60, "kg/kg", "calibration", "ours")
SPREADABLE_PASTE_WATER = Constant(0.68, 0.62, 0.72, "kg/kg", "calibration", "ours")
LOOSE_PASTE_WATER = Constant(0.80, 0.75, 0.85, "kg/kg", "calibration", "ours")

# --- taste of the mix ------------------------------------------------------------------------
SWEET_HIDES_SALT = Constant(0.10, 0.05, 0.15, "1", "breslin1997", "ours")
SWEET_HIDES_SOUR = Constant(0.25, 0.15, 0.35, "1", "breslin1997", "ours")
SOUR_HIDES_SWEET = Constant(0.15, 0.08, 0.25, "1", "breslin1997", "ours")
SWEET_HIDES_HEAT = Constant(0.20, 0.10, 0.30, "1", "breslin1997", "ours")
SWEET_REFERENCE_KG_PER_KG = Constant(0.060, 0.030, 0.120, "kg/kg", "calibration", "ours")
SOUR_REFERENCE_KG_PER_KG = Constant(0.010, 0.005, 0.020, "kg/kg", "calibration", "ours")
SODIUM_SHARE_OF_SALT = Constant(0.3934, 0.3934, 0.3934, "kg/kg", "atomic_weights", "derived")
SODIUM_A_DAY_KG = Constant(0.002, 0.002, 0.002, "kg", "who_sodium", "published")
# Of a day's sodium, what the mix of one meal may bring to somebody who eats low in salt: one meal of three.
LOW_SALT_MEAL_SHARE = Constant(1 / 3, 0.2, 0.4, "1", "calibration", "ours")
SALTY_SERVING_KG = Constant(0.002, 0.002, 0.002, "kg", "who_sodium", "published")

# --- the window ----------------------------------------------------------------------------
SALT_TARGET_KG_PER_KG = Constant(0.012, 0.008, 0.015, "kg/kg", "common_practice", "practice")
BEST_NEAR_LATEST = Constant(0.9, 0.8, 1.0, "1", "calibration", "ours")
FRIDGE_ADVISED_C = Constant(5.0, 4.0, 5.0, "C", "fsis", "published")
FRIDGE_USUAL_C = Constant(4.0, 2.0, 5.0, "C", "common_practice", "practice")  # where nothing is told
FRIDGE_WARMEST_C = Constant(15.0, 10.0, 15.0, "C", "calibration", "ours")  # warmer than this is no fridge
# Hours that raw food keeps fall, in their logarithm, from its days at 5 C to the two hours at room temperature and the
# one at 32 C: between the figures of the authorities, and steeper than growth rates measured between them.
ROOM_C = Constant(20.0, 18.0, 25.0, "C", "fsis", "published")
ROOM_KEEPS_H = Constant(2.0, 2.0, 2.0, "h", "fsis", "published")
HOT_ROOM_C = Constant(32.0, 32.0, 32.0, "C", "fsis", "published")
HOT_ROOM_KEEPS_H = Constant(1.0, 1.0, 1.0, "h", "fsis", "published")
AIRLESS_WARMEST_C = Constant(5.0, 3.0, 5.0, "C", "fda_food_code", "published")
AIRLESS_COLD_C = Constant(3.0, 3.0, 3.0, "C", "fda_food_code", "published")
AIRLESS_KEEPS_S = Constant(86_400.0, 86_400.0, 86_400.0, "s", "fda_food_code", "published")  # fish, mild mixes
MOST_ON_THE_HEAT = Constant(240.0, 120.0, 480.0, "min", "common_practice", "practice")  # where it was not said

# --- vessel, turns, air ----------------------------------------------------------------------
VACUUM_CLAIM = Constant(2.0, 1.0, 3.0, "1", "common_practice", "practice")
UNTURNED_SHARE = Constant(0.8, 0.6, 0.9, "1", "calibration", "ours")
OPEN_AIR_PACE = Constant(0.85, 0.7, 1.0, "1", "calibration", "ours")
OPEN_AIR_LOSS_KG_PER_M2_S = Constant(1.1e-5, 0.5e-5, 2.5e-5, "kg/(m2 s)", "calibration", "ours")
METAL_ACID_PH = Constant(4.6, 4.0, 5.0, "1", "fsis", "published")
ENZYME_DIFFUSIVITY = Constant(1e-11, 3e-12, 5e-11, "m2/s", "calibration", "ours")

# --- acid in the meat ------------------------------------------------------------------------
ACID_BAND_PH = Constant(4.4, 4.2, 4.6, "1", "calibration", "ours")
ACID_BAND_PH_FISH = Constant(5.0, 4.8, 5.2, "1", "calibration", "ours")
SUGAR_OVER_SALT = Constant(0.36, 0.30, 0.45, "1", "robinson_stokes", "derived")
ACID_IONS_MOVE = Constant(0.3, 0.0, 1.0, "1", "calibration", "ours")
ACID_FISH_FACTOR = Constant(2.5, 1.0, 5.0, "1", "calibration", "ours")
JAR_SAFE_PH = Constant(4.6, 4.6, 4.6, "1", "fda_food_code", "published")

# --- enzymes, on the scale "neat fresh pineapple juice at 4 C = 1" ---------------------------
ENZYME_ACTIVATION = Constant(48_000.0, 35_000.0, 60_000.0, "J/mol", "calibration", "ours")
ENZYME_FULL_FILM_KG_PER_M2 = Constant(0.5, 0.3, 1.0, "kg/m2", "calibration", "ours")
ENZYME_PLEASANT_H = Constant(0.6, 0.3, 1.2, "h", "calibration", "ours")

# --- before and after the fire -------------------------------------------------------------
FAN_OVEN_LOWER_C = Constant(20.0, 15.0, 25.0, "C", "common_practice", "practice")
TEMPER = Constant(20.0, 15.0, 30.0, "min", "common_practice", "practice")
SMALL_REST = Constant(5.0, 3.0, 10.0, "min", "common_practice", "practice")
JOINT_REST = Constant(15.0, 10.0, 20.0, "min", "common_practice", "practice")
BRINE_REST = Constant(180.0, 180.0, 1440.0, "min", "common_practice", "practice")

# --- freezer ---------------------------------------------------------------------------------
THAW_S_PER_KG = Constant(42_350.0, 38_100.0, 47_600.0, "s/kg", "fsis", "published")  # 24 h for each 4 to 5 lb
LEAST_THAW_S = Constant(86_400.0, 43_200.0, 86_400.0, "s", "fsis", "published")  # a full day even for small packs
FREEZER_QUALITY_S = Constant(7_889_400.0, 5_259_600.0, 10_519_200.0, "s", "fsis", "published")  # about three months

# --- doneness, as recalled; check the current text --------------------------------------------
POULTRY_DONE_C = Constant(74.0, 74.0, 74.0, "C", "fsis", "published")
DONE_TO_WITHIN_K = Constant(0.2, 0.1, 0.3, "K", "calibration", "ours")  # 165 F is 73.9 C: the same guidance
WHOLE_RED_DONE_C = Constant(63.0, 63.0, 63.0, "C", "fsis", "published")
WHOLE_RED_REST = Constant(3.0, 3.0, 3.0, "min", "fsis", "published")
GAME_DONE_C = Constant(71.0, 71.0, 71.0, "C", "us_storage", "published")
MINCE_DONE_C = Constant(71.0, 71.0, 71.0, "C", "fsis", "published")
FISH_DONE_C = Constant(63.0, 63.0, 63.0, "C", "fsis", "published")
NON_INTACT_DONE_C = Constant(68.0, 68.0, 68.0, "C", "fda_food_code", "published")  # for 17 s
UK_DONE_C = Constant(70.0, 70.0, 70.0, "C", "uk_fsa", "published")  # for 2 min, or the same effect

# --- surface, heat, sauce ----------------------------------------------------------------------
CLINGS_THIN_KG_PER_M2 = Constant(0.3, 0.2, 0.4, "kg/m2", "calibration", "ours")
CLINGS_THICK_KG_PER_M2 = Constant(0.7, 0.5, 1.0, "kg/m2", "calibration", "ours")
PATTED_LEAVES = Constant(0.35, 0.2, 0.5, "1", "calibration", "ours")
WIPED_LEAVES = Constant(0.2, 0.1, 0.3, "1", "calibration", "ours")
RINSED_LEAVES = Constant(0.1, 0.05, 0.2, "1", "calibration", "ours")
BROWNS_TO_M = Constant(0.0015, 0.001, 0.003, "m", "calibration", "ours")  # the outer layer of mince that browns
SUGAR_LIMIT_FIERCE = Constant(0.015, 0.008, 0.025, "kg/m2", "calibration", "ours")  # at 245 C
SUGAR_LIMIT_HOT = Constant(0.030, 0.015, 0.045, "kg/m2", "calibration", "ours")  # at 215 C
SUGAR_LIMIT_MEDIUM = Constant(0.060, 0.040, 0.090, "kg/m2", "calibration", "ours")  # at 185 C
SUGAR_LIMIT_GENTLE = Constant(0.120, 0.080, 0.180, "kg/m2", "calibration", "ours")  # at 150 C
DARK_BEARS = Constant(1.6, 1.3, 2.0, "1", "calibration", "ours")  # times the limit, where a dark crust is meant
BURNS_AFTER_MIN = Constant(15.0, 10.0, 25.0, "min", "calibration", "ours")  # what the limits are told for
# In other minutes the limit goes with this power of them, up to so many times.
BROWNS_WITH_TIME = Constant(0.6, 0.4, 0.9, "1", "calibration", "ours")
BROWNS_AT_MOST = Constant(5.0, 3.0, 8.0, "1", "calibration", "ours")
SLOW_HEAT_C = Constant(150.0, 130.0, 160.0, "C", "calibration", "ours")
SLOW_COOK = Constant(90.0, 60.0, 120.0, "min", "calibration", "ours")
ENZYME_TURNS_TO_MUSH_FROM = Constant(0.3, 0.15, 0.6, "1", "calibration", "ours")
CARRY_OVER = Constant(0.03, 0.015, 0.05, "1", "calibration", "ours")
MOST_CARRY_OVER_K = Constant(8.0, 5.0, 12.0, "K", "common_practice", "practice")
CARRIES_AT_M = Constant(0.025, 0.020, 0.030, "m", "calibration", "ours")  # from surface to middle, for that share
AFTER_LAST_BRUSH = Constant(5.0, 3.0, 10.0, "min", "common_practice", "practice")
ROLLING_BOIL = Constant(1.0, 1.0, 3.0, "min", "fsis", "published")
USUAL_BOIL = Constant(5.0, 1.0, 10.0, "min", "common_practice", "practice")
SAUCE_SALT = Constant(0.010, 0.008, 0.015, "kg/kg", "common_practice", "practice")
SAUCE_TOO_SALTY = Constant(0.020, 0.015, 0.025, "kg/kg", "common_practice", "practice")
MOST_BOILED_OFF = Constant(0.8, 0.7, 0.9, "1", "common_practice", "practice")  # a fifth stays: more would burn
# A glaze: syrup of a third sugar weighs 1130, honey 1420 (handbook values, from memory); what stays of one brushing
GLAZE_DENSITY = Constant(1200.0, 1100.0, 1400.0, "kg/m3", "calibration", "ours")
GLAZE_ROUND_M = Constant(0.0004, 0.0002, 0.0006, "m", "calibration", "ours")
GLAZE_TOO_HOT = Constant(240.0, 225.0, 260.0, "C", "common_practice", "practice")  # where it burns in minutes
# Times the salt aimed at in the meat, over all that is on the plate, from which it is salty enough
PLATE_SALTY_ENOUGH = Constant(1.25, 1.1, 1.5, "1", "calibration", "ours")
# Share of each mix beside the marinade that is eaten where nothing is said: of a dip half stays in the bowl
EATEN_GLAZE = Constant(0.9, 0.7, 1.0, "1", "common_practice", "practice")
EATEN_COATING = Constant(0.6, 0.4, 0.8, "1", "common_practice", "practice")  # the rest is shaken off
# Dry coating that a moist surface holds [kg/m2]; starch of a liquid from which it thickens, coats a spoon, sets [1]
COATING_HOLDS = Constant(0.35, 0.2, 0.6, "kg/m2", "calibration", "ours")
STARCH_THIN, STARCH_COATS, STARCH_THICK = (
    Constant(0.008, 0.005, 0.012, "1", "common_practice", "practice"),
    Constant(0.022, 0.015, 0.03, "1", "common_practice", "practice"),
    Constant(0.045, 0.035, 0.06, "1", "common_practice", "practice"),
)
EATEN_DIP = Constant(0.5, 0.3, 0.8, "1", "common_practice", "practice")
SAUCE_WORTH_KG = Constant(0.040, 0.020, 0.080, "kg", "common_practice", "practice")
SAUCE_MOST_DILUTION = Constant(2.0, 1.0, 3.0, "1", "common_practice", "practice")

# --- learning --------------------------------------------------------------------------------
DEPTH_READING_M = Constant(0.001, 0.0005, 0.002, "m", "calibration", "ours")
DEPTH_SCATTER = Constant(0.10, 0.05, 0.20, "1", "calibration", "ours")
SALT_TASTE_LOG_SD = Constant(0.20, 0.10, 0.30, "1", "calibration", "ours")
# A verdict that says something else: mis-pressed, another batch's, a child's joke. It may be anything.
STRAY_VERDICTS = Constant(0.10, 0.03, 0.20, "1", "calibration", "ours")
# Fruit varies threefold to fivefold; a step in tenderness is half as much softening again, told to within as much.
ENZYME_LOG_SD = Constant(0.60, 0.40, 0.80, "1", "calibration", "ours")
SOFT_STEP = Constant(0.50, 0.30, 0.70, "1", "calibration", "ours")
SOFT_VERDICT_LOG_SD = Constant(0.45, 0.30, 0.60, "1", "calibration", "ours")
# Softening that eats as just right, against what is half too soft.
JUST_TENDER = Constant(0.35, 0.20, 0.55, "1", "calibration", "ours")
SALT_STEP = Constant(0.18, 0.10, 0.25, "1", "calibration", "ours")  # of a verdict, in ln of salt
SALT_EATEN_LOG_SD = Constant(0.126, 0.08, 0.20, "1", "calibration", "ours")

# --- heat into a piece ---------------------------------------------------------------------------
MEAT_HEAT_DIFFUSIVITY = Constant(1.35e-7, 1.2e-7, 1.5e-7, "m2/s", "handbook_thermal", "published")
MEAT_CONDUCTIVITY = Constant(0.48, 0.42, 0.52, "W/(m K)", "handbook_thermal", "published")
# At a wet or drying surface, evaporation taken off; of an oven at 177 C, growing with the cube of its absolute heat.
SURFACE_HEATING_OVEN = Constant(18.0, 14.0, 24.0, "W/(m2 K)", "calibration", "ours")
OVEN_REFERENCE_K = Constant(450.0, 440.0, 460.0, "K", "calibration", "ours")
RADIATION_POWER = Constant(3.0, 2.0, 4.0, "1", "physical", "derived")  # of the absolute heat, as it changes
FROM_FRIDGE_C = Constant(5.0, 2.0, 8.0, "C", "common_practice", "practice")
SIMMER_C = Constant(97.0, 92.0, 100.0, "C", "common_practice", "practice")
SURFACE_HEATING_GRILL = Constant(32.0, 24.0, 45.0, "W/(m2 K)", "calibration", "ours")
SURFACE_HEATING_PAN = Constant(45.0, 30.0, 70.0, "W/(m2 K)", "calibration", "ours")  # one face after the other
SURFACE_HEATING_POT = Constant(400.0, 200.0, 800.0, "W/(m2 K)", "calibration", "ours")
SURFACE_HEATING_FRYER = Constant(90.0, 60.0, 200.0, "W/(m2 K)", "calibration", "ours")
SURFACE_HEATING_STEAM = Constant(300.0, 100.0, 600.0, "W/(m2 K)", "calibration", "ours")
# When collagen gives way: core [C], and minutes at it by how tough the cut is (common practice, no source).
TENDER_CORE_C = Constant(90.0, 85.0, 95.0, "C", "common_practice", "practice")
TENDER_BELOW_K = Constant(3.0, 1.0, 6.0, "K", "calibration", "ours")  # a core comes no nearer to its heat in time
TENDER_HOLD = {
    "tender": Constant(10.0, 5.0, 20.0, "min", "common_practice", "practice"),
    "moderate": Constant(35.0, 20.0, 60.0, "min", "common_practice", "practice"),
    "tough": Constant(90.0, 60.0, 140.0, "min", "common_practice", "practice"),
}
ROASTING_SPREAD = Constant(1.0, 0.8, 1.25, "1", "calibration", "ours")

# --- minutes of a cook's hands ---------------------------------------------------------------
WEIGH_MIN = Constant(5.0, 2.0, 10.0, "min", "common_practice", "practice")  # fetching bowls and scale
WEIGH_EACH_MIN = Constant(1.0, 0.5, 2.0, "min", "common_practice", "practice")  # a line
POUR_OFF_MIN = Constant(2.0, 1.0, 4.0, "min", "common_practice", "practice")
CONTACT_MIN = Constant(5.0, 2.0, 15.0, "min", "common_practice", "practice")
TURN_MIN = Constant(2.0, 1.0, 5.0, "min", "common_practice", "practice")
BRUSH_MIN = Constant(2.0, 1.0, 4.0, "min", "common_practice", "practice")
FROM_FREEZER_MIN = Constant(5.0, 2.0, 10.0, "min", "common_practice", "practice")
SHOP_MIN = Constant(45.0, 20.0, 90.0, "min", "common_practice", "practice")
PACK_MIN = Constant(5.0, 2.0, 15.0, "min", "common_practice", "practice")
DRY_MIN = Constant(5.0, 2.0, 15.0, "min", "common_practice", "practice")
LEAST_COOK_MIN = Constant(5.0, 3.0, 15.0, "min", "common_practice", "practice")  # anything at all on the heat
COAT_MIN = Constant(10.0, 5.0, 20.0, "min", "common_practice", "practice")  # flour, egg and crumbs
SAUCE_MIN = Constant(10.0, 5.0, 20.0, "min", "common_practice", "practice")
SMALL_MIN = Constant(2.0, 1.0, 5.0, "min", "common_practice", "practice")
BOIL_UP_MIN = Constant(3.0, 2.0, 6.0, "min", "common_practice", "practice")  # until it boils at all
ROUND_MIN = Constant(2.0, 1.0, 4.0, "min", "common_practice", "practice")  # of a glaze
ROUND_EVERY_MIN = Constant(5.0, 3.0, 10.0, "min", "common_practice", "practice")
# Until a place is hot.
HEATS_UP_MIN = {
    place: Constant(usual, low, high, "min", "common_practice", "practice")
    for place, usual, low, high in (
        ("oven", 15.0, 10.0, 30.0), ("parcel", 15.0, 10.0, 30.0), ("broiler", 5.0, 3.0, 10.0),
        ("grill", 30.0, 15.0, 45.0), ("grill_indirect", 30.0, 15.0, 45.0), ("smoker", 45.0, 30.0, 75.0),
        ("fryer", 10.0, 5.0, 20.0), ("steamer", 10.0, 5.0, 15.0),
    )
}  # fmt: skip

# --- cautions: from when on they are told --------------------------------------------------------
HOT_ON_HANDS_SHU = Constant(1000.0, 500.0, 5000.0, "SHU", "calibration", "ours")
CROWD_SERVINGS = Constant(40.0, 20.0, 60.0, "1", "calibration", "ours")
SMALL_CUT_KG = Constant(0.1, 0.05, 0.15, "kg", "us_storage", "ours")  # red meat in small pieces keeps for less
SMALL_CUT_KEEPS_H = Constant(48.0, 24.0, 48.0, "h", "us_storage", "published")
LIES_UNDER_OIL = Constant(0.10, 0.05, 0.20, "kg/kg", "calibration", "ours")  # share of fat in a mix
SOUR_THROUGHOUT_PH = Constant(4.2, 4.0, 4.4, "1", "calibration", "ours")  # well under 4.6
SOUR_THROUGHOUT_OIL = Constant(0.5, 0.3, 0.7, "kg/kg", "calibration", "ours")  # of its water: more floats off it
SALT_SET_KG_PER_KG = Constant(0.025, 0.020, 0.035, "kg/kg", "common_practice", "practice")  # fish set, not seasoned
SPIRIT_SHARE = Constant(0.20, 0.15, 0.30, "kg/kg", "calibration", "ours")
FLARES_FROM_KG = Constant(0.030, 0.015, 0.050, "kg", "calibration", "ours")
