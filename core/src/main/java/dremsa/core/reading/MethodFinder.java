package dremsa.core.reading;

import dremsa.core.formula.Method;
import dremsa.core.formula.StepKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** Finds the method that a note follows, from what goes in and what is done to it. */
final class MethodFinder {
  /** So much powder to its liquid, by weight, is a paste; thinner it is an infusion of powder. */
  private static final double PASTE = 0.1;

  /** Fresh sprigs that boil no longer than this are simmered shortly, min; common practice. */
  private static final double SHORT_SIMMER = 8;

  private final List<Line> lines;
  private final List<Stage> stages;

  private MethodFinder(List<Line> lines, List<Stage> stages) {
    this.lines = lines;
    this.stages = stages;
  }

  /** The methods that it may be, the likeliest first; never empty. */
  static List<Method> of(List<Line> lines, List<Stage> stages) {
    return List.copyOf(new MethodFinder(lines, stages).find());
  }

  private Set<Method> find() {
    Set<Method> all = new LinkedHashSet<>();
    boolean water = has(MaterialKind.WATER) || has(MaterialKind.HYDROLAT);
    boolean boils = does(StepKind.BOIL) || does(StepKind.HEAT);
    boolean plants = any(m -> m.kind().isPlant());
    if (has(MaterialKind.CONDITIONER)) {
      all.add(Method.FORTIFIED_CONDITIONER);
    }
    if (has(MaterialKind.SPIRIT) && plants && !boils) {
      all.add(Method.TINCTURE);
    }
    if (!water
        && any(m -> m.kind().role() == MaterialKind.Role.OIL)
        && plants
        && !does(StepKind.ADD)
        && isOily()
        && !isPaste()) {
      all.add(Method.INFUSED_OIL);
    }
    if (has(MaterialKind.SEAWEED)) {
      all.add(Method.SEAWEED_GEL);
    }
    boolean gumSeed = any(MethodFinder::isGumSeed);
    if (gumSeed && (juiceLater() && !boils)) {
      all.add(Method.BLEND);
    }
    if (gumSeed) {
      all.add(Method.SEED_GEL);
    }
    if (has(MaterialKind.GRAIN) && !gumSeed) {
      boolean cream = does(StepKind.BLEND) && boils;
      all.add(cream ? Method.GRAIN_CREAM : Method.STARCH_WATER);
      all.add(cream ? Method.STARCH_WATER : Method.GRAIN_CREAM);
    }
    if (does(StepKind.WATER_BATH) && plants) {
      all.add(Method.WATER_BATH);
    }
    if (any(
            m ->
                m.kind().isPlant()
                    && m.value(Property.GUM_YIELD, 0) > 0
                    && !isGumSeed(m)
                    && m.kind() != MaterialKind.ALOE_LEAF
                    && !m.id().startsWith("fenugreek"))
        && (boils || stands())) {
      all.add(Method.MUCILAGE);
    }
    boolean blended = does(StepKind.BLEND) && !boils && any(m -> m.kind().isFresh());
    if (blended && !does(StepKind.STRAIN) && !has(MaterialKind.ALOE_LEAF)) {
      all.add(Method.PASTE);
    }
    if (blended) {
      all.add(
          has(MaterialKind.ALOE_LEAF) && !any(m -> m.kind() == MaterialKind.FRESH_PLANT)
              ? Method.ALOE_JUICE
              : Method.FRESH_JUICE);
    }
    if (isPaste() && !does(StepKind.STRAIN) && !does(StepKind.BOIL)) {
      all.add(Method.PASTE);
    }
    boolean infused = poured() || does(StepKind.STEEP) && !does(StepKind.BOIL);
    if (infused && plants && juiceLater()) {
      all.add(Method.BLEND);
    }
    if (does(StepKind.BOIL) && plants) {
      boolean sprigs =
          lines.stream()
              .filter(l -> l.is(m -> m.kind().isPlant()))
              .allMatch(l -> l.is(m -> m.kind() == MaterialKind.FRESH_LEAF));
      all.add(sprigs && boilMinutes() <= SHORT_SIMMER ? Method.SHORT_SIMMER : Method.DECOCTION);
    }
    if (infused && plants) {
      all.add(Method.HOT_INFUSION);
    }
    if (does(StepKind.SOAK) && plants) {
      all.add(Method.COLD_SOAK);
    }
    if (stages.isEmpty() && water && plants) {
      all.add(Method.HOT_INFUSION);
      all.add(Method.DECOCTION);
    }
    if (boils && plants) {
      all.add(Method.DECOCTION);
    }
    if (!water && has(MaterialKind.ALOE_LEAF)) {
      all.add(Method.ALOE_JUICE);
    }
    if (any(m -> m.kind() == MaterialKind.FRESH_PLANT) && !boils && !infused) {
      all.add(Method.FRESH_JUICE);
    }
    if (!plants) {
      all.add(Method.BLEND);
    }
    if (all.isEmpty()) {
      all.add(water ? Method.HOT_INFUSION : Method.BLEND);
    }
    return all;
  }

  private static boolean isGumSeed(Material material) {
    return material.kind() == MaterialKind.GUM_SEED
        || material.kind() == MaterialKind.GUM_POWDER && material.id().startsWith("linseed");
  }

  private boolean stands() {
    return does(StepKind.STEEP) || does(StepKind.SOAK) || poured();
  }

  private boolean poured() {
    return stages.stream().anyMatch(stage -> stage.kind == StepKind.COMBINE && stage.justBoiled);
  }

  private boolean juiceLater() {
    return stages.stream()
        .filter(stage -> stage.kind == StepKind.ADD)
        .flatMap(stage -> stage.lines.stream())
        .anyMatch(
            line ->
                line.material() == null
                    || line.is(m -> m.kind().isRaw() || m.kind() == MaterialKind.HYDROLAT));
  }

  private boolean isPaste() {
    double powder =
        lines.stream()
            .filter(l -> l.is(m -> m.kind() == MaterialKind.POWDER))
            .mapToDouble(Line::grams)
            .sum();
    double liquid =
        lines.stream().filter(l -> !l.is(m -> m.kind().isPlant())).mapToDouble(Line::grams).sum();
    return powder > 0 && (liquid == 0 || powder > PASTE * liquid);
  }

  /** Whether plants stand in oil, and not a little oil in plants. */
  private boolean isOily() {
    double oil =
        lines.stream()
            .filter(l -> l.is(m -> m.kind().role() == MaterialKind.Role.OIL))
            .mapToDouble(Line::grams)
            .sum();
    double plants =
        lines.stream().filter(l -> l.is(m -> m.kind().isPlant())).mapToDouble(Line::grams).sum();
    boolean open = lines.stream().anyMatch(l -> l.proportion() == null);
    return open || oil >= plants;
  }

  private double boilMinutes() {
    return stages.stream()
        .filter(stage -> stage.kind == StepKind.BOIL)
        .mapToDouble(stage -> stage.time == null ? SHORT_SIMMER : stage.time.usual())
        .sum();
  }

  private boolean has(MaterialKind kind) {
    return any(m -> m.kind() == kind);
  }

  private boolean any(Predicate<Material> which) {
    return lines.stream().anyMatch(line -> line.is(which));
  }

  private boolean does(StepKind kind) {
    return stages.stream().anyMatch(stage -> stage.kind == kind);
  }
}
