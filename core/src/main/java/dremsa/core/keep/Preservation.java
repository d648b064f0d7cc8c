package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Step;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.List;

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
  public static List<Preservation> in(Brew brew, Prediction prediction) {
    List<Preservation> found = new ArrayList<>();
    for (int i = 0; i < brew.materials().size(); i++) {
      Material material = brew.materials().get(i);
      if (material.kind() == MaterialKind.PRESERVATIVE) {
        found.add(judge(brew, prediction, brew.formula().ingredients().get(i).key(), material));
      }
    }
    return found;
  }

  private static Preservation judge(
      Brew brew, Prediction prediction, String key, Material material) {
    double grams = prediction.amounts().getOrDefault(key, 0.0);
    double percent = 100 * grams / Math.max(1e-9, prediction.finished().grams());
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
    double ph = Double.isNaN(prediction.finished().ph()) ? PLAIN_PH : prediction.finished().ph();
    Figure working = material.figures().get(Property.WORKING_PH);
    if (working != null && (ph < working.low() || ph > working.high())) {
      faults.add(Fault.WRONG_PH);
    }
    double most = material.value(Property.MAX_TEMPERATURE, 100);
    List<Step> steps = brew.formula().steps();
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).ingredients().contains(key)
          && prediction.steps().get(i).startC() > most + 0.5) {
        faults.add(Fault.TOO_HOT);
      }
    }
    if (prediction.finished().solidsShare() > 0.01) {
      faults.add(Fault.PLANT_LEFT_IN);
    }
    return new Preservation(material, percent, faults);
  }
}
