package dremsa.core.formula;

import static dremsa.core.formula.Making.bottle;
import static dremsa.core.formula.Making.clothSqueezed;
import static dremsa.core.formula.Making.cool;
import static dremsa.core.formula.Making.gentleBoil;
import static dremsa.core.formula.Making.into;
import static dremsa.core.formula.Making.paper;
import static dremsa.core.formula.Making.pourOver;
import static dremsa.core.formula.Making.sieve;
import static dremsa.core.formula.Making.steep;
import static dremsa.core.formula.Making.stirIn;
import static dremsa.core.formula.Making.toTheBoil;
import static dremsa.core.formula.Making.wash;

import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Level;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Set;

/** Built-in infusions, decoctions, soaks and water baths. */
final class WaterBrews {
  private WaterBrews() {}

  static List<Formula> all() {
    return List.of(
        lemonBalmSpray(),
        fennelSeedRinse(),
        nettlePowderSpray(),
        calendulaWater(),
        birchSageDecoction(),
        burdockDecoction(),
        rosemarySprigWater(),
        nigellaSoak(),
        hopSoak(),
        hopWaterBath(),
        lemonBalmAloe());
  }

  private static Formula lemonBalmSpray() {
    return new Formula(
        "lemon-balm-spray",
        "Lemon balm spray",
        Method.HOT_INFUSION,
        Set.of(Purpose.LEAVE_IN, Purpose.RINSE),
        "A light green water for damp hair between washes. Makers use it for a fresh scalp and soft"
            + " lengths.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("lemon-balm", 32)),
        List.of(
            pourOver("lemon-balm", "water"),
            steep(
                Window.hours(2, 3, 12),
                "The water is deep green-gold and the leaves have sunk.",
                "Pale and weak: the leaves have more to give."),
            clothSqueezed(),
            bottle(Container.SPRAY)));
  }

  private static Formula fennelSeedRinse() {
    return new Formula(
        "fennel-seed-rinse",
        "Fennel-seed rinse",
        Method.HOT_INFUSION,
        Set.of(Purpose.RINSE, Purpose.SCALP),
        "A sweet-smelling rinse from whole seed, poured over after the conditioner.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("fennel-seed", 45)),
        List.of(
            wash("fennel-seed"),
            pourOver("fennel-seed", "water"),
            steep(
                Window.hours(2, 4, 12),
                "The seeds are swollen and have gone down; the water smells of them.",
                "The seeds are still hard inside: a thin rinse."),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula nettlePowderSpray() {
    return new Formula(
        "nettle-powder-spray",
        "Nettle powder scalp spray",
        Method.HOT_INFUSION,
        Set.of(Purpose.LEAVE_IN, Purpose.SCALP),
        "Quick and strong: powder gives at once, but it must be strained twice or it blocks the"
            + " nozzle and dusts the scalp.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("nettle-powder", 24)),
        List.of(
            new Combine(
                VesselKind.JAR,
                List.of("nettle-powder", "water"),
                LiquidHeat.JUST_BOILED,
                new Guide(
                    "Warm a glass jar first. Whisk the powder in so that no lumps float, then cover.",
                    "",
                    "",
                    "Lumps keep their inside to themselves.")),
            steep(
                Window.hours(2, 2.5, 12),
                "The powder has sunk and the water above it is dark.",
                "Powder still floats and will not strain out."),
            new Step.Strain(
                dremsa.core.kitchen.StrainTool.CLOTH,
                true,
                Guide.cue("First through a cloth, squeezed.", "The wad in the cloth is dry.")),
            paper(),
            bottle(Container.SPRAY)));
  }

  private static Formula calendulaWater() {
    return new Formula(
        "calendula-water",
        "Calendula water",
        Method.HOT_INFUSION,
        Set.of(Purpose.RINSE, Purpose.LEAVE_IN),
        "Bright flowers, poured over and strained once they have given their colour.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("calendula", 22)),
        List.of(
            pourOver("calendula", "water"),
            steep(
                Window.hours(2, 3, 12),
                "The water is orange and smells of the flowers.",
                "Pale: the petals have colour left."),
            clothSqueezed(),
            bottle(Container.SPRAY)));
  }

  private static Formula birchSageDecoction() {
    return new Formula(
        "birch-sage-decoction",
        "Birch and sage decoction",
        Method.DECOCTION,
        Set.of(Purpose.RINSE, Purpose.SCALP),
        "Two leaves boiled under the lid and left to draw until cool.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("birch-leaf", 24),
            Ingredient.parts("sage", 12)),
        List.of(
            into(VesselKind.POT, "water"),
            toTheBoil(),
            into(
                VesselKind.POT,
                "Add the leaves and stir them under.",
                List.of("birch-leaf", "sage")),
            gentleBoil(
                true,
                false,
                Window.minutes(10, 15, 20),
                new Guide(
                    "Lid on, just moving.",
                    "The leaves have lost their fresh green.",
                    "Thin: give it a few minutes more.",
                    "Boiled down and bitter; more staining.")),
            cool(40),
            sieve(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula burdockDecoction() {
    return new Formula(
        "burdock-decoction",
        "Burdock root decoction",
        Method.DECOCTION,
        Set.of(Purpose.SCALP, Purpose.RINSE),
        "Root gives slowly: boiled longer than leaf, and strained through cloth.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("burdock-root", 40)),
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
            bottle(Container.APPLICATOR)));
  }

  private static Formula rosemarySprigWater() {
    return new Formula(
        "rosemary-sprig-water",
        "Fresh rosemary sprig water",
        Method.SHORT_SIMMER,
        Set.of(Purpose.RINSE, Purpose.LEAVE_IN),
        "A handful of sprigs from the pot on the sill, simmered for minutes and lifted out cold.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("rosemary-fresh", 60)),
        List.of(
            wash("rosemary-fresh"),
            into(VesselKind.POT, "water"),
            toTheBoil(),
            into(VesselKind.POT, "rosemary-fresh"),
            new Boil(
                Level.SIMMER,
                true,
                false,
                Window.minutes(2, 4, 6),
                new Guide(
                    "Lid on, barely moving.",
                    "The water has the colour of weak tea.",
                    "No colour yet.",
                    "Boiled flavour, less scent.")),
            cool(30),
            sieve(),
            bottle(Container.SPRAY)));
  }

  private static Formula nigellaSoak() {
    return new Formula(
        "nigella-soak",
        "Nigella cold soak",
        Method.COLD_SOAK,
        Set.of(Purpose.SCALP),
        "Seed in cold water through the night; nothing is heated.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("nigella", 50)),
        List.of(
            wash("nigella"),
            into(VesselKind.JAR, "nigella", "water"),
            new Soak(
                Place.ROOM,
                Window.hours(6, 8, 12),
                new Guide(
                    "Cover it and leave it on the counter.",
                    "The seeds are swollen and the water is slippery.",
                    "Hard seeds: little has gone over.",
                    "A long soak on the counter uses up the keeping time.")),
            clothSqueezed(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula hopSoak() {
    return new Formula(
        "hop-soak",
        "Hop cone cold soak",
        Method.COLD_SOAK,
        Set.of(Purpose.RINSE),
        "Cones take two days, so they take them in the fridge.",
        List.of(Ingredient.parts("water", 1000), Ingredient.parts("hop", 40)),
        List.of(
            wash("hop"),
            into(VesselKind.JAR, "hop", "water"),
            new Soak(
                Place.FRIDGE,
                Window.hours(24, 48, 72),
                new Guide(
                    "Lid on, in the fridge.",
                    "The water is golden and smells of the cones.",
                    "Hardly any colour.",
                    "Its life is being spent before it is strained.")),
            clothSqueezed(),
            bottle(Container.SPRAY)));
  }

  private static Formula hopWaterBath() {
    return new Formula(
        "hop-water-bath",
        "Hop jar in a water bath",
        Method.WATER_BATH,
        Set.of(Purpose.SCALP),
        "Steady warmth for buds: the jar stands in simmering water, nothing boils off.",
        List.of(Ingredient.parts("water", 500), Ingredient.parts("hop", 35)),
        List.of(
            wash("hop"),
            into(
                VesselKind.JAR,
                "Lid on loosely; warm the jar before it meets hot water.",
                List.of("hop", "water")),
            new WaterBath(
                Window.minutes(20, 30, 40),
                new Guide(
                    "Low heat under the pot.",
                    "The colour has changed all through.",
                    "Pale in the middle.",
                    "No more comes.")),
            cool(45),
            sieve(),
            bottle(Container.APPLICATOR)));
  }

  private static Formula lemonBalmAloe() {
    return new Formula(
        "lemon-balm-aloe",
        "Lemon balm and aloe water",
        Method.BLEND,
        Set.of(Purpose.LEAVE_IN),
        "An infusion, cooled, with raw juice stirred in. The juice decides how long it keeps.",
        List.of(
            Ingredient.parts("water", 1000),
            Ingredient.parts("lemon-balm", 34),
            Ingredient.parts("aloe-juice", 220)),
        List.of(
            pourOver("lemon-balm", "water"),
            steep(Window.hours(2, 3, 12), "The water is deep green-gold.", "Pale and weak."),
            clothSqueezed(),
            cool(30),
            stirIn(40, "aloe-juice"),
            bottle(Container.SPRAY)));
  }
}
