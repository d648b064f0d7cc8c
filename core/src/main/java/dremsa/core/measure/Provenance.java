package dremsa.core.measure;

/** Where a figure comes from; shown to the maker beside it. */
public enum Provenance {
  /** A published relation, constant or table; {@link Figure#source()} names it. */
  PUBLISHED("published"),
  /** A fact of the trade that many makers share; there is no source to name. */
  COMMON_PRACTICE("common practice"),
  /** Recalled from a published work that could not be looked up when this was written. */
  FROM_MEMORY("from memory"),
  /** Our own estimate, with a range wide enough to be honest. */
  ESTIMATE("our estimate"),
  /** Fitted to what was weighed and timed in this kitchen. */
  CALIBRATED("calibrated in this kitchen"),
  /** Typed by the household. */
  HOUSEHOLD("set by the household");

  private final String words;

  Provenance(String words) {
    this.words = words;
  }

  /** The words shown to a person. */
  public String words() {
    return words;
  }
}
