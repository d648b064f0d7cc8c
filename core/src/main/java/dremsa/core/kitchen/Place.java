package dremsa.core.kitchen;

/** Where a brew or a bottle stands. */
public enum Place {
  ROOM("room temperature", "in the cupboard"),
  /** Out beside the bath: warmer than the kitchen, and steamy. */
  BATHROOM("the bathroom", "out in the bathroom"),
  FRIDGE("the fridge", "in the fridge"),
  FREEZER("the freezer", "in the freezer");

  private final String words;
  private final String where;

  /** A bathroom is so much warmer than the kitchen; our estimate, °C. */
  private static final double BATHROOM_WARMER_C = 3;

  private static final double WARMEST_C = 45;

  Place(String words, String where) {
    this.words = words;
    this.where = where;
  }

  public String words() {
    return words;
  }

  /** Whether it is a cold place, in which a perishable brew is meant to stand. */
  public boolean isCold() {
    return this == FRIDGE || this == FREEZER;
  }

  /** The temperature there, °C. */
  public double celsius(Climate climate) {
    return switch (this) {
      // Colder than freezing is no freezer: nobody knows how far it goes through.
      case ROOM -> Math.max(0, climate.roomC());
      case BATHROOM -> Math.min(WARMEST_C, Math.max(0, climate.roomC()) + BATHROOM_WARMER_C);
      case FRIDGE -> climate.fridgeC();
      case FREEZER -> climate.freezerC();
    };
  }

  /** Where a bottle stands, as it is said of the shelf: {@code "in the cupboard"}. */
  public String where() {
    return where;
  }
}
