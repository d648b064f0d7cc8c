package dremsa.server.wire;

import dremsa.core.acid.Acid;
import dremsa.core.acid.Hardness;
import dremsa.core.acid.Solutes;
import dremsa.core.acid.Sourness;
import dremsa.core.brew.Contents;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;

/**
 * What a brew consists of, as kept with a batch that it was poured into; masses in g.
 *
 * @param acid reckoned as acetic acid, as it was kept up to version 0.1 of the model; null since
 * @param sourness its acids and bases; null in what was kept before
 */
public record ContentsJson(
    double water,
    double ethanol,
    @Nullable Double ethanolSure,
    double glycerin,
    double oil,
    double juice,
    double other,
    double solids,
    @Nullable Double waterOfSolids,
    @Nullable Double acid,
    @Nullable SournessJson sourness,
    List<GumJson> gums,
    List<PreserverJson> preservatives,
    List<Contents.Trait> traits) {
  record GumJson(double grams, double power) {}

  /** Acids in mol, by name, and the base that holds them. */
  record SolutesJson(Map<Acid, Double> moles, double base) {
    static SolutesJson of(Solutes solutes) {
      return new SolutesJson(solutes.moles(), solutes.base());
    }

    Solutes toCore() {
      return Solutes.of(moles, base);
    }
  }

  /** What is believed, with its ends. */
  record SournessJson(
      SolutesJson sourest, SolutesJson likely, SolutesJson leastSour, boolean read) {
    static SournessJson of(Sourness s) {
      return new SournessJson(
          SolutesJson.of(s.sourest()),
          SolutesJson.of(s.likely()),
          SolutesJson.of(s.leastSour()),
          s.read());
    }

    Sourness toCore() {
      return new Sourness(sourest.toCore(), likely.toCore(), leastSour.toCore(), read);
    }
  }

  record PreserverJson(MaterialJson material, double grams, boolean tooHot) {}

  public static ContentsJson of(Contents c) {
    return new ContentsJson(
        c.water(),
        c.ethanol(),
        c.ethanolSure(),
        c.glycerin(),
        c.oil(),
        c.juice(),
        c.other(),
        c.solids(),
        c.waterOfSolids(),
        null,
        SournessJson.of(c.sourness()),
        c.gums().stream().map(gum -> new GumJson(gum.grams(), gum.power())).toList(),
        c.preservatives().stream()
            .map(
                p -> new PreserverJson(MaterialJson.of(p.material(), false), p.grams(), p.tooHot()))
            .toList(),
        c.traits().stream().sorted().toList());
  }

  /** What was kept before nobody asked how weak its spirit may have been. */
  private static final double WEAK = 0.9;

  /** More than any pot holds, g. */
  private static final double MOST_G = 1_000_000;

  /**
   * The core's contents.
   *
   * @throws IllegalArgumentException when an amount cannot be
   */
  public Contents toCore() {
    DoubleStream.concat(
            DoubleStream.of(
                water, ethanol, glycerin, oil, juice, other, solids, acid == null ? 0 : acid),
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
        ethanolSure == null ? ethanol * WEAK : Math.min(ethanol, Math.max(0, ethanolSure)),
        glycerin,
        oil,
        juice,
        other,
        solids,
        waterOfSolids == null ? solids : Math.min(solids, Math.max(0, waterOfSolids)),
        sourness == null ? ofBefore() : sourness.toCore(),
        gums.stream().map(gum -> new Contents.Gum(gum.grams(), gum.power())).toList(),
        preservatives.stream()
            .map(p -> new Contents.Preserver(p.material().toCore(""), p.grams(), p.tooHot()))
            .toList(),
        all);
  }

  /** Nothing but its acid was known of it; at its least sour it held none. */
  private Sourness ofBefore() {
    Sourness tap = Hardness.litre(Hardness.UNKNOWN.alkalinity()).times((water + juice) / 1000);
    if (acid == null || acid == 0) {
      return tap;
    }
    Solutes known = Solutes.of(Acid.ACETIC, acid / Acid.ACETIC.molarMass());
    return tap.plus(new Sourness(known, known, Solutes.NONE, false));
  }
}
