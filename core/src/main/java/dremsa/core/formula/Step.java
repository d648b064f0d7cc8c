package dremsa.core.formula;

import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One step of a brew. The family is closed, and each member answers for itself: what it is for data
 * ({@link #kind()}), what it does to a brew in broad strokes (its traits), and by {@link #accept}
 * everything that has to be known of each. A new member is first missed by the compiler.
 * Ingredients are named by their key within the formula.
 */
public sealed interface Step {

  /** Asks what a reader of the whole family has to say of this member. */
  <R> R accept(StepCases<R> cases);

  /** Which member of the family it is, for data and for tables by kind. */
  StepKind kind();

  /**
   * A few words, imperative, the same on the bench, on a sheet and in a calendar: {@code "Steep,
   * covered"}.
   */
  default String headline() {
    return kind().headline(this);
  }

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
    return !stands() && !onlyCools();
  }

  /** Handwork that is soon done: to pour, to stir in, to wash; common practice, minutes. */
  double HANDS_SHORT = 3;

  /** Handwork that takes a little: to strain once, to fill; common practice, minutes. */
  double HANDS_LONG = 5;

  /** Work that something which then goes on alone begins with; our estimate, minutes. */
  double SETTING_ON = 2;

  /**
   * Minutes in which hands are needed, done once and by the usual times: a large amount that is
   * strained in two goes takes longer, and so does what is stirred until it boils.
   */
  default double handsMinutes() {
    if (needsHands()) {
      return window().map(Window::usual).orElse(HANDS_SHORT);
    }
    return onlyCools() && !stands() ? 0 : SETTING_ON;
  }

  /**
   * Whether a run can go on without it: what puts the brew together, parts it or bottles it cannot
   * be left out.
   */
  default boolean skippable() {
    return true;
  }

  /** Whether its ingredients go into the vessel here. */
  default boolean puts() {
    return false;
  }

  /** The kind of vessel that it calls for; empty where it works in the one that stands there. */
  default Optional<VesselKind> worksIn() {
    return Optional.empty();
  }

  /** Whether just-boiled water is poured. */
  default boolean pouredHot() {
    return false;
  }

  /** Whether it stands on a hob that is on. */
  default boolean onHob() {
    return false;
  }

  /** Whether it is left standing to draw or to sour, for hours or for weeks. */
  default boolean stands() {
    return false;
  }

  /** Whether nothing but heat leaves it, to what is around it. */
  default boolean onlyCools() {
    return false;
  }

  /** Whether liquid and plant are parted here, and through what. */
  default Optional<StrainTool> strainer() {
    return Optional.empty();
  }

  /** Whether the cloth or the plant in it is wrung out. */
  default boolean wrung() {
    return false;
  }

  /** What is stirred in here goes in below this, °C; empty where nothing is stirred in. */
  default OptionalDouble stirredBelow() {
    return OptionalDouble.empty();
  }

  /** What is done here to its ingredients before they go in. */
  default Optional<Treatment> readies() {
    return Optional.empty();
  }

  /** What is filled here: after it nothing in the vessel can be worked on any more. */
  default Optional<Container> fills() {
    return Optional.empty();
  }

  /** A step with a time of its own. */
  sealed interface Timed extends Step {
    Window time();

    @Override
    default Optional<Window> window() {
      return Optional.of(time());
    }
  }

  /** A step that names the ingredients it works on. */
  sealed interface Naming extends Step {
    /** The same step for other ingredients. */
    Step naming(List<String> keys);
  }

  /** Rinse in cold water and drain. */
  record Wash(List<String> ingredients, Guide guide) implements Naming {
    public Wash {
      ingredients = List.copyOf(ingredients);
    }

    @Override
    public Step naming(List<String> keys) {
      return new Wash(keys, guide);
    }

    @Override
    public StepKind kind() {
      return StepKind.WASH;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.wash(this);
    }
  }

  /** Ready an ingredient: pick, peel, drain, crush, or make the jars clean. */
  record Prepare(List<String> ingredients, Treatment treatment, Window time, Guide guide)
      implements Timed, Naming {
    public Prepare {
      ingredients = List.copyOf(ingredients);
    }

    @Override
    public Optional<Treatment> readies() {
      return Optional.of(treatment);
    }

    @Override
    public Step naming(List<String> keys) {
      return new Prepare(keys, treatment, time, guide);
    }

    @Override
    public StepKind kind() {
      return StepKind.PREPARE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.prepare(this);
    }
  }

  /** What is done to an ingredient beforehand. */
  enum Treatment {
    PICK("pick", "Pick the leaves"),
    CHOP("chop", "Chop"),
    CRUSH("crush", "Crush"),
    POWDER("grind", "Grind to powder"),
    PEEL("peel", "Trim and peel"),
    /** Drain and soak aloe, so that the yellow latex runs out. */
    DRAIN_LATEX("drain the latex", "Drain off the yellow latex"),
    /** Boil out or bake jars and bottles. */
    STERILISE("sterilise", "Sterilise jars and bottles"),
    /** Dry until no water is left. */
    DRY("dry", "Dry fully");

    private final String words;
    private final String headline;

    Treatment(String words, String headline) {
      this.words = words;
      this.headline = headline;
    }

    /** As in a list: {@code "grind"}. */
    public String words() {
      return words;
    }

    /** As an instruction: {@code "Grind to powder"}. */
    public String headline() {
      return headline;
    }

    /** Whether the time itself does it, not the hand. */
    public boolean takesItsTime() {
      return this == DRAIN_LATEX || this == STERILISE || this == DRY;
    }
  }

  /** Put ingredients together in a vessel, the liquid cold or just boiled. */
  record Combine(VesselKind vessel, List<String> ingredients, LiquidHeat liquid, Guide guide)
      implements Naming {
    public Combine {
      ingredients = List.copyOf(ingredients);
    }

    @Override
    public boolean skippable() {
      return false;
    }

    @Override
    public boolean puts() {
      return true;
    }

    @Override
    public Optional<VesselKind> worksIn() {
      return Optional.of(vessel);
    }

    @Override
    public boolean pouredHot() {
      return liquid == LiquidHeat.JUST_BOILED;
    }

    @Override
    public Step naming(List<String> keys) {
      return new Combine(vessel, keys, liquid, guide);
    }

    @Override
    public StepKind kind() {
      return StepKind.COMBINE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.combine(this);
    }
  }

  /** How hot the liquid goes in. */
  enum LiquidHeat {
    ROOM("cold"),
    JUST_BOILED("just boiled");

    private final String words;

    LiquidHeat(String words) {
      this.words = words;
    }

    /** As in a list: {@code "just boiled"}. */
    public String words() {
      return words;
    }
  }

  /** Bring to the boil on the strongest heat. */
  record Heat(boolean lid, boolean stir, Guide guide) implements Step {
    @Override
    public boolean needsHands() {
      return stir;
    }

    @Override
    public boolean onHob() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.HEAT;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.heat(this);
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
  record Boil(Level level, boolean lid, boolean stir, Window time, Guide guide) implements Timed {
    public Boil {
      onTheHob(time);
    }

    @Override
    public boolean needsHands() {
      return stir;
    }

    @Override
    public boolean onHob() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.BOIL;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.boil(this);
    }
  }

  /** How strongly it boils. */
  enum Level {
    ROLLING("hard", "Boil hard"),
    GENTLE("gently", "Boil gently"),
    SIMMER("at a simmer", "Simmer");

    private final String words;
    private final String headline;

    Level(String words, String headline) {
      this.words = words;
      this.headline = headline;
    }

    /** As in a list: {@code "gently"}. */
    public String words() {
      return words;
    }

    /** As an instruction: {@code "Boil gently"}. */
    public String headline() {
      return headline;
    }
  }

  /** Stand the closed jar in simmering water; at most a day. */
  record WaterBath(Window time, Guide guide) implements Timed {
    public WaterBath {
      onTheHob(time);
    }

    @Override
    public boolean needsHands() {
      return false;
    }

    @Override
    public boolean onHob() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.WATER_BATH;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.waterBath(this);
    }
  }

  /** Let it stand and cool at room temperature. */
  record Steep(boolean cover, Window time, Guide guide) implements Timed {
    @Override
    public boolean stands() {
      return true;
    }

    @Override
    public boolean onlyCools() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.STEEP;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.steep(this);
    }
  }

  /** Let it stand in cold liquid. */
  record Soak(Place place, Window time, Guide guide) implements Timed {
    /** Where a soaking jar can stand, in words for a list. */
    public static Map<Place, String> places() {
      return Map.of(Place.ROOM, "on the counter", Place.FRIDGE, "in the fridge");
    }

    @Override
    public boolean stands() {
      return true;
    }

    @Override
    public boolean onlyCools() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.SOAK;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.soak(this);
    }
  }

  /** Let starch water sour, lidded, at room temperature. */
  record Ferment(Window time, Guide guide) implements Timed {
    @Override
    public boolean stands() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.FERMENT;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.ferment(this);
    }
  }

  /** Leave a plant in spirit or oil for days or weeks, in the dark. */
  record Macerate(int shakeEveryDays, Window time, Guide guide) implements Timed {
    @Override
    public boolean stands() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.MACERATE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.macerate(this);
    }
  }

  /** Cool to a temperature. */
  record Cool(double toC, CoolingWay way, boolean cover, Guide guide) implements Step {
    @Override
    public boolean onlyCools() {
      return true;
    }

    @Override
    public StepKind kind() {
      return StepKind.COOL;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.cool(this);
    }
  }

  /** Where it cools. */
  enum CoolingWay {
    COUNTER("on the counter"),
    /** In a wide bowl, so that more surface meets the air. */
    SHALLOW_BOWL("in a shallow bowl"),
    ICE_BATH("in an ice bath"),
    FRIDGE("in the fridge");

    private final String words;

    CoolingWay(String words) {
      this.words = words;
    }

    /** As in a sentence: {@code "in an ice bath"}. */
    public String words() {
      return words;
    }
  }

  /** Part the liquid from the plant. */
  record Strain(StrainTool tool, boolean squeeze, Guide guide) implements Step {
    @Override
    public Optional<StrainTool> strainer() {
      return Optional.of(tool);
    }

    @Override
    public boolean wrung() {
      return squeeze;
    }

    @Override
    public double handsMinutes() {
      return HANDS_LONG;
    }

    @Override
    public StepKind kind() {
      return StepKind.STRAIN;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.strain(this);
    }
  }

  /** Blend until smooth; the juice of fresh plants joins the liquid. */
  record Blend(Window time, Guide guide) implements Timed {
    @Override
    public Optional<VesselKind> worksIn() {
      return Optional.of(VesselKind.BLENDER);
    }

    @Override
    public StepKind kind() {
      return StepKind.BLEND;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.blend(this);
    }
  }

  /** Stir in what must not be boiled, below a temperature. */
  record Add(List<String> ingredients, double belowC, Guide guide) implements Naming {
    public Add {
      ingredients = List.copyOf(ingredients);
    }

    @Override
    public boolean puts() {
      return true;
    }

    @Override
    public OptionalDouble stirredBelow() {
      return OptionalDouble.of(belowC);
    }

    @Override
    public Step naming(List<String> keys) {
      return new Add(keys, belowC, guide);
    }

    @Override
    public StepKind kind() {
      return StepKind.ADD;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.add(this);
    }
  }

  /** Fill the containers it is kept in. */
  record Bottle(Container container, Guide guide) implements Step {
    @Override
    public boolean skippable() {
      return false;
    }

    @Override
    public Optional<Container> fills() {
      return Optional.of(container);
    }

    @Override
    public double handsMinutes() {
      return HANDS_LONG;
    }

    @Override
    public StepKind kind() {
      return StepKind.BOTTLE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.bottle(this);
    }
  }

  /** Freeze in portions. */
  record Freeze(double portionMl, Guide guide) implements Step {
    @Override
    public Optional<Container> fills() {
      return Optional.of(Container.CUBES);
    }

    @Override
    public StepKind kind() {
      return StepKind.FREEZE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.freeze(this);
    }
  }

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

    @Override
    public boolean skippable() {
      return false;
    }

    @Override
    public StepKind kind() {
      return StepKind.DIVIDE;
    }

    @Override
    public <R> R accept(StepCases<R> cases) {
      return cases.divide(this);
    }
  }
}
