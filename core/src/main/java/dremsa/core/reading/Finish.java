package dremsa.core.reading;

import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuide;
import dremsa.core.formula.MethodGuides;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Fills in from the method what a note leaves out; what it fills in says that it is filled in. */
final class Finish {
  /** Where a method tells no ratio: so much water to a part of plant; common practice. */
  private static final double USUAL_RATIO = 25;

  /** Water where nothing at all is measured; only the proportions of a formula count. */
  private static final double WATER_GRAMS = 1000;

  private final Larder larder;
  private final List<Stage> stages;
  private final Method method;

  private Finish(Larder larder, List<Stage> stages, Method method) {
    this.larder = larder;
    this.stages = stages;
    this.method = method;
  }

  /** The model's step like a stage: the first, for what it says of windows and cues. */
  static Optional<Step> model(Method method, Stage stage) {
    return MethodGuides.of(method).model().steps().stream()
        .filter(step -> step.kind() == stage.kind)
        .filter(step -> step.readies().map(t -> t == stage.treatment).orElse(true))
        .findFirst();
  }

  private Optional<Step> model(StepKind kind) {
    return model(method, new Stage(kind));
  }

  /**
   * Where all is told in percent the base is told so too: {@code 50 % aloe juice, 45 % rose water}.
   */
  static void shares(Larder larder) {
    boolean parts = larder.lines().stream().anyMatch(line -> line.grams() > 0);
    if (!parts && larder.unmeasured().isEmpty()) {
      for (Line line : larder.lines()) {
        boolean base =
            line.material() == null || line.is(m -> m.kind().role() != MaterialKind.Role.ADDITIVE);
        if (base && line.proportion() instanceof Proportion.PercentOfFinished share) {
          line.measured(new Proportion.Parts(share.percent()), line.amount());
        }
      }
    }
  }

  /**
   * Amounts that are not written: water and plants by the method's ratio, the rest is asked for.
   */
  static void amounts(Larder larder, Method method) {
    // A juice has its own water; everything else that is dry needs some.
    boolean dry =
        method != Method.FRESH_JUICE
            && method != Method.ALOE_JUICE
            && larder.lines().stream()
                .allMatch(
                    line -> line.is(m -> m.kind().isPlant() && m.kind() != MaterialKind.ALOE_LEAF))
            && !(method == Method.PASTE
                && larder.lines().stream().anyMatch(line -> line.is(m -> m.kind().isFresh())));
    if (dry && !larder.lines().isEmpty()) {
      larder.addWater();
    }
    MethodGuide guide = MethodGuides.of(method);
    double ratio = guide.waterToHerb().map(figure -> figure.value()).orElse(USUAL_RATIO);
    double plants = grams(larder, true);
    double liquids = grams(larder, false);
    List<Line> open = larder.unmeasured();
    long openPlants = open.stream().filter(line -> line.is(m -> m.kind().isPlant())).count();
    List<Line> openLiquids =
        open.stream().filter(line -> line.is(m -> isBase(m.kind(), method))).toList();
    boolean liquidOpen =
        !openLiquids.isEmpty()
            && larder.lines().stream()
                .noneMatch(line -> line.grams() > 0 && line.is(m -> isBase(m.kind(), method)));
    if (liquidOpen) {
      double wanted = plants > 0 ? plants * ratio : WATER_GRAMS;
      openLiquids.forEach(line -> larder.measuring().suggest(line, wanted / openLiquids.size()));
      liquids = wanted;
    }
    double forPlants = liquids > 0 ? liquids / ratio : plants > 0 ? plants : WATER_GRAMS / ratio;
    for (Line line : larder.unmeasured()) {
      if (line.is(m -> m.kind().isPlant())) {
        larder.measuring().suggest(line, forPlants / openPlants);
      } else {
        larder.measuring().ask(line);
      }
    }
  }

  private static boolean isBase(MaterialKind kind, Method method) {
    return switch (kind) {
      case WATER, SPIRIT -> true;
      case CARRIER_OIL -> method == Method.INFUSED_OIL;
      case CONDITIONER -> method == Method.FORTIFIED_CONDITIONER;
      default -> false;
    };
  }

  /** A fresh plant is mostly water: what counts for a ratio is what it would weigh dried, g. */
  private static double dried(Line line) {
    Material material = line.material();
    return material == null || !material.kind().isFresh()
        ? line.grams()
        : line.grams()
            * (1 - material.value(Property.WATER_SHARE, FRESH_WATER))
            / (1 - DRIED_WATER);
  }

  /** Water in fresh and in dried plant where it is not known; common practice. */
  private static final double FRESH_WATER = 0.85;

  private static final double DRIED_WATER = 0.1;

  private static double grams(Larder larder, boolean plants) {
    return larder.lines().stream()
        .filter(line -> plants == line.is(m -> m.kind().isPlant()))
        .filter(
            line ->
                plants
                    || line.is(
                        m ->
                            m.kind().role() == MaterialKind.Role.LIQUID
                                || m.kind().role() == MaterialKind.Role.OIL))
        .mapToDouble(line -> plants ? dried(line) : line.grams())
        .sum();
  }

  /**
   * The steps with what was left out.
   *
   * @param neverStrained whether the note says that it is not strained
   */
  static List<Stage> steps(Larder larder, List<Stage> said, Method method, boolean neverStrained) {
    Finish finish = new Finish(larder, new ArrayList<>(said), method);
    finish.gather();
    finish.process();
    if (!neverStrained) {
      finish.strain();
    }
    finish.addWhatIsLeft();
    finish.bottle();
    return finish.details();
  }

  private boolean does(StepKind kind) {
    return stages.stream().anyMatch(stage -> stage.kind == kind);
  }

  private int first(StepKind... kinds) {
    List<StepKind> wanted = List.of(kinds);
    for (int i = 0; i < stages.size(); i++) {
      if (wanted.contains(stages.get(i).kind)) {
        return i;
      }
    }
    return -1;
  }

  private List<Line> notIn() {
    return larder.lines().stream()
        .filter(line -> line.proportion() != null)
        .filter(
            line ->
                stages.stream()
                    .noneMatch(
                        s ->
                            (s.kind == StepKind.COMBINE || s.kind == StepKind.ADD)
                                && s.lines.contains(line)))
        .toList();
  }

  /** Puts into the first pot what the note names and puts nowhere. */
  private void gather() {
    List<Line> pot = new ArrayList<>(notIn());
    boolean heated = isHeated();
    if (heated || hasPlants() && larder.lines().stream().anyMatch(line -> !line.goesInLate(true))) {
      pot.removeIf(line -> larder.isLate(line, heated));
    }
    if (pot.isEmpty()) {
      return;
    }
    int combine = first(StepKind.COMBINE);
    if (combine >= 0) {
      stages.get(combine).with(pot);
      return;
    }
    Stage stage = new Stage(StepKind.COMBINE);
    Optional<Step> model = model(StepKind.COMBINE);
    stage.vessel =
        hasPlants() ? model.flatMap(Step::worksIn).orElse(VesselKind.POT) : VesselKind.BOWL;
    stage.justBoiled =
        hasPlants()
            && model.filter(Step::pouredHot).isPresent()
            && pot.stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER));
    int at = 0;
    while (at < stages.size()
        && (stages.get(at).kind == StepKind.WASH || stages.get(at).kind == StepKind.PREPARE)) {
      at++;
    }
    stages.add(at, stage.with(pot));
  }

  private boolean isHeated() {
    return stages.stream()
            .anyMatch(
                s ->
                    s.kind == StepKind.HEAT
                        || s.kind == StepKind.BOIL
                        || s.kind == StepKind.WATER_BATH
                        || s.justBoiled)
        || model(StepKind.COMBINE).filter(Step::pouredHot).isPresent() && hasPlants();
  }

  private boolean hasPlants() {
    return larder.lines().stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
  }

  /** Where the note only tells what goes in, the method tells what to do. */
  private void process() {
    boolean works =
        stages.stream()
            .anyMatch(
                s ->
                    switch (s.kind) {
                      case HEAT, BOIL, WATER_BATH, STEEP, SOAK, FERMENT, MACERATE, BLEND -> true;
                      default -> false;
                    });
    int combine = first(StepKind.COMBINE);
    if (combine < 0) {
      return;
    }
    boolean infusion = stages.get(combine).justBoiled;
    if (works
        || method == Method.BLEND
        || method == Method.PASTE
        || method == Method.FORTIFIED_CONDITIONER) {
      int heat = first(StepKind.HEAT);
      boolean boiling =
          method == Method.SEED_GEL || method == Method.MUCILAGE && does(StepKind.HEAT);
      if (heat >= 0 && boiling && !does(StepKind.BOIL)) {
        stages.add(heat + 1, new Stage(StepKind.BOIL));
      }
      return;
    }
    if (infusion) {
      if (does(StepKind.COOL)) {
        return; // "Cover and leave till cold": it draws while it cools.
      }
      stages.add(combine + 1, new Stage(StepKind.STEEP));
      return;
    }
    int at = combine + 1;
    for (Step step : MethodGuides.of(method).model().steps()) {
      switch (step.kind()) {
        case HEAT, BOIL, WATER_BATH, STEEP, SOAK, FERMENT, MACERATE, BLEND ->
            stages.add(at++, new Stage(step.kind()));
        default -> {
          // The rest is filled in where it belongs.
        }
      }
    }
  }

  private void strain() {
    Optional<Step> model = model(StepKind.STRAIN);
    boolean plants = larder.lines().stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
    if (does(StepKind.STRAIN) || model.isEmpty() || !plants || method == Method.PASTE) {
      return;
    }
    int at = stages.size();
    int blended = lastOf(StepKind.BLEND);
    for (int i = Math.max(0, blended); i < stages.size(); i++) {
      StepKind kind = stages.get(i).kind;
      if (kind == StepKind.ADD || kind == StepKind.BOTTLE || kind == StepKind.FREEZE) {
        at = i;
        break;
      }
    }
    stages.add(at, new Stage(StepKind.STRAIN));
  }

  private int lastOf(StepKind kind) {
    int last = -1;
    for (int i = 0; i < stages.size(); i++) {
      last = stages.get(i).kind == kind ? i : last;
    }
    return last;
  }

  private void addWhatIsLeft() {
    List<Line> left = notIn();
    if (left.isEmpty()) {
      return;
    }
    int at = first(StepKind.BOTTLE, StepKind.FREEZE);
    int where = at < 0 ? stages.size() : at;
    if (first(StepKind.COMBINE) < 0) {
      Stage stage = new Stage(StepKind.COMBINE).with(left);
      stage.vessel = VesselKind.BOWL;
      stages.add(where, stage);
      return;
    }
    if (isHot(where)) {
      stages.add(where++, new Stage(StepKind.COOL));
    }
    stages.add(where, new Stage(StepKind.ADD).with(left));
  }

  private boolean isHot(int before) {
    boolean hot = false;
    for (int i = 0; i < before; i++) {
      switch (stages.get(i).kind) {
        case HEAT, BOIL, WATER_BATH -> hot = true;
        case COMBINE -> hot |= stages.get(i).justBoiled;
        case COOL, SOAK, FERMENT, MACERATE -> hot = false;
        case STEEP -> hot &= isShort(stages.get(i).time);
        default -> {
          // Nothing that cools it.
        }
      }
    }
    return hot;
  }

  private static boolean isShort(Item.@Nullable Span time) {
    return time != null && time.low() < 90;
  }

  private void bottle() {
    if (!does(StepKind.BOTTLE) && !does(StepKind.FREEZE)) {
      if (isHot(stages.size()) && !does(StepKind.COOL) && method != Method.PASTE) {
        stages.add(new Stage(StepKind.COOL));
      }
      stages.add(new Stage(StepKind.BOTTLE));
    }
    // What comes after the bottle belongs before it.
    int at = first(StepKind.BOTTLE, StepKind.FREEZE);
    Stage bottle = stages.remove(at);
    stages.removeIf(s -> s.kind == StepKind.BOTTLE);
    stages.add(bottle);
  }

  private Container usualContainer() {
    boolean oil =
        larder.lines().stream()
                .noneMatch(l -> l.is(m -> m.kind().role() == MaterialKind.Role.LIQUID))
            && larder.lines().stream()
                .anyMatch(l -> l.is(m -> m.kind().role() == MaterialKind.Role.OIL));
    return oil ? Container.APPLICATOR : MethodGuides.of(method).model().container();
  }

  /** The details that the note leaves open, by the method. */
  private List<Stage> details() {
    boolean gum =
        larder.lines().stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.GUM_SEED));
    for (Stage stage : stages) {
      Optional<Step> model = model(method, stage);
      switch (stage.kind) {
        case STRAIN -> {
          if (stage.tool == null) {
            stage.tool = model.flatMap(Step::strainer).orElse(StrainTool.SIEVE);
            if (stage.squeeze == null) {
              stage.squeeze = stage.filledIn() && model.map(Step::wrung).orElse(false);
            }
          }
        }
        case HEAT, BOIL -> {
          if (stage.stir == null) {
            stage.stir = gum;
          }
          if (stage.lid == null) {
            stage.lid = !stage.stir && !gum;
          }
        }
        case BOTTLE -> {
          if (stage.container == null) {
            stage.container = usualContainer();
          }
        }
        default -> {
          // Its own defaults are the method's.
        }
      }
    }
    return stages;
  }
}
