package dremsa.core.scale;

/** What a maker wants to have, or to use up. */
public sealed interface Target {
  /** The least and the most that is brewed at home, mL to bottle. */
  double LEAST_ML = 10;

  double MOST_ML = 20_000;

  /**
   * So much in the bottle.
   *
   * @param millilitres 10 to 20 000
   */
  record Volume(double millilitres) implements Target {
    public Volume {
      within("millilitres", millilitres, LEAST_ML, MOST_ML);
    }
  }

  /**
   * So many bottles of a size, each filled as full as its kind is: a bottle to what is written on
   * it, a jar to a finger's breadth below.
   *
   * @param count 1 to 50
   * @param sizeMl 5 to 5000
   */
  record Bottles(int count, double sizeMl) implements Target {
    public Bottles {
      within("count", count, 1, 50);
      within("sizeMl", sizeMl, 5, 5000);
      within("millilitres", count * sizeMl, LEAST_ML, MOST_ML);
    }
  }

  /**
   * Enough for people and uses.
   *
   * @param people 1 to 20
   * @param uses of each, 1 to 60
   * @param mlPerUse 1 to 1000
   */
  record PeopleUses(int people, int uses, double mlPerUse) implements Target {
    public PeopleUses {
      within("people", people, 1, 20);
      within("uses", uses, 1, 60);
      within("mlPerUse", mlPerUse, 1, 1000);
      within("millilitres", people * uses * mlPerUse, LEAST_ML, MOST_ML);
    }
  }

  /**
   * As much as this much of an ingredient makes.
   *
   * @param ingredient key in the formula, one given in parts
   * @param grams 0.1 to 20 000
   */
  record AtHand(String ingredient, double grams) implements Target {
    public AtHand {
      within("grams", grams, 0.1, 20_000);
    }
  }

  /** As much as the largest vessels of the kitchen take. */
  record FullPot() implements Target {}

  /** Refuses what lies outside a range. */
  static void within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new InvalidTargetException(field, value, low, high);
    }
  }
}
