package dremsa.core.brew;

import dremsa.core.measure.Said;

/**
 * Something that keeps a brew from working in this kitchen; each carries the numbers that say so.
 */
public sealed interface Trouble {
  /** The step at which it shows. */
  int step();

  /** One sentence for the maker. */
  String words();

  /** The hob is too weak: the pot settles below the boil. */
  record NeverBoils(int step, double reachesC) implements Trouble {
    @Override
    public String words() {
      return Said.of("It never boils: this hob takes the pot to about %.0f °C.", reachesC);
    }
  }

  /** The water is gone before the step ends. */
  record BoilsDry(int step, double afterMinutes) implements Trouble {
    @Override
    public String words() {
      return Said.of("The pot boils dry after about %.0f min.", afterMinutes);
    }
  }

  /** Froth came over the rim. */
  record BoiledOver(int step, double millilitres) implements Trouble {
    @Override
    public String words() {
      return Said.of("It boiled over: about %.0f mL are on the hob.", millilitres);
    }
  }

  /** What lay on the bottom burnt. */
  record Burnt(int step) implements Trouble {
    @Override
    public String words() {
      return "It has caught on the bottom and burnt: all of it smells of it.";
    }
  }

  /** Hardly anything runs off. */
  record HerbHoldsAll(int step, double liquidGrams, double runsOffGrams) implements Trouble {
    @Override
    public String words() {
      return Said.of(
          "The plants hold nearly all of the %.0f g of liquid: about %.0f g would run off.",
          liquidGrams, runsOffGrams);
    }
  }

  /** No vessel of this kind in the kitchen. */
  record NoVessel(int step, String kind) implements Trouble {
    @Override
    public String words() {
      return "There is no " + kind + " in this kitchen.";
    }
  }

  /** More than the vessel takes. */
  record TooFull(int step, String vessel, double millilitres, double safeMillilitres)
      implements Trouble {
    @Override
    public String words() {
      return Said.of(
          "%.0f mL is more than the %s takes (up to %.0f mL here).",
          millilitres, vessel, safeMillilitres);
    }
  }

  /** It does not cool so far where it stands. */
  record NeverCools(int step, double toC, double standsAtC) implements Trouble {
    @Override
    public String words() {
      return Said.of(
          "It does not cool to %.0f °C where it stands (about %.0f °C).", toC, standsAtC);
    }
  }

  /** No hob in the kitchen. */
  record NoHob(int step) implements Trouble {
    @Override
    public String words() {
      return "There is no hob in this kitchen.";
    }
  }

  /** Less of a brew from the shelf is left than goes in. */
  record NotEnoughPoured(int step, String name, double wantedMl, double leftMl) implements Trouble {
    @Override
    public String words() {
      return Said.of("%.0f mL of %s are wanted, %.0f mL are left.", wantedMl, name, leftMl);
    }
  }

  /** A strength or thickness that no amount of the plants gives. */
  record OutOfReach(String what, double wanted, double least, double most, String unit)
      implements Trouble {
    @Override
    public int step() {
      return 0;
    }

    @Override
    public String words() {
      return Said.of(
          "A %s of %.3g %s is out of reach here: from %.3g to %.3g %s.",
          what, wanted, unit, least, most, unit);
    }
  }
}
