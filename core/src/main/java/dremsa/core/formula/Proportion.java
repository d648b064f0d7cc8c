package dremsa.core.formula;

/** How much of an ingredient belongs to a formula, whatever the size of the batch. */
public sealed interface Proportion {

  /**
   * Parts by weight of what goes into the pot; only the ratios between them count.
   *
   * @param grams at the formula's own writing size, above 0
   */
  record Parts(double grams) implements Proportion {
    public Parts {
      positive("parts", grams, 1e6);
    }
  }

  /**
   * A share of the finished mass, for what has a dose.
   *
   * @param percent above 0, below 100
   */
  record PercentOfFinished(double percent) implements Proportion {
    public PercentOfFinished {
      positive("percent", percent, 99);
    }
  }

  /**
   * Drops to each 100 mL of the finished brew.
   *
   * @param drops above 0
   */
  record DropsPer100Ml(double drops) implements Proportion {
    public DropsPer100Ml {
      positive("drops", drops, 2000);
    }
  }

  private static void positive(String what, double value, double most) {
    if (!(value > 0 && value <= most)) {
      throw new IllegalArgumentException(
          what + " must be above 0 and at most " + most + ", not " + value);
    }
  }
}
