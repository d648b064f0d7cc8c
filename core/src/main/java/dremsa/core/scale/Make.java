package dremsa.core.scale;

/** What a maker wants the brew to be like, whatever its amount. */
public sealed interface Make {
  /**
   * So much liquid to a plant, as both are put in.
   *
   * @param ingredient key of a plant given in parts
   * @param liquidPerPlant g per g, 0.2 to 2000
   */
  record Ratio(String ingredient, double liquidPerPlant) implements Make {
    public Ratio {
      Target.within("liquidPerPlant", liquidPerPlant, 0.2, 2000);
    }
  }

  /**
   * So much liquid to all plants together, as tinctures are told: 1 : 5 is five millilitres to a
   * gram.
   *
   * @param mlPerGram 0.2 to 2000
   */
  record WholeRatio(double mlPerGram) implements Make {
    public WholeRatio {
      Target.within("mlPerGram", mlPerGram, 0.2, 2000);
    }
  }

  /**
   * So strong in a plant.
   *
   * @param ingredient key of a plant given in parts
   * @param gramsPer100Ml plant put in for each 100 mL of finished brew, 0.01 to 200
   */
  record Strength(String ingredient, double gramsPer100Ml) implements Make {
    public Strength {
      Target.within("gramsPer100Ml", gramsPer100Ml, 0.01, 200);
    }
  }

  /**
   * So thick when cold, by more or less of the plants that give gum.
   *
   * @param mpas at 20 °C, 1.2 to 20 000
   */
  record Thick(double mpas) implements Make {
    public Thick {
      Target.within("mpas", mpas, 1.2, 20_000);
    }
  }
}
