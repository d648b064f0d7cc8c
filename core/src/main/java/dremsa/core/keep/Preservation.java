package dremsa.core.keep;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Contents;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
  private static final List<Property> WEAK_ACIDS =
      List.of(Property.SORBIC_ACID, Property.BENZOIC_ACID, Property.DEHYDROACETIC_ACID);

  /** Why it does not work. */
  public enum Fault {
    /** Nobody wrote down its dose, or the pH at which it works: it is not counted on. */
    NOT_KNOWN,
    TOO_LITTLE,
    TOO_MUCH,
    WRONG_PH,
    /** By the estimate it may or may not be sour enough: only a reading can tell. */
    UNSURE_PH,
    /** It is a weak acid, which the careful school believes to work only where the pH was read. */
    PH_NOT_READ,
    TOO_HOT,
    PLANT_LEFT_IN
  }

  public Preservation {
    faults = List.copyOf(faults);
  }

  /** Whether it keeps the brew; too much of it does, though nobody should use so much. */
  public boolean works() {
    return faults.stream().allMatch(fault -> fault == Fault.TOO_MUCH);
  }

  /** The preservatives of a brew, each judged by a school. */
  public static List<Preservation> in(Contents brew, School school) {
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
    return once.values().stream().map(p -> judge(brew, p, school)).toList();
  }

  private static Preservation judge(Contents brew, Contents.Preserver preserver, School school) {
    Material material = preserver.material();
    double percent = 100 * preserver.grams() / Math.max(1e-9, brew.grams());
    List<Fault> faults = new ArrayList<>();
    if (!material.figures().keySet().containsAll(List.of(Property.DOSE, Property.WORKING_PH))) {
      faults.add(Fault.NOT_KNOWN);
    }
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
    ofPh(brew.ph(), material, school).ifPresent(faults::add);
    if (preserver.tooHot()) {
      faults.add(Fault.TOO_HOT);
    }
    if (brew.solidsShare() > 0.01) {
      faults.add(Fault.PLANT_LEFT_IN);
    }
    return new Preservation(material, percent, faults);
  }

  /** What is the matter with the pH; where there is no water there is no pH to be wrong. */
  private static Optional<Fault> ofPh(Sourness.Ph ph, Material material, School school) {
    Figure working = material.figures().get(Property.WORKING_PH);
    if (working == null || !ph.exists()) {
      return Optional.empty();
    }
    // What is sourer than its range keeps no worse; that it stings is told by itself.
    if (ph.value() > working.high()) {
      return Optional.of(Fault.WRONG_PH);
    }
    boolean weakAcid = WEAK_ACIDS.stream().anyMatch(material.figures()::containsKey);
    if (weakAcid && school.wantsPhRead() && !ph.read()) {
      return Optional.of(Fault.PH_NOT_READ);
    }
    return ph.surelyAtMost(working.high()) ? Optional.empty() : Optional.of(Fault.UNSURE_PH);
  }
}
