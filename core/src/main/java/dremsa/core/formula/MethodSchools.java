package dremsa.core.formula;

import dremsa.core.formula.MethodSchool.Choice;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The questions on which makers disagree. */
public final class MethodSchools {
  private static final Function<Formula, List<Change>> NOTHING = formula -> List.of();
  private static final Set<Method> GELS =
      EnumSet.of(Method.SEED_GEL, Method.FORTIFIED_CONDITIONER, Method.BLEND);

  private static final List<MethodSchool> ALL =
      List.of(
          gelStraining(),
          gelOil(),
          starchStanding(),
          grain(),
          starchRinse(),
          juice(),
          oilRoute(),
          rinseOut(),
          detangling());

  private MethodSchools() {}

  /** All of them. */
  public static List<MethodSchool> all() {
    return ALL;
  }

  /** Those that come up in a method. */
  public static List<MethodSchool> of(Method method) {
    return ALL.stream().filter(school -> school.methods().contains(method)).toList();
  }

  public static Optional<MethodSchool> find(String id) {
    return ALL.stream().filter(school -> school.id().equals(id)).findFirst();
  }

  private static MethodSchool gelStraining() {
    return new MethodSchool(
        "gel-straining",
        "Strain a seed gel hot or cold?",
        GELS,
        List.of(
            new Choice(
                "cold-squeezed",
                "half cooled, through cloth, squeezed",
                "Thicker and more of it: about three quarters of the water comes back. Needs a"
                    + " strong hand.",
                true,
                "It wastes least, and nobody wrings a boiling cloth.",
                formula -> straining(formula, StrainTool.CLOTH, true)),
            new Choice(
                "hot-sieved",
                "hot, through a sieve",
                "Runs freely and quickly; more stays with the seed, and hot gel burns.",
                false,
                "",
                formula -> straining(formula, StrainTool.SIEVE, false))));
  }

  /** The first straining of a seed gel, and the cooling before or after it. */
  private static List<Change> straining(Formula formula, StrainTool tool, boolean squeeze) {
    int strain = first(formula, Step.Strain.class);
    if (strain < 0 || first(formula, Step.Boil.class) < 0) {
      return List.of();
    }
    Step.Strain now = (Step.Strain) formula.steps().get(strain);
    if (now.squeeze() == squeeze) {
      return List.of();
    }
    List<Change> changes = new ArrayList<>();
    changes.add(
        new Change.StepInstead(
            StepRef.first("strain"),
            squeeze ? Making.clothSqueezed() : new Step.Strain(tool, false, now.guide())));
    boolean cooledBefore = strain > 0 && formula.steps().get(strain - 1).kind() == StepKind.COOL;
    if (squeeze && !cooledBefore) {
      changes.add(new Change.StepBefore(StepRef.first("strain"), Making.cool(50)));
    } else if (!squeeze && cooledBefore) {
      changes.add(new Change.StepWithout(StepRef.of(formula.steps(), strain - 1)));
    }
    return changes;
  }

  private static MethodSchool gelOil() {
    return new MethodSchool(
        "gel-oil",
        "A little oil in the gel?",
        EnumSet.of(Method.SEED_GEL),
        List.of(
            new Choice(
                "plain",
                "nothing but seed and water",
                "Keeps as a plain gel, and shows what the gel itself does.",
                true,
                "Oil can be put on after it, to each head as it likes.",
                NOTHING),
            new Choice(
                "with-oil",
                "a little oil stirred in",
                "Against flaking; shake it, for the oil parts again.",
                false,
                "",
                formula ->
                    formula.ingredients().stream().anyMatch(i -> i.key().equals("jojoba-oil"))
                        ? List.of()
                        : List.of(
                            Change.With.atTheEnd(
                                new Ingredient(
                                    "jojoba-oil",
                                    "jojoba-oil",
                                    new Proportion.PercentOfFinished(2)))))));
  }

  private static MethodSchool starchStanding() {
    return new MethodSchool(
        "starch-standing",
        "How long does grain water stand?",
        EnumSet.of(Method.STARCH_WATER),
        List.of(
            new Choice(
                "soaked",
                "soaked half an hour",
                "Mild starch water, used fresh.",
                true,
                "Nothing grows in half an hour, and it can be had today.",
                formula -> standing(formula, Making.soakedGrain(), Optional.empty())),
            new Choice(
                "swished",
                "swished and used",
                "The weakest; ready at once.",
                false,
                "",
                formula -> standing(formula, Making.swishedGrain(), Optional.empty())),
            new Choice(
                "fermented-day",
                "fermented a day",
                "Sourish, softer on the scalp; rinse it out.",
                false,
                "",
                formula ->
                    standing(
                        formula,
                        Making.soakedGrain(),
                        Optional.of(Making.ferment(Window.hours(12, 24, 36))))),
            new Choice(
                "fermented-days",
                "fermented up to five days",
                "Strong, smells sour, stiffens; never longer than a day on the hair.",
                false,
                "",
                formula ->
                    standing(
                        formula,
                        Making.soakedGrain(),
                        Optional.of(Making.ferment(Window.hours(48, 96, 120))))),
            new Choice(
                "cooking-water",
                "the water grain was cooked in",
                "Thicker with starch. Boiling does not ferment it, as some believe.",
                false,
                "",
                MethodSchools::cookingWater)));
  }

  private static List<Change> standing(Formula formula, Step soak, Optional<Step> ferment) {
    if (first(formula, Step.Soak.class) < 0) {
      return List.of();
    }
    List<Change> changes = new ArrayList<>();
    if (!formula.steps().contains(soak)) {
      changes.add(new Change.StepInstead(StepRef.first("soak"), soak));
    }
    boolean has = first(formula, Step.Ferment.class) >= 0;
    if (ferment.isPresent() && has) {
      changes.add(new Change.StepInstead(StepRef.first("ferment"), ferment.get()));
    } else if (ferment.isPresent()) {
      changes.add(new Change.StepBefore(StepRef.first("bottle"), ferment.get()));
    } else if (has) {
      changes.add(new Change.StepWithout(StepRef.first("ferment")));
    }
    return changes;
  }

  private static List<Change> cookingWater(Formula formula) {
    int combine = first(formula, Step.Combine.class);
    if (combine < 0 || first(formula, Step.Soak.class) < 0) {
      return List.of();
    }
    Step.Combine put = (Step.Combine) formula.steps().get(combine);
    List<Change> changes =
        new ArrayList<>(standing(formula, Making.soakedGrain(), Optional.empty()));
    changes.add(
        new Change.StepInstead(
            StepRef.first("combine"),
            new Step.Combine(VesselKind.POT, put.ingredients(), LiquidHeat.ROOM, put.guide())));
    changes.add(new Change.StepInstead(StepRef.first("soak"), Making.heatStirring()));
    changes.add(new Change.StepBefore(StepRef.first("strain"), Making.cookedGrain()));
    changes.add(new Change.StepBefore(StepRef.first("bottle"), Making.cool(35)));
    return changes;
  }

  private static MethodSchool grain() {
    return new MethodSchool(
        "grain",
        "White or whole grain?",
        EnumSet.of(Method.STARCH_WATER),
        List.of(
            new Choice(
                "as-written",
                "the grain of the formula",
                "Any kind works.",
                true,
                "It is what the formula was tried with.",
                NOTHING),
            new Choice(
                "whole",
                "whole grain",
                "Brings more with it, and clouds the water more.",
                false,
                "",
                formula ->
                    formula.ingredient("rice").isPresent()
                            && formula.ingredient("rice").get().material().equals("rice")
                        ? List.of(new Change.Instead("rice", "brown-rice", 1))
                        : List.of())));
  }

  private static MethodSchool starchRinse() {
    return new MethodSchool(
        "starch-rinse",
        "Rinse starch water out?",
        EnumSet.of(Method.STARCH_WATER, Method.GRAIN_CREAM),
        List.of(
            new Choice(
                "rinse",
                "rinse out after 10 to 20 minutes",
                "Never longer than a day on the hair.",
                true,
                "Bacteria, smell and stiffness stay off the head.",
                NOTHING),
            new Choice(
                "leave",
                "let it dry in, when not fermented",
                "More hold, and stiff when it is too much.",
                false,
                "",
                NOTHING)));
  }

  private static MethodSchool juice() {
    return new MethodSchool(
        "raw-juice",
        "Sharp juices raw or boiled?",
        EnumSet.of(Method.FRESH_JUICE),
        List.of(
            new Choice(
                "raw",
                "raw, and shampooed out",
                "The strongest; keeps for days only; irritates broken skin.",
                true,
                "It is what makers mean by it, and the wash takes the smell along.",
                NOTHING),
            new Choice(
                "boiled",
                "boiled after straining",
                "Milder, and keeps a little longer; some then leave it in.",
                false,
                "",
                formula ->
                    first(formula, Step.Boil.class) >= 0 || first(formula, Step.Bottle.class) < 0
                        ? List.of()
                        : List.of(
                            new Change.StepBefore(
                                StepRef.first("bottle"),
                                new Step.Combine(
                                    VesselKind.POT,
                                    List.of(),
                                    LiquidHeat.ROOM,
                                    Guide.how("Pour the strained juice into a pot."))),
                            new Change.StepBefore(StepRef.first("bottle"), Making.toTheBoil()),
                            new Change.StepBefore(StepRef.first("bottle"), Making.boiledJuice()),
                            new Change.StepBefore(StepRef.first("bottle"), Making.cool(35))))));
  }

  private static MethodSchool oilRoute() {
    return new MethodSchool(
        "oil-route",
        "Which way into the oil?",
        EnumSet.of(Method.INFUSED_OIL),
        List.of(
            new Choice(
                "dark",
                "a jar in the dark for two weeks",
                "Slow and gentle; nothing to watch.",
                true,
                "No heat near oil, and the colour comes fuller.",
                formula -> route(formula, Making.oilInTheDark())),
            new Choice(
                "water-bath",
                "a water bath of half an hour",
                "Today; a splash of water spoils it.",
                false,
                "",
                formula -> route(formula, Making.oilBath())),
            new Choice(
                "blended",
                "blended to a smooth paste and strained at once",
                "Ready in minutes, cloudier; in loads that the blender takes.",
                false,
                "",
                formula -> route(formula, Making.oilBlended()))));
  }

  private static List<Change> route(Formula formula, Step wanted) {
    for (String kind : List.of("macerate", "waterBath", "blend")) {
      StepRef ref = StepRef.first(kind);
      if (formula.steps().stream().anyMatch(s -> s.kind().key().equals(kind))) {
        return wanted.kind().key().equals(kind)
            ? List.of()
            : List.of(new Change.StepInstead(ref, wanted));
      }
    }
    return List.of();
  }

  private static MethodSchool rinseOut() {
    return new MethodSchool(
        "after-rinse",
        "Rinse a herbal rinse out again?",
        EnumSet.of(Method.HOT_INFUSION, Method.DECOCTION, Method.SHORT_SIMMER, Method.COLD_SOAK),
        List.of(
            new Choice(
                "leave",
                "leave it in",
                "What it gave stays on until the next wash.",
                true,
                "It has nothing in it that must come off.",
                NOTHING),
            new Choice(
                "lukewarm", "lukewarm water", "Takes smell and stain along.", false, "", NOTHING),
            new Choice(
                "cool", "cool water", "As lukewarm; some like the feel.", false, "", NOTHING)));
  }

  private static MethodSchool detangling() {
    return new MethodSchool(
        "detangling",
        "Detangle before, or with the slip of the gel?",
        EnumSet.of(Method.SEED_GEL, Method.MUCILAGE, Method.SEAWEED_GEL),
        List.of(
            new Choice(
                "with-slip",
                "with the slip of the gel",
                "Wide comb, ends first, in sections.",
                true,
                "Fewer hairs are torn while it is slippery.",
                NOTHING),
            new Choice("before", "before it goes on", "Less gel is used up.", false, "", NOTHING)));
  }

  private static int first(Formula formula, Class<? extends Step> type) {
    for (int i = 0; i < formula.steps().size(); i++) {
      if (type.isInstance(formula.steps().get(i))) {
        return i;
      }
    }
    return -1;
  }
}
