package dremsa.core.fill;

import dremsa.core.brew.Finished;
import dremsa.core.kitchen.Container;
import dremsa.core.measure.Said;
import java.util.Optional;

/** Says whether a brew can be kept in a container and comes out of it again. */
public final class Suiting {
  /** From this share of plant left in it on a brew is a paste. */
  private static final double PASTE_SOLIDS = 0.05;

  private Suiting() {}

  /** What speaks against it. */
  public enum Cause {
    TOO_THICK,
    BITS
  }

  /**
   * An objection.
   *
   * @param what is wrong
   * @param why it matters
   * @param cure what helps
   */
  public record Objection(Cause cause, String what, String why, String cure) {}

  /**
   * What speaks against a container; empty when it suits.
   *
   * @param filter whether its tube has a filter; counts for sprayers only
   */
  public static Optional<Objection> against(Container kind, boolean filter, Finished brew) {
    if (kind.sprays() && !filter && (brew.debris() || brew.solidsShare() > PASTE_SOLIDS)) {
      return Optional.of(
          new Objection(
              Cause.BITS,
              "Powder is left in what is sprayed.",
              "It blocks the nozzle and leaves debris on the scalp.",
              "Strain a second time, through paper or a very fine cloth, or take a sprayer with a"
                  + " filter on its tube."));
    }
    if (brew.thickness() > kind.thickestMpas()) {
      return Optional.of(
          new Objection(
              Cause.TOO_THICK,
              Said.of(
                  "About %.0f mPa·s when cold, too thick for a %s.",
                  brew.thickness(), kind.words()),
              "It will not come out.",
              "Use a jar or an applicator, more water, or less of what gels."));
    }
    return Optional.empty();
  }
}
