package dremsa.core.formula;

import static dremsa.core.formula.Making.bottle;
import static dremsa.core.formula.Making.clothSqueezed;
import static dremsa.core.formula.Making.cool;
import static dremsa.core.formula.Making.ferment;
import static dremsa.core.formula.Making.gentleBoil;
import static dremsa.core.formula.Making.into;
import static dremsa.core.formula.Making.oilBath;
import static dremsa.core.formula.Making.oilInTheDark;
import static dremsa.core.formula.Making.pourOver;
import static dremsa.core.formula.Making.sieve;
import static dremsa.core.formula.Making.soakedGrain;
import static dremsa.core.formula.Making.steep;
import static dremsa.core.formula.Making.sterilise;
import static dremsa.core.formula.Making.stirIn;
import static dremsa.core.formula.Making.toTheBoil;
import static dremsa.core.formula.Making.wash;

import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Set;

/** Built-in starch waters, juices, spirits, oils and masks. */
final class OtherBrews {
  private OtherBrews() {}

  static List<Formula> all() {
    return List.of(
        barleyFerment(),
        riceWater(),
        oatCream(),
        aloeJuice(),
        gingerJuice(),
        rosemaryTincture(),
        calendulaOil(),
        rosemaryOilBath(),
        amlaPaste());
  }

  private static Formula barleyFerment() {
    return new Formula(
        "barley-ferment",
        "Fermented barley water",
        Method.STARCH_WATER,
        Set.of(Purpose.RINSE),
        "Grain water soured for two to three days. Used after the conditioner, rinsed out.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("barley", 150)),
        List.of(
            wash("barley"),
            into(VesselKind.JAR, "barley", "water"),
            new Soak(
                Place.ROOM,
                Window.minutes(20, 30, 60),
                Guide.cue("Swish it now and then.", "The water is cloudy white.")),
            sieve(),
            // Two days and a half: then even a slow ferment at 21 °C is below pH 4.6.
            ferment(Window.hours(24, 60, 120)),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula riceWater() {
    return new Formula(
        "rice-water",
        "Soaked rice water",
        Method.STARCH_WATER,
        Set.of(Purpose.RINSE),
        "Half an hour's soak, used fresh. Boiled rice gives starch water too, but no ferment.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("rice", 180)),
        List.of(
            wash("rice"),
            into(VesselKind.JAR, "rice", "water"),
            soakedGrain(),
            sieve(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula oatCream() {
    return new Formula(
        "oat-cream",
        "Oat milk cream",
        Method.GRAIN_CREAM,
        Set.of(Purpose.MASK),
        "Oats cooked soft and blended to silk. Any flake left stays in the hair.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("oats", 110),
            Ingredient.parts("almond-oil", 12)),
        List.of(
            wash("oats"),
            into(VesselKind.POT, "oats", "water"),
            toTheBoil(),
            gentleBoil(
                true,
                true,
                Window.minutes(10, 12, 22),
                new Guide(
                    "Stir now and then.",
                    "The flakes crush between the fingers.",
                    "Gritty: it will not blend smooth.",
                    "Thick as paste.")),
            cool(45),
            new Blend(
                Window.minutes(2, 3, 6),
                Guide.cue(
                    "In loads your blender takes, lid vented.", "Silky between the fingers.")),
            new Strain(
                StrainTool.NUT_BAG,
                true,
                Guide.cue("Squeeze through a nut-milk bag.", "No flake left.")),
            cool(35),
            stirIn(40, "almond-oil"),
            bottle(Container.JAR)));
  }

  private static Formula aloeJuice() {
    return new Formula(
        "aloe-juice-fresh",
        "Fresh aloe juice",
        Method.ALOE_JUICE,
        Set.of(Purpose.PRE_WASH, Purpose.SCALP),
        "From the leaf, with the latex drained off first. Mildly acid, and short-lived.",
        List.of(Ingredient.parts("aloe-leaf", 220)),
        List.of(
            new Prepare(
                List.of("aloe-leaf"),
                Treatment.DRAIN_LATEX,
                Window.minutes(10, 20, 60),
                new Guide(
                    "Cut both ends, stand the leaf upright, then soak it.",
                    "No more yellow runs out.",
                    "Yellow latex irritates and can sensitise.",
                    "")),
            wash("aloe-leaf"),
            new Prepare(
                List.of("aloe-leaf"),
                Treatment.PEEL,
                Window.minutes(3, 6, 15),
                Guide.how("Trim the spines and fillet out the clear flesh.")),
            into(VesselKind.BLENDER, "aloe-leaf"),
            new Blend(
                Window.minutes(2, 3, 5), Guide.cue("Blend until it runs.", "Watery, no lumps.")),
            new Strain(
                StrainTool.NUT_BAG,
                false,
                Guide.cue(
                    "Let it run through a nut-milk bag.",
                    "No pulp: unstrained it dries into flakes.")),
            bottle(Container.APPLICATOR)));
  }

  private static Formula gingerJuice() {
    return new Formula(
        "ginger-scalp-juice",
        "Ginger scalp juice",
        Method.FRESH_JUICE,
        Set.of(Purpose.SCALP, Purpose.PRE_WASH),
        "Sharp: for the scalp before the wash, shampooed out. Not on broken skin.",
        List.of(Ingredient.parts("water", 300), Ingredient.parts("ginger-fresh", 150)),
        List.of(
            wash("ginger-fresh"),
            new Prepare(
                List.of("ginger-fresh"),
                Treatment.CHOP,
                Window.minutes(2, 4, 10),
                Guide.how("Peel if you like; chop small.")),
            into(VesselKind.BLENDER, "ginger-fresh", "water"),
            new Blend(Window.minutes(1, 2, 4), Guide.cue("Blend fine.", "No pieces.")),
            new Strain(
                StrainTool.STOCKING, true, Guide.cue("Squeeze through a stocking.", "No shreds.")),
            bottle(Container.APPLICATOR)));
  }

  private static Formula rosemaryTincture() {
    return new Formula(
        "rosemary-tincture",
        "Rosemary tincture",
        Method.TINCTURE,
        Set.of(Purpose.SCALP),
        "Dried leaf in spirit with a little glycerin, for weeks in the dark. Alcohol dries: by the"
            + " spoon, on the scalp only.",
        List.of(
            Ingredient.parts("spirit-60", 480),
            Ingredient.parts("glycerin", 110),
            Ingredient.parts("rosemary", 95)),
        List.of(
            sterilise(),
            into(
                VesselKind.JAR,
                "No flame near. The leaf must be covered.",
                List.of("rosemary", "spirit-60", "glycerin")),
            new Macerate(
                1,
                Window.days(14, 21, 28),
                new Guide(
                    "In the dark, shaken daily; every few days still works.",
                    "The colour stops deepening.",
                    "Still drawing.",
                    "No more comes.")),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula calendulaOil() {
    return new Formula(
        "calendula-oil",
        "Calendula oil, in the dark",
        Method.INFUSED_OIL,
        Set.of(Purpose.OIL),
        "Fully dried flowers in oil for two weeks. Any water in it spoils it.",
        List.of(Ingredient.parts("sunflower-oil", 500), Ingredient.parts("calendula", 40)),
        List.of(
            new Prepare(
                List.of("calendula"),
                Treatment.DRY,
                Window.minutes(20, 30, 60),
                Guide.cue("Dry them once more on the lowest heat.", "They crackle.")),
            into(VesselKind.JAR, "calendula", "sunflower-oil"),
            oilInTheDark(),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula rosemaryOilBath() {
    return new Formula(
        "rosemary-oil-bath",
        "Rosemary oil, water bath",
        Method.INFUSED_OIL,
        Set.of(Purpose.OIL),
        "The quick way: the jar of oil and dry leaf stands in simmering water.",
        List.of(Ingredient.parts("olive-oil", 400), Ingredient.parts("rosemary", 45)),
        List.of(
            new Prepare(
                List.of("rosemary"),
                Treatment.CRUSH,
                Window.minutes(1, 2, 5),
                Guide.how("Crush the dry leaf.")),
            into(VesselKind.JAR, "rosemary", "olive-oil"),
            oilBath(),
            cool(40),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula amlaPaste() {
    return new Formula(
        "amla-paste",
        "Amla and nettle paste",
        Method.PASTE,
        Set.of(Purpose.MASK),
        "Powder stirred into strong herb water, a little at a time. Stop early: it goes on"
            + " thickening.",
        List.of(
            Ingredient.parts("water", 300),
            Ingredient.parts("nettle-leaf", 20),
            Ingredient.parts("amla-powder", 120)),
        List.of(
            pourOver("nettle-leaf", "water"),
            steep(Window.hours(0.5, 1, 4), "Dark green.", "Weak."),
            clothSqueezed(),
            stirIn(45, "amla-powder"),
            bottle(Container.JAR)));
  }
}
