package dremsa.core.formula;

import static dremsa.core.formula.Making.bottle;
import static dremsa.core.formula.Making.clothSqueezed;
import static dremsa.core.formula.Making.cool;
import static dremsa.core.formula.Making.gentleBoil;
import static dremsa.core.formula.Making.heatStirring;
import static dremsa.core.formula.Making.into;
import static dremsa.core.formula.Making.pourOver;
import static dremsa.core.formula.Making.sieve;
import static dremsa.core.formula.Making.steep;
import static dremsa.core.formula.Making.stirIn;
import static dremsa.core.formula.Making.toTheBoil;
import static dremsa.core.formula.Making.wash;

import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Soak;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Set;

/** Built-in gels of seed, root, leaf and seaweed, and what is made with them. */
final class Gels {
  private static final Guide FOAM =
      new Guide(
          "Keep stirring, to the bottom of the pot.",
          "White froth on top; strings hang from the spoon; seeds sink when off the heat.",
          "Thin: it will not set.",
          "It looks thin while hot: boiled on, it is too stiff to strain.");

  private Gels() {}

  static List<Formula> all() {
    return List.of(
        linseedGel(),
        linseedSpray(),
        quinceGel(),
        marshmallowGel(),
        mallowLeafLotion(),
        carrageenGel(),
        linseedConditioner(),
        linseedWithPowder(),
        linseedRosemary(),
        linseedTwoWays(),
        burdockWithGel());
  }

  private static List<Step> seedGel(String seed, Window boil) {
    return List.of(
        into(
            VesselKind.POT,
            "Cold water on dry seed; do not wash it, it gels at once.",
            List.of(seed, "water")),
        heatStirring(),
        gentleBoil(false, true, boil, FOAM),
        cool(50),
        clothSqueezed());
  }

  private static List<Step> with(List<Step> steps, Step... more) {
    java.util.ArrayList<Step> all = new java.util.ArrayList<>(steps);
    all.addAll(List.of(more));
    return all;
  }

  private static Formula linseedGel() {
    return new Formula(
        "linseed-gel",
        "Linseed styling gel",
        Method.SEED_GEL,
        Set.of(Purpose.STYLER, Purpose.PRE_WASH),
        "Whole seed boiled to strings, half cooled and squeezed: thick, and a strong hand is needed.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("linseed", 85)),
        with(seedGel("linseed", Window.minutes(3, 6, 12)), bottle(Container.JAR)));
  }

  private static Formula linseedSpray() {
    return new Formula(
        "linseed-light",
        "Light linseed lotion",
        Method.SEED_GEL,
        Set.of(Purpose.STYLER, Purpose.LEAVE_IN),
        "Little seed, a short boil, strained hot through a sieve: it runs freely.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("linseed", 30)),
        List.of(
            into(VesselKind.POT, "linseed", "water"),
            heatStirring(),
            gentleBoil(false, true, Window.minutes(2, 3, 6), FOAM),
            sieve(),
            cool(35),
            bottle(Container.APPLICATOR)));
  }

  private static Formula quinceGel() {
    return new Formula(
        "quince-gel",
        "Quince-seed gel",
        Method.SEED_GEL,
        Set.of(Purpose.STYLER),
        "The pips of last autumn's quinces; clear and slippery.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("quince-seed", 40)),
        with(seedGel("quince-seed", Window.minutes(3, 6, 12)), bottle(Container.JAR)));
  }

  private static Formula marshmallowGel() {
    return new Formula(
        "marshmallow-gel",
        "Marshmallow root slip",
        Method.MUCILAGE,
        Set.of(Purpose.PRE_WASH, Purpose.STYLER),
        "Detangling slip from the root: thin while hot, thicker when cold.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("marshmallow-root", 70)),
        List.of(
            into(VesselKind.POT, "marshmallow-root", "water"),
            heatStirring(),
            gentleBoil(
                true,
                false,
                Window.minutes(10, 15, 20),
                new Guide(
                    "Medium heat, stir now and then.",
                    "The liquid is yellow and slippery between the fingers.",
                    "Watery, little slip.",
                    "Clumps that will not strain.")),
            sieve(),
            cool(35),
            bottle(Container.APPLICATOR)));
  }

  private static Formula mallowLeafLotion() {
    return new Formula(
        "mallow-leaf-lotion",
        "Mallow leaf lotion",
        Method.MUCILAGE,
        Set.of(Purpose.LEAVE_IN),
        "Leaf with a little gum, steeped as an infusion.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("mallow-leaf", 30)),
        List.of(
            pourOver("mallow-leaf", "water"),
            steep(
                Window.hours(1, 2, 8),
                "The water feels silky.",
                "Only tea: the gum is still in the leaf."),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula carrageenGel() {
    return new Formula(
        "carrageen-gel",
        "Carrageen gel",
        Method.SEAWEED_GEL,
        Set.of(Purpose.STYLER, Purpose.MASK),
        "Moss from the shore, rinsed of grit, simmered and blended smooth.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("carrageen", 10)),
        List.of(
            wash("carrageen"),
            into(VesselKind.POT, "carrageen", "water"),
            new Soak(
                Place.ROOM,
                Window.minutes(10, 20, 40),
                Guide.cue("Let it soften.", "It has opened and gone pale.")),
            heatStirring(),
            gentleBoil(
                false,
                true,
                Window.minutes(3, 5, 6),
                new Guide(
                    "Keep it just moving.",
                    "It falls apart, thick and creamy.",
                    "Still rubbery.",
                    "Boiled too long it loses its set.")),
            cool(50),
            new Blend(Window.minutes(1, 2, 4), Guide.cue("Lid vented.", "Smooth, no threads.")),
            clothSqueezed(),
            bottle(Container.JAR)));
  }

  private static Formula linseedConditioner() {
    return new Formula(
        "linseed-conditioner",
        "Conditioner with linseed gel",
        Method.FORTIFIED_CONDITIONER,
        Set.of(Purpose.CONDITIONER),
        "A plain base made slippery. Its own preservative is diluted: it keeps only as the gel does.",
        List.of(
            Ingredient.parts("water", 600),
            Ingredient.parts("linseed", 50),
            Ingredient.parts("conditioner-base", 500),
            Ingredient.parts("jojoba-oil", 15)),
        with(
            seedGel("linseed", Window.minutes(3, 6, 12)),
            cool(30),
            stirIn(40, "conditioner-base", "jojoba-oil"),
            bottle(Container.JAR)));
  }

  private static Formula linseedWithPowder() {
    return new Formula(
        "linseed-msm",
        "Linseed gel with MSM",
        Method.BLEND,
        Set.of(Purpose.STYLER),
        "A gel with a spoon of powder whisked in when cool.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("linseed", 75),
            new Ingredient("sulfur-powder", "sulfur-powder", new Proportion.PercentOfFinished(2))),
        with(
            seedGel("linseed", Window.minutes(3, 6, 12)),
            cool(35),
            stirIn(40, "sulfur-powder"),
            bottle(Container.JAR)));
  }

  private static Formula linseedRosemary() {
    return new Formula(
        "linseed-rosemary",
        "Linseed gel with rosemary",
        Method.SEED_GEL,
        Set.of(Purpose.STYLER, Purpose.SCALP),
        "Leaf boils along with the seed: a gel that smells of the hillside.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("linseed", 80),
            Ingredient.parts("rosemary", 12)),
        List.of(
            into(
                VesselKind.POT,
                "Cold water on dry seed and leaf.",
                List.of("linseed", "rosemary", "water")),
            heatStirring(),
            gentleBoil(false, true, Window.minutes(3, 6, 12), FOAM),
            cool(50),
            clothSqueezed(),
            bottle(Container.JAR)));
  }

  private static Formula linseedTwoWays() {
    Formula gel = linseedGel();
    return new Formula(
        "linseed-two-ways",
        "Linseed gel, two ways",
        Method.SEED_GEL,
        Set.of(Purpose.STYLER, Purpose.SCALP),
        "One pot, divided: a third stays plain for the scalp, the rest takes oil for the lengths.",
        gelIngredientsWithOil(gel),
        gel.steps().subList(0, gel.steps().size() - 1),
        List.of(
            new Branch("for the scalp", 0.35, List.of(bottle(Container.APPLICATOR))),
            new Branch(
                "for the lengths",
                0.65,
                List.of(cool(35), stirIn(40, "jojoba-oil"), bottle(Container.JAR)))));
  }

  private static List<Ingredient> gelIngredientsWithOil(Formula gel) {
    List<Ingredient> all = new java.util.ArrayList<>(gel.ingredients());
    all.add(new Ingredient("jojoba-oil", "jojoba-oil", new Proportion.PercentOfFinished(2)));
    return all;
  }

  private static Formula burdockWithGel() {
    return new Formula(
        "burdock-gel-blend",
        "Burdock water with linseed gel",
        Method.BLEND,
        Set.of(Purpose.SCALP, Purpose.STYLER),
        "A decoction with a bottle of gel from the shelf whisked in; it is as old as the gel.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("burdock-root", 40),
            Ingredient.parts("brew:linseed-gel", 400)),
        List.of(
            into(VesselKind.POT, "water", "burdock-root"),
            toTheBoil(),
            gentleBoil(
                true,
                false,
                Window.minutes(10, 18, 20),
                new Guide(
                    "Lid on, just moving.",
                    "The water is brown and smells of earth.",
                    "Pale: the root has hardly begun.",
                    "Steam takes what you wanted in the bottle.")),
            cool(45),
            clothSqueezed(),
            cool(30),
            stirIn(40, "brew:linseed-gel"),
            bottle(Container.APPLICATOR)));
  }
}
