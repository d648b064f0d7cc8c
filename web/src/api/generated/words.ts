/** Made by `npm run api` from server/openapi.json. */
export const WORDS = {
  "aboutSchools": {
    "CAREFUL": "The shortest credible times, with published backing (FDA Food Code, USP <795>). Our choice for everyone who has no reason to choose otherwise.",
    "PRACTICE": "What many makers do. Dates beyond the published figures are marked, and ask for clean working: sterilised bottles, a fine strain, a fridge at 5 °C."
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
  "discardReasons": {
    "DATE": "past its day",
    "MOULD": "mould",
    "SMELL": "smell",
    "SEPARATED": "separated",
    "DISLIKED": "did not like it",
    "SPILLED": "spilled",
    "OTHER": "another reason"
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
  "got": {
    "BOUGHT": "bought",
    "HARVESTED": "harvested"
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
  "places": {
    "ROOM": "in the cupboard",
    "BATHROOM": "out in the bathroom",
    "FRIDGE": "in the fridge",
    "FREEZER": "in the freezer"
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
  "schools": {
    "CAREFUL": "careful",
    "PRACTICE": "practice"
  },
  "severities": {
    "ERROR": "Cannot be brewed so",
    "WARNING": "Will probably go wrong",
    "NOTE": "Worth knowing"
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
  "targets": {
    "BOTTLES": "bottles",
    "VOLUME": "volume",
    "PEOPLE_USES": "people and uses",
    "AT_HAND": "herb at hand",
    "FULL_POT": "full pot"
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
  }
} as const;
