package dremsa.server.wire;

import dremsa.core.brew.Contents;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;

/** What a brew consists of, as kept with a batch that it was poured into; masses in g. */
public record ContentsJson(
    double water,
    double ethanol,
    double glycerin,
    double oil,
    double juice,
    double other,
    double solids,
    double acid,
    List<GumJson> gums,
    List<PreserverJson> preservatives,
    List<Contents.Trait> traits) {
  record GumJson(double grams, double power) {}

  record PreserverJson(MaterialJson material, double grams, boolean tooHot) {}

  public static ContentsJson of(Contents c) {
    return new ContentsJson(
        c.water(),
        c.ethanol(),
        c.glycerin(),
        c.oil(),
        c.juice(),
        c.other(),
        c.solids(),
        c.acid(),
        c.gums().stream().map(gum -> new GumJson(gum.grams(), gum.power())).toList(),
        c.preservatives().stream()
            .map(
                p -> new PreserverJson(MaterialJson.of(p.material(), false), p.grams(), p.tooHot()))
            .toList(),
        c.traits().stream().sorted().toList());
  }

  /** More than any pot holds, g. */
  private static final double MOST_G = 1_000_000;

  /**
   * The core's contents.
   *
   * @throws IllegalArgumentException when an amount cannot be
   */
  public Contents toCore() {
    DoubleStream.concat(
            DoubleStream.of(water, ethanol, glycerin, oil, juice, other, solids, acid),
            gums.stream().mapToDouble(GumJson::grams))
        .forEach(
            grams -> {
              if (!(grams >= 0 && grams <= MOST_G)) {
                throw new IllegalArgumentException(grams + " g are in no pot");
              }
            });
    Set<Contents.Trait> all = EnumSet.noneOf(Contents.Trait.class);
    all.addAll(traits);
    return new Contents(
        water,
        ethanol,
        glycerin,
        oil,
        juice,
        other,
        solids,
        acid,
        gums.stream().map(gum -> new Contents.Gum(gum.grams(), gum.power())).toList(),
        preservatives.stream()
            .map(p -> new Contents.Preserver(p.material().toCore(""), p.grams(), p.tooHot()))
            .toList(),
        all);
  }
}
