/** Made by `npm run api` from server/openapi.json. */
export const WORDS = {
  "aboutSchools": {
    "CAREFUL": "The shortest credible times, with published backing (FDA Food Code, USP <795>). Our choice for everyone who has no reason to choose otherwise.",
    "PRACTICE": "What many makers do. Dates beyond the published figures are marked, and ask for clean working: sterilised bottles, a fine strain, a fridge at 5 °C."
  },
  "ages": {
    "UNDER_3": "under 3",
    "FROM_3": "3 to 6",
    "FROM_6": "6 to 12",
    "FROM_13": "13 to 17",
    "ADULT": "grown up"
  },
  "calibrationStates": {
    "ASKED": "is about to begin",
    "RUNNING": "runs",
    "DONE": "is done",
    "FAILED": "failed"
  },
  "conditions": {
    "PREGNANT": "pregnant",
    "ASTHMA": "asthma",
    "EPILEPSY": "epilepsy"
  },
  "confounders": {
    "STRESS": "stress",
    "FOOD": "other food",
    "ILLNESS": "illness",
    "SEASON": "the season",
    "HEAT": "heat on it",
    "NEW_BRAIDS": "new braids",
    "OTHER_PRODUCT": "another new product"
  },
  "containers": {
    "SPRAY": "spray bottle",
    "TRIGGER": "trigger bottle",
    "APPLICATOR": "applicator bottle",
    "JAR": "jar",
    "CUBES": "ice-cube tray"
  },
  "coolingWays": {
    "COUNTER": "on the counter",
    "SHALLOW_BOWL": "in a shallow bowl",
    "ICE_BATH": "in an ice bath",
    "FRIDGE": "in the fridge"
  },
  "criteria": {
    "SLIP": "slip",
    "DETANGLING": "detangling, minutes",
    "SHED_HAIR": "shed hair",
    "SHINE": "shine",
    "DEFINITION_WET": "definition, wet",
    "DEFINITION_HALF_DRY": "definition, mostly dry",
    "DEFINITION_DRY": "definition, dry",
    "HOLD": "hold",
    "CRUNCH": "crunch",
    "SOFTNESS": "softness",
    "SMELL": "smell",
    "RESIDUE": "residue",
    "STAIN": "stain",
    "ITCH": "scalp itch",
    "FLAKES": "flakes"
  },
  "densities": {
    "FINE": "thin",
    "USUAL": "medium",
    "DENSE": "thick"
  },
  "discardReasons": {
    "DATE": "past its day",
    "MOULD": "mould",
    "SMELL": "smell",
    "SEPARATED": "separated",
    "DISLIKED": "did not like it",
    "SPILLED": "spilled",
    "OTHER": "another reason"
  },
  "dueStates": {
    "COMING": "planned",
    "MOVED": "moved",
    "CARRIED": "not done on its day, moved on to today",
    "DONE": "done",
    "SKIPPED": "left out",
    "MISSED": "missed"
  },
  "entries": {
    "TEMPERATURE": "Temperature",
    "WEIGHT": "Weight in the pot",
    "VOLUME": "Volume in the pot",
    "PH": "Acidity",
    "INGREDIENT": "Really weighed in",
    "SMELL": "Smell",
    "SHAKEN": "Shaken",
    "NOTE": "Note"
  },
  "entryUnits": {
    "TEMPERATURE": "°C",
    "WEIGHT": "g",
    "VOLUME": "mL",
    "PH": "pH",
    "INGREDIENT": "g",
    "SMELL": "",
    "SHAKEN": "",
    "NOTE": ""
  },
  "families": {
    "NUT_OILS": "nut oils",
    "GRAIN": "grain",
    "ALOE": "aloe",
    "DAISIES": "chamomile and other daisies",
    "MINTS": "mint and its kin",
    "ONIONS": "onion and its kin",
    "SEEDS": "gum seeds",
    "SEAWEED": "seaweed",
    "SPIRIT": "spirit",
    "FOODS": "egg, milk and honey",
    "SCENTS": "essential oils and fragrance"
  },
  "got": {
    "BOUGHT": "bought",
    "HARVESTED": "harvested"
  },
  "headSections": {
    "LEFT": "left",
    "RIGHT": "right",
    "BACK": "back",
    "CROWN": "crown"
  },
  "labelFormats": {
    "A4_21": "63.5 × 38.1 mm, 21 on A4",
    "A4_8": "99.1 × 67.7 mm, 8 on A4",
    "LETTER_10": "4 × 2 in, 10 on Letter",
    "A4_PLAIN": "plain A4, to cut",
    "LETTER_PLAIN": "plain Letter, to cut",
    "TAPE": "to write off, for tape"
  },
  "levels": {
    "ROLLING": "hard",
    "GENTLE": "gently",
    "SIMMER": "at a simmer"
  },
  "limitKinds": {
    "UNSUITED": "does not suit",
    "REACTED": "reacted before",
    "AGE": "not at this age",
    "CONDITION": "with care",
    "ESSENTIAL_OILS": "essential oils",
    "PROTEIN": "protein",
    "SPIRIT": "spirit",
    "ACID": "too sour",
    "FERMENT": "ferment",
    "NEW_INGREDIENT": "not tested yet",
    "NOT_KNOWN": "not known",
    "STAINS": "stains",
    "IRRITANT": "irritant"
  },
  "liquids": {
    "ROOM": "cold",
    "JUST_BOILED": "just boiled"
  },
  "makes": {
    "RATIO": "by ratio",
    "WHOLE_RATIO": "by mL to g of all plants",
    "STRENGTH": "by strength",
    "THICKNESS": "by thickness"
  },
  "measures": {
    "METRIC": "Metric (cup 250 mL, tablespoon 15 mL)",
    "UK": "British (pints, metric spoons)",
    "US": "US customary (cup 237 mL)",
    "US_LABEL": "US nutrition label (cup 240 mL)",
    "AUSTRALIAN": "Australian (tablespoon 20 mL)"
  },
  "occasionKinds": {
    "WASH_DAY": "wash day",
    "MIDWEEK": "midweek",
    "BETWEEN_BRAIDS": "between the braids"
  },
  "pageKinds": {
    "BATCH": "batch",
    "HEAD": "day on a head",
    "NOTE": "note"
  },
  "patterns": {
    "STRAIGHT": "straight",
    "WAVY": "wavy",
    "CURLY": "curly",
    "COILED": "coiled",
    "TIGHTLY_COILED": "tightly coiled"
  },
  "places": {
    "ROOM": "in the cupboard",
    "BATHROOM": "out in the bathroom",
    "FRIDGE": "in the fridge",
    "FREEZER": "in the freezer"
  },
  "porosities": {
    "LOW": "low: water beads and stays",
    "NORMAL": "normal",
    "HIGH": "high: water soaks in at once",
    "UNSURE": "not sure"
  },
  "porosityDryings": {
    "OVER_6_H": "More than 6 hours",
    "BETWEEN": "2 to 6 hours",
    "UNDER_2_H": "Less than 2 hours"
  },
  "porosityProducts": {
    "SIT_ON_TOP": "They sit on top",
    "SINK_IN": "They sink in after a while",
    "VANISH": "They are gone at once, the hair wants more"
  },
  "porositySprays": {
    "BEADS_STAY": "The beads stay",
    "SOAKS_SLOWLY": "They go in little by little",
    "SOAKS_AT_ONCE": "It soaks in at once"
  },
  "provenances": {
    "PUBLISHED": "published",
    "COMMON_PRACTICE": "common practice",
    "FROM_MEMORY": "from memory",
    "ESTIMATE": "our estimate",
    "CALIBRATED": "calibrated in this kitchen",
    "HOUSEHOLD": "set by the household"
  },
  "purposes": {
    "LEAVE_IN": "leave-in spray",
    "RINSE": "rinse",
    "PRE_WASH": "pre-wash",
    "STYLER": "styler",
    "SCALP": "scalp treatment",
    "MASK": "mask",
    "CONDITIONER": "conditioner",
    "OIL": "hair oil"
  },
  "reaches": {
    "CROPPED": "cropped",
    "CHIN": "to the chin",
    "SHOULDER": "to the shoulders",
    "MID_BACK": "to mid-back",
    "WAIST": "to the waist"
  },
  "scalps": {
    "ORDINARY": "ordinary",
    "DRY": "dry",
    "OILY": "oily",
    "FLAKY": "flaky",
    "SENSITIVE": "sensitive"
  },
  "schools": {
    "CAREFUL": "careful",
    "PRACTICE": "practice"
  },
  "searchStates": {
    "ASKED": "waits",
    "RUNNING": "at work",
    "DONE": "done",
    "STOPPED": "stopped",
    "FAILED": "failed"
  },
  "severities": {
    "ERROR": "Cannot be brewed so",
    "WARNING": "Will probably go wrong",
    "NOTE": "Worth knowing"
  },
  "signs": {
    "IRRITATION": "itching or red",
    "BURNING": "burning",
    "SWELLING": "swelling",
    "FLAKES": "flakes that were not there before"
  },
  "slotKinds": {
    "DETANGLE": "detangle",
    "PRE_WASH": "before the wash",
    "SCALP": "scalp treatment",
    "SHAMPOO": "shampoo",
    "CONDITION": "conditioner",
    "MASK": "mask",
    "RINSE": "rinse",
    "LEAVE_IN": "leave-in spray",
    "BETWEEN_BRAIDS": "between the braids",
    "CREAM": "cream",
    "STYLER": "styler",
    "SEAL": "oil to seal",
    "SCALP_OIL": "oil for the scalp",
    "DRY": "dry"
  },
  "soakPlaces": {
    "ROOM": "on the counter",
    "FRIDGE": "in the fridge"
  },
  "stepKinds": {
    "wash": "Wash",
    "prepare": "Prepare",
    "combine": "Put together",
    "heat": "Heat to the boil",
    "boil": "Boil",
    "waterBath": "Water bath",
    "steep": "Steep",
    "soak": "Soak",
    "ferment": "Ferment",
    "macerate": "Macerate",
    "cool": "Cool",
    "strain": "Strain",
    "blend": "Blend",
    "add": "Stir in",
    "bottle": "Bottle",
    "freeze": "Freeze",
    "divide": "Divide"
  },
  "strainers": {
    "SIEVE": "sieve",
    "CLOTH": "cloth",
    "NUT_BAG": "nut-milk bag",
    "STOCKING": "stocking",
    "FINE_CLOTH": "very fine cloth",
    "PAPER": "paper filter"
  },
  "strands": {
    "FINE": "fine",
    "MEDIUM": "medium",
    "COARSE": "coarse"
  },
  "symptoms": {
    "TOO_THIN": "too thin",
    "TOO_THICK": "too thick",
    "LITTLE_CAME_OUT": "little came out",
    "BOILED_DRY": "boiled dry",
    "SOUR": "sour",
    "FLAKY": "flakes when dry",
    "SLIMY": "slimy",
    "LUMPY": "lumpy",
    "SEPARATED": "separated",
    "BLOCKED_NOZZLE": "blocks the nozzle",
    "STAINED": "stained",
    "ITCHY": "itches"
  },
  "targets": {
    "BOTTLES": "bottles",
    "VOLUME": "volume",
    "PEOPLE_USES": "people and uses",
    "AT_HAND": "herb at hand",
    "FULL_POT": "full pot"
  },
  "testResults": {
    "NOTHING": "nothing to see",
    "REACTED": "red, itching or swollen"
  },
  "thicknesses": {
    "SPRAY": "thin as water",
    "LIGHT": "light",
    "SYRUP": "syrup",
    "GEL": "gel",
    "STIFF": "stiff"
  },
  "treatments": {
    "PICK": "pick",
    "CHOP": "chop",
    "CRUSH": "crush",
    "POWDER": "grind",
    "PEEL": "peel",
    "DRAIN_LATEX": "drain the latex",
    "STERILISE": "sterilise",
    "DRY": "dry"
  },
  "vessels": {
    "POT": "pot",
    "BOWL": "bowl",
    "JAR": "jar",
    "BLENDER": "blender"
  },
  "waters": {
    "SOFT": "soft water",
    "MEDIUM": "medium water",
    "HARD": "hard water"
  },
  "wornStyles": {
    "LOOSE": "loose",
    "PLAITS": "in plaits",
    "CORNROWS": "in cornrows",
    "TWISTS": "in twists",
    "WRAP": "under a wrap"
  }
} as const;
