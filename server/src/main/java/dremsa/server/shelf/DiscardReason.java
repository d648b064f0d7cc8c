package dremsa.server.shelf;

/** Why something was thrown away. */
public enum DiscardReason {
  DATE("past its day"),
  MOULD("mould"),
  SMELL("smell"),
  SEPARATED("separated"),
  DISLIKED("did not like it"),
  SPILLED("spilled"),
  OTHER("another reason");

  private final String words;

  DiscardReason(String words) {
    this.words = words;
  }

  /** As it is said in a list: {@code "past its day"}. */
  public String words() {
    return words;
  }
}
