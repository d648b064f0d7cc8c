package dremsa.core.keep;

/** Why something was thrown away. */
public enum DiscardReason {
  DATE("past its day", Because.DATED),
  MOULD("mould", Because.SPOILED),
  SMELL("smell", Because.SPOILED),
  SEPARATED("separated", Because.SPOILED),
  DISLIKED("did not like it", Because.DISLIKED),
  SPILLED("spilled", Because.CHANCE),
  OTHER("another reason", Because.CHANCE);

  /** What a reason says of the brew: advice follows from it. */
  public enum Because {
    /** More was made than was used in its time. */
    DATED,
    /** It went bad before its day. */
    SPOILED,
    DISLIKED,
    /** It says nothing of the brew. */
    CHANCE
  }

  private final String words;
  private final Because because;

  DiscardReason(String words, Because because) {
    this.words = words;
    this.because = because;
  }

  /** As it is said in a list: {@code "past its day"}. */
  public String words() {
    return words;
  }

  public Because because() {
    return because;
  }
}
