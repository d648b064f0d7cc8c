package dremsa.core.formula;

import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Optional;

/**
 * One step of a brew. The family is closed: the brew model, the self-check and the bench each know
 * every member. Ingredients are named by their key within the formula.
 */
public sealed interface Step {

  /** What the maker is told. */
  Guide guide();

  /** How long it takes, where time matters. */
  default Optional<Window> window() {
    return Optional.empty();
  }

  /** The ingredients it touches by name; empty when it works on all that is in the vessel. */
  default List<String> ingredients() {
    return List.of();
  }

  /** Whether it needs hands for as long as it lasts. */
  default boolean needsHands() {
    return true;
  }

  /**
   * Whether a run can go on without it: what puts the brew together, parts it or bottles it cannot
   * be left out.
   */
  default boolean skippable() {
    return !(this instanceof Combine || this instanceof Bottle || this instanceof Divide);
  }

  /** Rinse in cold water and drain. */
  record Wash(List<String> ingredients, Guide guide) implements Step {
    public Wash {
      ingredients = List.copyOf(ingredients);
    }
  }

  /** Ready an ingredient: pick, peel, drain, crush, or make the jars clean. */
  record Prepare(List<String> ingredients, Treatment treatment, Window time, Guide guide)
      implements Step {
    public Prepare {
      ingredients = List.copyOf(ingredients);
    }

    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }
  }

  /** What is done to an ingredient beforehand. */
  enum Treatment {
    PICK,
    CHOP,
    CRUSH,
    POWDER,
    PEEL,
    /** Drain and soak aloe, so that the yellow latex runs out. */
    DRAIN_LATEX,
    /** Boil out or bake jars and bottles. */
    STERILISE,
    /** Dry until no water is left. */
    DRY
  }

  /** Put ingredients together in a vessel, the liquid cold or just boiled. */
  record Combine(VesselKind vessel, List<String> ingredients, LiquidHeat liquid, Guide guide)
      implements Step {
    public Combine {
      ingredients = List.copyOf(ingredients);
    }
  }

  /** How hot the liquid goes in. */
  enum LiquidHeat {
    ROOM,
    JUST_BOILED
  }

  /** Bring to the boil on the strongest heat. */
  record Heat(boolean lid, boolean stir, Guide guide) implements Step {
    @Override
    public boolean needsHands() {
      return stir;
    }
  }

  /** The longest that anything is kept on a hob, minutes: a day. */
  double MOST_HOB_MINUTES = 24 * 60;

  private static void onTheHob(Window time) {
    if (time.longest() > MOST_HOB_MINUTES) {
      throw new IllegalArgumentException(
          "nothing stays on a hob longer than a day (1440 min), not " + time.longest() + " min");
    }
  }

  /** Keep at the boil; at most a day. */
  record Boil(Level level, boolean lid, boolean stir, Window time, Guide guide) implements Step {
    public Boil {
      onTheHob(time);
    }

    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return stir;
    }
  }

  /** How strongly it boils. */
  enum Level {
    ROLLING,
    GENTLE,
    SIMMER
  }

  /** Stand the closed jar in simmering water; at most a day. */
  record WaterBath(Window time, Guide guide) implements Step {
    public WaterBath {
      onTheHob(time);
    }

    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Let it stand and cool at room temperature. */
  record Steep(boolean cover, Window time, Guide guide) implements Step {
    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Let it stand in cold liquid. */
  record Soak(Place place, Window time, Guide guide) implements Step {
    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Let starch water sour, lidded, at room temperature. */
  record Ferment(Window time, Guide guide) implements Step {
    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Leave a plant in spirit or oil for days or weeks, in the dark. */
  record Macerate(int shakeEveryDays, Window time, Guide guide) implements Step {
    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Cool to a temperature. */
  record Cool(double toC, CoolingWay way, boolean cover, Guide guide) implements Step {
    @Override
    public boolean needsHands() {
      return false;
    }
  }

  /** Where it cools. */
  enum CoolingWay {
    COUNTER,
    /** In a wide bowl, so that more surface meets the air. */
    SHALLOW_BOWL,
    ICE_BATH,
    FRIDGE
  }

  /** Part the liquid from the plant. */
  record Strain(StrainTool tool, boolean squeeze, Guide guide) implements Step {}

  /** Blend until smooth; the juice of fresh plants joins the liquid. */
  record Blend(Window time, Guide guide) implements Step {
    @Override
    public Optional<Window> window() {
      return Optional.of(time);
    }
  }

  /** Stir in what must not be boiled, below a temperature. */
  record Add(List<String> ingredients, double belowC, Guide guide) implements Step {
    public Add {
      ingredients = List.copyOf(ingredients);
    }
  }

  /** Fill the containers it is kept in. */
  record Bottle(Container container, Guide guide) implements Step {}

  /** Freeze in portions. */
  record Freeze(double portionMl, Guide guide) implements Step {}

  /**
   * Take a share of the batch for one use; the rest goes its own way.
   *
   * @param share of what is in the vessel, above 0 and below or at 1
   */
  record Divide(String into, double share, Guide guide) implements Step {
    public Divide {
      if (!(share > 0 && share <= 1)) {
        throw new IllegalArgumentException("a share is above 0 and at most 1, not " + share);
      }
    }
  }
}
