package dremsa.core.kitchen;

import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.ScoopSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A household's kitchen, as far as a brew depends on it.
 *
 * @param hobs cooking places; the strongest is used unless a batch says otherwise
 * @param vessels pots, bowls, jars, blender
 * @param strainers what it can strain through
 * @param scoops what it can measure with
 * @param climate room, fridge and freezer
 * @param parameters of the model, calibrated or default
 * @param counts what a pinch, a handful, a glass or a scoop holds here
 * @param scaleStep what the kitchen scale shows at least, g; 0 without a scale
 * @param site how high it is and what water it has
 */
public record Kitchen(
    List<Hob> hobs,
    List<Vessel> vessels,
    Set<StrainTool> strainers,
    ScoopSet scoops,
    Climate climate,
    ModelParameters parameters,
    CountMeasures counts,
    double scaleStep,
    Site site) {
  /** What a usual kitchen scale shows, g. */
  public static final double USUAL_SCALE_STEP = 1;

  public Kitchen {
    hobs = List.copyOf(hobs);
    vessels = List.copyOf(vessels);
    strainers = Set.copyOf(strainers);
    if (!(scaleStep >= 0 && scaleStep <= 50)) {
      throw new IllegalArgumentException("a scale shows steps of 0 to 50 g, not " + scaleStep);
    }
  }

  /** A kitchen somewhere with a usual scale, in which loose measures have the stated sizes. */
  public Kitchen(
      List<Hob> hobs,
      List<Vessel> vessels,
      Set<StrainTool> strainers,
      ScoopSet scoops,
      Climate climate,
      ModelParameters parameters) {
    this(
        hobs,
        vessels,
        strainers,
        scoops,
        climate,
        parameters,
        CountMeasures.usual(),
        USUAL_SCALE_STEP,
        Site.UNKNOWN);
  }

  /** What a home kitchen of this measure system usually has. */
  public static Kitchen usual(MeasureSystem system) {
    return new Kitchen(
        List.of(Hob.usual("hob-1", "Large ring")),
        List.of(
            new Vessel("pot-18", "Small pot", VesselKind.POT, 18, 2200, true),
            new Vessel("pot-24", "Large pot", VesselKind.POT, 24, 5000, true),
            new Vessel("bowl-20", "Mixing bowl", VesselKind.BOWL, 20, 2500, true),
            new Vessel("jar-10", "Litre jar", VesselKind.JAR, 10, 1000, true),
            new Vessel("jar-12", "Two-litre jar", VesselKind.JAR, 12, 2000, true),
            new Vessel("blender", "Blender", VesselKind.BLENDER, 12, 1500, true)),
        Set.of(StrainTool.SIEVE, StrainTool.CLOTH, StrainTool.FINE_CLOTH, StrainTool.PAPER),
        ScoopSet.usual(system),
        Climate.USUAL,
        ModelParameters.standard());
  }

  /** The strongest hob, if there is one. */
  public Optional<Hob> strongestHob() {
    return hobs.stream().max(Comparator.comparingDouble(hob -> hob.high().value()));
  }

  /** The largest vessel of a kind, if there is one. */
  public Optional<Vessel> largest(VesselKind kind) {
    return vessels.stream()
        .filter(vessel -> vessel.kind() == kind)
        .max(Comparator.comparingDouble(Vessel::capacityMl));
  }

  /** The same kitchen with a jar of this size as its largest, mL; larger ones are left out. */
  public Kitchen withLargestJar(double millilitres) {
    List<Vessel> changed = new ArrayList<>();
    for (Vessel vessel : vessels) {
      if (vessel.kind() != VesselKind.JAR || vessel.capacityMl() < millilitres * 0.99) {
        changed.add(vessel);
      }
    }
    // A jar is about 1.3 times as tall as it is wide.
    double widthCm = Math.cbrt(millilitres / (1.3 * Math.PI / 4));
    changed.add(
        new Vessel("jar-largest", "Largest jar", VesselKind.JAR, widthCm, millilitres, true));
    return new Kitchen(
        hobs, changed, strainers, scoops, climate, parameters, counts, scaleStep, site);
  }

  /** The same kitchen with one hob replaced by another of the same id. */
  public Kitchen withHob(Hob changed) {
    return new Kitchen(
        hobs.stream().map(hob -> hob.id().equals(changed.id()) ? changed : hob).toList(),
        vessels,
        strainers,
        scoops,
        climate,
        parameters,
        counts,
        scaleStep,
        site);
  }

  /** The same kitchen with other model parameters. */
  public Kitchen withParameters(ModelParameters changed) {
    return new Kitchen(hobs, vessels, strainers, scoops, climate, changed, counts, scaleStep, site);
  }

  /** The same kitchen with other vessels. */
  public Kitchen withVessels(List<Vessel> changed) {
    return new Kitchen(
        hobs, changed, strainers, scoops, climate, parameters, counts, scaleStep, site);
  }

  /** The same kitchen in another climate. */
  public Kitchen withClimate(Climate changed) {
    return new Kitchen(
        hobs, vessels, strainers, scoops, changed, parameters, counts, scaleStep, site);
  }

  /** The same kitchen elsewhere. */
  public Kitchen withSite(Site changed) {
    return new Kitchen(
        hobs, vessels, strainers, scoops, climate, parameters, counts, scaleStep, changed);
  }
}
