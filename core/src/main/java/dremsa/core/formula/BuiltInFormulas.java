package dremsa.core.formula;

import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Wash;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The formulas that Dremsa comes with; our own. */
public final class BuiltInFormulas {
  private static final Guide POUR =
      new Guide(
          "Warm a glass jar or bowl first. Pour, stir once, put the lid on.",
          "",
          "",
          "Left open, the scent and the warmth go off with the steam.");

  private static final List<Formula> ALL =
      List.of(lemonBalmSpray(), fennelSeedRinse(), nettlePowderSpray());

  private BuiltInFormulas() {}

  /** All of them. */
  public static List<Formula> all() {
    return ALL;
  }

  public static Optional<Formula> find(String id) {
    return ALL.stream().filter(formula -> formula.id().equals(id)).findFirst();
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
            new Combine(
                VesselKind.JAR, List.of("lemon-balm", "water"), LiquidHeat.JUST_BOILED, POUR),
            new Steep(
                true,
                Window.hours(2, 3, 12),
                new Guide(
                    "Leave it covered on the counter.",
                    "The water is deep green-gold and the leaves have sunk.",
                    "Pale and weak: the leaves have more to give.",
                    "No stronger worth speaking of, and every warm hour shortens its keeping.")),
            new Strain(
                StrainTool.CLOTH,
                true,
                Guide.cue("Pour through a cloth over a bowl and wring it out.", "No leaf left.")),
            new Bottle(Container.SPRAY, Guide.how("Use clean bottles. Label them at once."))));
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
            new Wash(
                List.of("fennel-seed"),
                Guide.how("Rinse the seed in a sieve until it runs clear.")),
            new Combine(
                VesselKind.JAR, List.of("fennel-seed", "water"), LiquidHeat.JUST_BOILED, POUR),
            new Steep(
                true,
                Window.hours(2, 4, 12),
                new Guide(
                    "Leave it covered on the counter.",
                    "The seeds are swollen and have gone down; the water smells of them.",
                    "The seeds are still hard inside: a thin rinse.",
                    "The longer on the counter, the shorter it keeps.")),
            new Strain(
                StrainTool.CLOTH,
                true,
                Guide.cue("Pour through a cloth and squeeze.", "Clear and yellow, no husk.")),
            new Bottle(Container.APPLICATOR, Guide.how("Use clean bottles. Label them at once."))));
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
            new Steep(
                true,
                Window.hours(2, 2.5, 12),
                new Guide(
                    "Leave it covered on the counter.",
                    "The powder has sunk and the water above it is dark.",
                    "Powder still floats and will not strain out.",
                    "The longer on the counter, the shorter it keeps.")),
            new Strain(
                StrainTool.CLOTH,
                true,
                Guide.cue("First through a cloth, squeezed.", "The wad in the cloth is dry.")),
            new Strain(
                StrainTool.PAPER,
                false,
                new Guide(
                    "Then through a paper filter, and let it take its time.",
                    "Clear against the light, no dust at the bottom.",
                    "Powder left in: debris on the scalp, a blocked nozzle.",
                    "")),
            new Bottle(Container.SPRAY, Guide.how("Use clean bottles. Label them at once."))));
  }
}
