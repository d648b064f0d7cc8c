package dremsa.core.keep;

import dremsa.core.brew.Contents;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Whether a preservative works in a brew: dosed within its range of the finished mass, at a pH at
 * which it works, stirred in below its highest temperature. An essential oil, an acid, a vitamin or
 * a scent is never a preservative.
 *
 * @param material the preservative
 * @param percent of the finished mass
 * @param faults what keeps it from working; empty when nothing does
 */
public record Preservation(Material material, double percent, List<Fault> faults) {
  /** A plain herb water where nothing sour was measured; common practice. */
  private static final double PLAIN_PH = 6.5;

  /** Why it does not work. */
  public enum Fault {
    TOO_LITTLE,
    TOO_MUCH,
    WRONG_PH,
    TOO_HOT,
    PLANT_LEFT_IN
  }

  public Preservation {
    faults = List.copyOf(faults);
  }

  public boolean works() {
    return faults.isEmpty();
  }

  /** The preservatives of a brew, each judged. */
  public static List<Preservation> in(Contents brew) {
    // The same one may have come twice, with a brew that was poured in.
    Map<String, Contents.Preserver> once = new LinkedHashMap<>();
    for (Contents.Preserver each : brew.preservatives()) {
      once.merge(
          each.material().id(),
          each,
          (a, b) ->
              new Contents.Preserver(
                  a.material(), a.grams() + b.grams(), a.tooHot() || b.tooHot()));
    }
    return once.values().stream().map(p -> judge(brew, p)).toList();
  }

  private static Preservation judge(Contents brew, Contents.Preserver preserver) {
    Material material = preserver.material();
    double percent = 100 * preserver.grams() / Math.max(1e-9, brew.grams());
    List<Fault> faults = new ArrayList<>();
    material
        .figure(Property.DOSE)
        .ifPresent(
            dose -> {
              // Scales and drops are no finer than this.
              if (percent < dose.low() * 0.98) {
                faults.add(Fault.TOO_LITTLE);
              } else if (percent > dose.high() * 1.02) {
                faults.add(Fault.TOO_MUCH);
              }
            });
    double ph = Double.isNaN(brew.ph()) ? PLAIN_PH : brew.ph();
    Figure working = material.figures().get(Property.WORKING_PH);
    if (working != null && (ph < working.low() || ph > working.high())) {
      faults.add(Fault.WRONG_PH);
    }
    if (preserver.tooHot()) {
      faults.add(Fault.TOO_HOT);
    }
    if (brew.solidsShare() > 0.01) {
      faults.add(Fault.PLANT_LEFT_IN);
    }
    return new Preservation(material, percent, faults);
  }
}
