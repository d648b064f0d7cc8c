package dremsa.core.reading;

/** What a verb of a note asks for; the word list says which words ask for it. */
enum Act {
  WASH,
  SOAK,
  POUR,
  BOIL,
  SIMMER,
  BRING,
  HEAT,
  WARM,
  STEEP,
  WAIT,
  COVER,
  UNCOVER,
  STIR,
  SHAKE,
  BLEND,
  STRAIN,
  SQUEEZE,
  COOL,
  ADD,
  MIX,
  BOTTLE,
  CHILL,
  FREEZE,
  FERMENT,
  MACERATE,
  BATH,
  DRY,
  CHOP,
  CRUSH,
  GRIND,
  PEEL,
  PICK,
  DRAIN,
  STERILISE,
  DISCARD,
  OFF,
  /** On the head, not in the pot. */
  USE,
  /** How long the writer keeps it. */
  KEEP;

  /** Whether it says how a step beside it goes, and is hardly a step itself. */
  boolean isManner() {
    return this == COVER || this == UNCOVER || this == STIR || this == SHAKE;
  }
}
