package dremsa.core.kitchen;

/** Where a brew or a bottle stands. */
public enum Place {
  ROOM("room temperature"),
  FRIDGE("the fridge"),
  FREEZER("the freezer");

  private final String words;

  Place(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The temperature there, °C. */
  public double celsius(Climate climate) {
    return switch (this) {
      case ROOM -> climate.roomC();
      case FRIDGE -> climate.fridgeC();
      case FREEZER -> climate.freezerC();
    };
  }
}
