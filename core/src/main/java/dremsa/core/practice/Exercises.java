package dremsa.core.practice;

import static dremsa.core.practice.Aim.What.CAUGHT;
import static dremsa.core.practice.Aim.What.DUST;
import static dremsa.core.practice.Aim.What.KEEPS;
import static dremsa.core.practice.Aim.What.SOUR;
import static dremsa.core.practice.Aim.What.SPILT;
import static dremsa.core.practice.Aim.What.THICKNESS;
import static dremsa.core.practice.Aim.What.TO_BOTTLE;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Change;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.StepRef;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The exercises, each for one mistake that costs makers a batch; all of them our own. */
public final class Exercises {
  private static final Kitchen KITCHEN = Kitchen.usual(MeasureSystem.METRIC);

  /** Warmed glass stands about so much difference; common practice, °C. */
  private static final double GLASS_STANDS = 40;

  private static final double ON_THE_HOB_ML = 5;
  private static final double A_LITTLE_CAUGHT = 40;
  private static final double SMALL_BATCH = 0.35;

  /** So much of a gel that its froth has not much room in the small pot. */
  private static final double POT_OF_GEL = 0.9;

  private static final List<Exercise> ALL =
      List.of(
          tooSoon(),
          looksLikeWater(),
          toTheBottom(),
          thirstySeed(),
          throughPaper(),
          hotGlass(),
          oilWhileHot(),
          preservativeWhileHot(),
          beforeYouGo(),
          coldRoom(),
          yellowSap(),
          spoonForTeaspoon(),
          underTheLid(),
          whileItRuns());

  private Exercises() {}

  /** All of them, in the order in which they are best done. */
  public static List<Exercise> all() {
    return ALL;
  }

  public static Optional<Exercise> find(String id) {
    return ALL.stream().filter(exercise -> exercise.id().equals(id)).findFirst();
  }

  /**
   * A formula without a task: what is asked for is about what the model foretells.
   *
   * @throws dremsa.core.material.UnknownMaterialException when it is made with other brews, or with
   *     something that is not there
   */
  public static Exercise free(Formula formula, Kitchen kitchen, Materials materials) {
    Brew brew = Brew.of(formula, kitchen, materials);
    double scale = Math.min(SMALL_BATCH * 1000 / brew.millilitresAtOne(), brew.largestScale());
    Prediction usual = brew.predict(scale, Facts.NONE);
    List<Aim> aims = new ArrayList<>();
    aims.add(Aim.least(TO_BOTTLE, Math.floor(0.9 * usual.finished().millilitres())));
    if (usual.finished().band().isPresent() && usual.finished().gumPercent() > 0) {
      double thick = usual.finished().thickness();
      aims.add(Aim.of(THICKNESS, Math.floor(thick / 1.5), Math.ceil(thick * 1.5)));
    }
    if (formula.steps().stream().anyMatch(step -> step.onHob())) {
      aims.add(Aim.most(CAUGHT, A_LITTLE_CAUGHT));
      aims.add(Aim.most(SPILT, ON_THE_HOB_ML));
    }
    return of(Exercise.FREE, formula.name(), "Brew it as you like.", "", formula, aims)
        .scaled(scale)
        .in(kitchen)
        .made();
  }

  private static Formula formula(String id) {
    return BuiltInFormulas.find(id).orElseThrow();
  }

  private static int step(Formula formula, String kind, int nth) {
    return new StepRef(kind, nth).in(formula);
  }

  /**
   * An exercise being put together: a small batch in a usual kitchen, and what differs from that.
   */
  private static final class Draft {
    private final String id;
    private final String title;
    private final String task;
    private final String lesson;
    private final Formula formula;
    private final List<Aim> aims;
    private double scale = SMALL_BATCH;
    private Kitchen kitchen = KITCHEN;
    private Map<String, Double> card = Map.of();
    private List<Choice> choices = List.of();
    private List<Bell> bells = List.of();
    private Facts good = Facts.NONE;

    Draft(String id, String title, String task, String lesson, Formula formula, List<Aim> aims) {
      this.id = id;
      this.title = title;
      this.task = task;
      this.lesson = lesson;
      this.formula = formula;
      this.aims = aims;
    }

    Draft scaled(double to) {
      scale = to;
      return this;
    }

    Draft in(Kitchen other) {
      kitchen = other;
      return this;
    }

    Draft carded(String ingredient, double grams) {
      card = Map.of(ingredient, grams);
      return this;
    }

    Draft choosing(Choice choice) {
      choices = List.of(choice);
      return this;
    }

    Draft calling(Bell bell) {
      bells = List.of(bell);
      return this;
    }

    Draft lasting(int step, double minutes) {
      good = good.with(step, StepFacts.lasting(minutes));
      return this;
    }

    Exercise made() {
      return new Exercise(
          id, title, task, lesson, formula, scale, kitchen, card, choices, bells, good, aims);
    }
  }

  private static Draft of(
      String id, String title, String task, String lesson, Formula formula, List<Aim> aims) {
    return new Draft(id, title, task, lesson, formula, aims);
  }

  /** A gel, boiled in a pot that is rather full. */
  private static Draft gel(
      String id, String title, String task, String lesson, Formula formula, Aim... aims) {
    return of(id, title, task, lesson, formula, tended(aims)).scaled(POT_OF_GEL);
  }

  private static List<Aim> tended(Aim... others) {
    List<Aim> aims = new ArrayList<>(List.of(others));
    aims.add(Aim.most(CAUGHT, A_LITTLE_CAUGHT));
    aims.add(Aim.most(SPILT, ON_THE_HOB_ML));
    return aims;
  }

  private static Exercise tooSoon() {
    Formula light = formula("linseed-light");
    Formula formula = new Change.Times("linseed", 2).apply(light);
    int boil = step(formula, "boil", 1);
    return of(
            "too-soon",
            "Off the hob too soon",
            "A gel that is strained hot. It froths almost at once. Take it off when there is gum"
                + " enough in the water, not when it froths.",
            "Froth comes with the first gum; most of it comes in the minutes after. Strained hot,"
                + " nothing more is added.",
            formula,
            tended(Aim.least(TO_BOTTLE, 130), Aim.of(THICKNESS, 200, 900)))
        .lasting(boil, 6)
        .made();
  }

  private static Exercise looksLikeWater() {
    return gel(
            "looks-like-water",
            "It looks like water",
            "A light lotion. In the pot it runs like water, and in the bottle it shall still leave a"
                + " spray head.",
            "Gum is several times as thick cold as at the boil: what looks thin is done.",
            formula("linseed-light"),
            Aim.least(TO_BOTTLE, 650),
            Aim.of(THICKNESS, 15, 75))
        .made();
  }

  private static Exercise toTheBottom() {
    Formula formula = formula("quince-gel");
    int boil = step(formula, "boil", 1);
    return gel(
            "to-the-bottom",
            "To the bottom of the pot",
            "Pips lie on the bottom and catch. Stir every minute; somebody may ring at the door.",
            "What is not stirred burns within minutes on high heat. Before you leave a pot, turn it"
                + " down or take it off.",
            formula,
            Aim.least(TO_BOTTLE, 550))
        .calling(new Bell(boil, 2, 0.5, 3, "The bell rings. You have to go for three minutes."))
        .made();
  }

  private static Exercise thirstySeed() {
    return gel(
            "thirsty-seed",
            "Seed is thirsty",
            "The card says 450 g of water on 77 g of linseed. Seed holds several times its own mass:"
                + " weigh in the water that leaves a glass of gel.",
            "Linseed keeps three to six times its mass in gel that will not run. About 12 : 1 by mass"
                + " leaves most of it to you.",
            formula("linseed-gel"),
            Aim.least(TO_BOTTLE, 500),
            Aim.of(THICKNESS, 300, 1500))
        .carded("water", 450.0)
        .made();
  }

  private static Exercise throughPaper() {
    Formula formula = formula("nettle-powder-spray");
    int paper = step(formula, "strain", 2);
    return of(
            "through-paper",
            "Strained once",
            "Powder for a spray bottle. The cloth has let it through and it looks clear.",
            "A cloth lets powder through. What dries on a nozzle blocks it.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 270), Aim.most(DUST, 0)))
        .choosing(
            new Choice(
                paper,
                "It looks clear. Once more?",
                List.of(
                    Choice.Option.as("paper", "Once more, through paper"),
                    Choice.Option.leaving("once", "Once is enough"))))
        .made();
  }

  private static Exercise hotGlass() {
    Formula formula = formula("lemon-balm-spray");
    int pour = step(formula, "combine", 1);
    return of(
            "hot-glass",
            "Boiling water, cold glass",
            "Pour just-boiled water over the leaf, in glass.",
            "Glass stands about 40 °C of difference. Warm it first, or take steel.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 280), Aim.glass(pour, GLASS_STANDS)))
        .choosing(
            new Choice(
                pour,
                "Which jar?",
                List.of(
                    Choice.Option.glass("warmed", "The jar, rinsed with hot tap water", 60),
                    Choice.Option.glass("shelf", "The jar from the shelf", 21),
                    Choice.Option.glass("fridge", "The clean jar from the fridge", 5))))
        .made();
  }

  private static Exercise oilWhileHot() {
    Formula formula = formula("oat-cream");
    int blend = step(formula, "blend", 1);
    int add = step(formula, "add", 1);
    return of(
            "oil-while-hot",
            "Hot oats, closed blender",
            "Cook, blend and finish with oil. There is a thermometer in the drawer.",
            "Steam throws the lid of a closed blender above about 60 °C; oil goes in below 40 °C.",
            formula,
            tended(Aim.least(TO_BOTTLE, 130), Aim.coolerThan(blend, 60), Aim.coolerThan(add, 40)))
        .made();
  }

  private static Exercise preservativeWhileHot() {
    Formula plain = formula("birch-sage-decoction");
    Formula formula =
        Change.With.atTheEnd(
                plain,
                new Ingredient(
                    "phenoxyethanol", "phenoxyethanol", new Proportion.PercentOfFinished(1)),
                40)
            .apply(plain);
    int add = step(formula, "add", 1);
    return of(
            "preservative-while-hot",
            "The preservative goes in last",
            "A preserved rinse, meant for weeks. The blend goes in when the pot is cool enough for it.",
            "What is too hot for a preservative leaves a brew that counts as unpreserved.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 220), Aim.coolerThan(add, 40), Aim.least(KEEPS, 10)))
        .made();
  }

  private static Exercise beforeYouGo() {
    Formula formula = formula("lemon-balm-spray");
    int steep = step(formula, "steep", 1);
    return of(
            "before-you-go",
            "Before you go out",
            "It draws on the counter. Friends may ring, and you would be back in the morning.",
            "A warm night on the counter costs days in the fridge. Half an hour is enough to strain"
                + " and bottle.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 280), Aim.least(KEEPS, 5.5)))
        .calling(
            new Bell(
                steep,
                125,
                30,
                12 * 60,
                "Friends ring: they fetch you in half an hour, until tomorrow morning."))
        .made();
  }

  private static Exercise coldRoom() {
    Formula formula = formula("barley-ferment");
    int ferment = step(formula, "ferment", 1);
    return of(
            "cold-room",
            "Sour by the clock",
            "The recipe says two to three days. The kitchen is cold this week. There are pH strips.",
            "A ferment is done when it is sour, not when a clock says so: in the cold it takes twice"
                + " as long.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 180), Aim.most(SOUR, 4.6)))
        .in(KITCHEN.withClimate(new Climate(16, 5, -18)))
        .lasting(ferment, 130 * 60)
        .made();
  }

  private static Exercise yellowSap() {
    Formula formula = formula("aloe-juice-fresh");
    int drain = step(formula, "prepare", 1);
    return of(
            "yellow-sap",
            "The yellow sap",
            "Fresh aloe. The leaf is cut: let the bitter yellow latex run off before you peel it.",
            "The latex irritates and can sensitise. Ten minutes upright at least, then a rinse.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 40), Aim.lasted(drain, 10)))
        .made();
  }

  private static Exercise spoonForTeaspoon() {
    Formula plain = formula("calendula-water");
    String sorbate = "potassium-sorbate";
    Formula formula =
        Change.With.atTheEnd(
                plain, new Ingredient(sorbate, sorbate, new Proportion.PercentOfFinished(0.6)), 40)
            .apply(plain);
    return of(
            "spoon-for-teaspoon",
            "A spoon, or a teaspoon?",
            "The card says “one spoon of potassium sorbate”. Somebody weighed a tablespoon: 10 g."
                + " Weigh in what 300 mL may hold.",
            "A tablespoon is three teaspoons. What is strong is weighed, and reckoned in percent.",
            formula,
            List.of(Aim.least(TO_BOTTLE, 270), Aim.dose(sorbate, 0.3, 0.8)))
        .carded(sorbate, 10.0)
        .made();
  }

  private static Exercise underTheLid() {
    return of(
            "under-the-lid",
            "Under the lid",
            "Root gives slowly, a quarter of an hour at the boil. Bring as much of the water to the bottle"
                + " as you can.",
            "At full heat without a lid a small pot loses some 20 g a minute; just moving under the lid,"
                + " hardly any.",
            formula("burdock-decoction"),
            tended(Aim.least(TO_BOTTLE, 240)))
        .made();
  }

  private static Exercise whileItRuns() {
    return gel(
            "while-it-runs",
            "While it runs",
            "Strain the lotion while it runs off the seed.",
            "Hot gum runs freely; half cooled it stays in the seed, and cold it will not come at all.",
            formula("linseed-light"),
            Aim.least(TO_BOTTLE, 650),
            Aim.of(THICKNESS, 15, 75))
        .made();
  }
}
