package dremsa.core.people;

/** What switches cautions on, where somebody chose to say so; never asked for. */
public enum Condition {
  PREGNANT("pregnant", "in pregnancy"),
  ASTHMA("asthma", "with asthma"),
  EPILEPSY("epilepsy", "with epilepsy");

  private final String words;
  private final String when;

  Condition(String words, String when) {
    this.words = words;
    this.when = when;
  }

  public String words() {
    return words;
  }

  /** As it is said of who it is: {@code "with asthma"}. */
  String when() {
    return when;
  }
}
