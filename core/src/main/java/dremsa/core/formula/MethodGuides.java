package dremsa.core.formula;

import dremsa.core.measure.Figure;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** The guide of every method; common practice. */
public final class MethodGuides {
  private static final Map<Method, MethodGuide> BY_METHOD = new EnumMap<>(Method.class);

  static {
    guide(
        Method.HOT_INFUSION,
        "Just-boiled water over the herb, covered and left. For leaf, flower and soft seed, and for"
            + " whatever loses its scent in a boil.",
        "lemon-balm-spray",
        ratio(12, 30, 60),
        List.of(
            "Left open, scent and warmth go off with the steam.",
            "Powder strained only once leaves dust on the scalp and blocks the nozzle.",
            "Fresh plant in the jar ends at 8 hours: it begins to spoil.",
            "Each hour on the counter shortens the keeping."),
        "Soaked fenugreek blends to a mask the same day; leaf and flower go on the compost.");
    guide(
        Method.DECOCTION,
        "Boiled under a lid, then left to draw. For root, bark, bud and leathery leaf.",
        "birch-sage-decoction",
        ratio(12, 28, 60),
        List.of(
            "Boiled open, the steam takes what was meant for the bottle.",
            "Red flowers boiled long stain light hair and grout."),
        "Compost. Root can be boiled once more, weaker.");
    guide(
        Method.SHORT_SIMMER,
        "A few minutes at the simmer for fresh sprigs, lifted out when cold.",
        "rosemary-sprig-water",
        ratio(8, 16, 40),
        List.of("Juice stirred in while it is hot is cooked, and scents are lost."),
        "Compost.");
    guide(
        Method.COLD_SOAK,
        "Nothing is heated: seed or buds stand in cold water.",
        "nigella-soak",
        ratio(10, 20, 40),
        List.of(
            "A long soak on the counter uses up the keeping time before it is strained.",
            "Gum seed is not soaked for a water: it gels."),
        "Soaked seed can be blended with fresh water and strained for more.");
    guide(
        Method.WATER_BATH,
        "The jar of herb and water stands in simmering water: steady warmth, nothing boils off.",
        "hop-water-bath",
        ratio(8, 14, 30),
        List.of("A lid clamped tight lets pressure build.", "A cold jar in boiling water cracks."),
        "Dry the buds, then steep them in oil.");
    guide(
        Method.SEED_GEL,
        "Gum seed boiled in water till strings hang from the spoon. Other plants may boil along.",
        "linseed-gel",
        ratio(5.5, 12, 30),
        List.of(
            "Washed first, the gel runs off with the water.",
            "Unstirred it sticks and burns; unwatched it boils over.",
            "Judged by its look while hot it is stiff when cold: hot liquid is about eight times thinner.",
            "Ground seed cannot be strained.",
            "Boiled too long it cannot be strained either.",
            "Too thin when cold: strain it off, boil on a few minutes with its seeds, stirring. Too thick:"
                + " stir in hot water, a little at a time."),
        "Spent gum seed gives no second gel: compost.");
    guide(
        Method.MUCILAGE,
        "Slip from root, leaf or bark. Start from the thickness you want: makers' amounts differ"
            + " widely.",
        "marshmallow-gel",
        Optional.empty(),
        List.of(
            "It is thin while hot and sets as it cools: sprayed at once, or a jar.",
            "Water poured on powder makes clumps: sprinkle the powder into the water."),
        "Compost.");
    guide(
        Method.SEAWEED_GEL,
        "Sea moss simmered and blended to a cream.",
        "carrageen-gel",
        ratio(40, 90, 150),
        List.of("Grit left in scratches.", "Boiled too long it loses its set."),
        "Compost.");
    guide(
        Method.STARCH_WATER,
        "Grain rinsed, then its water: swished, soaked, soured or saved from cooking.",
        "rice-water",
        ratio(3, 6, 10),
        List.of(
            "The first water is thrown away: dust and old starch.",
            "Boiled grain water is not a ferment.",
            "Pink, furry or putrid: throw it away."),
        "Cook the grain; or dry it in a pan and steep it in oil.");
    guide(
        Method.GRAIN_CREAM,
        "Grain cooked soft and blended to silk.",
        "oat-cream",
        ratio(2, 8, 10),
        List.of(
            "Not blended silky it leaves flakes in the hair.",
            "A weak blender needs smaller loads, and longer."),
        "Nothing is left over.");
    guide(
        Method.ALOE_JUICE,
        "Clear juice from the leaf, once the yellow latex has run out.",
        "aloe-juice-fresh",
        Optional.empty(),
        List.of(
            "Latex not drained irritates and can sensitise.", "Unstrained pulp dries into flakes."),
        "The pulp goes on the compost.");
    guide(
        Method.FRESH_JUICE,
        "Sharp roots and bulbs, blended with water or gel and pressed.",
        "ginger-scalp-juice",
        ratio(1, 2, 6),
        List.of("On broken skin it burns.", "The smell stays; shreds stay in the hair."),
        "The pulp goes on the compost.");
    guide(
        Method.TINCTURE,
        "Dried plant in spirit of 40 % vol or more for weeks, a fifth of it glycerin if wanted.",
        "rosemary-tincture",
        ratio(5, 6, 8),
        List.of(
            "Weaker spirit does not keep.",
            "A flame near spirit.",
            "A missed shake now and then does no harm."),
        "Compost, once the spirit has gone off in the open air.");
    guide(
        Method.INFUSED_OIL,
        "Fully dry plant in oil: slowly in the dark, quickly in a water bath, or blended.",
        "calendula-oil",
        ratio(5, 12, 20),
        List.of("Any water in it spoils it.", "Fresh plant in oil is a known botulism risk."),
        "Oil-steeped grain gives a second, weaker oil in a day or more.");
    guide(
        Method.PASTE,
        "Powder and strong herb water, a little at a time, for use at once.",
        "amla-paste",
        ratio(1.5, 2.5, 4),
        List.of(
            "It goes on thickening for minutes: stop early.", "Too much liquid runs off the head."),
        "What is left is thrown away.");
    guide(
        Method.FORTIFIED_CONDITIONER,
        "A plain conditioner made slippery with home gel and a little oil.",
        "linseed-conditioner",
        Optional.empty(),
        List.of(
            "More gel makes it thicker, not thinner.",
            "Its own preservative is diluted: it keeps only as the gel does."),
        "As for the gel.");
    guide(
        Method.BLEND,
        "Two brews, or a brew and a juice or powder, mixed cool.",
        "lemon-balm-aloe",
        Optional.empty(),
        List.of("The weakest part sets how long all of it keeps."),
        "As for its parts.");
  }

  private MethodGuides() {}

  private static void guide(
      Method method,
      String about,
      String model,
      Optional<Figure> waterToHerb,
      List<String> mistakes,
      String leftovers) {
    BY_METHOD.put(
        method,
        new MethodGuide(
            method,
            about,
            BuiltInFormulas.find(model).orElseThrow(),
            waterToHerb,
            mistakes,
            leftovers));
  }

  private static Optional<Figure> ratio(double low, double usual, double high) {
    return Optional.of(Figure.commonPractice(usual, low, high, "g/g"));
  }

  /** The guide of a method. */
  public static MethodGuide of(Method method) {
    return Objects.requireNonNull(BY_METHOD.get(method), method.name());
  }

  /** All of them, in the order of the methods. */
  public static List<MethodGuide> all() {
    return List.copyOf(BY_METHOD.values());
  }
}
