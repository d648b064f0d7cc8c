package dremsa.core.learn;

/** What may change how hair behaves beside the product, noted with a judgement. */
public enum Confounder {
  STRESS("stress"),
  FOOD("other food"),
  ILLNESS("illness"),
  SEASON("the season"),
  HEAT("heat on it"),
  NEW_BRAIDS("new braids"),
  OTHER_PRODUCT("another new product");

  private final String words;

  Confounder(String words) {
    this.words = words;
  }

  /** As it is said in a list. */
  public String words() {
    return words;
  }
}
