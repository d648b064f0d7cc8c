package dremsa.core.reading;

import dremsa.core.formula.Guide;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A step in the making: what the note says of it so far. Null is what it leaves open. */
final class Stage {
  final StepKind kind;
  final List<Line> lines = new ArrayList<>();
  final List<Clause> clauses = new ArrayList<>();
  @Nullable VesselKind vessel;
  boolean justBoiled;
  @Nullable Boolean lid;
  @Nullable Boolean stir;
  Step.@Nullable Level level;
  Item.@Nullable Span time;
  String cue = "";
  @Nullable Place place;
  @Nullable StrainTool tool;
  @Nullable Boolean squeeze;
  @Nullable Container container;
  @Nullable Double celsius;
  Step.@Nullable CoolingWay way;
  Step.@Nullable Treatment treatment;
  int shakeEveryDays;

  Stage(StepKind kind) {
    this.kind = kind;
  }

  /** Where the note asks for it. */
  Stage said(@Nullable Clause clause) {
    if (clause != null && !clauses.contains(clause)) {
      clauses.add(clause);
    }
    return this;
  }

  Stage with(List<Line> more) {
    more.stream().filter(line -> !lines.contains(line)).forEach(lines::add);
    return this;
  }

  /** Whether there is something to put in; a step that puts nothing in is none. */
  boolean putsSomething() {
    return kind != StepKind.COMBINE && kind != StepKind.ADD
        || lines.stream().anyMatch(line -> line.proportion() != null);
  }

  /** Whether the method fills it in, and the note does not say it. */
  boolean filledIn() {
    return clauses.isEmpty();
  }

  /** What a step of the method says where the note leaves it open. */
  private static <T> T or(@Nullable T said, T otherwise) {
    return said == null ? otherwise : said;
  }

  /**
   * The step.
   *
   * @param model the step of the same kind in the method's model, if there is one
   */
  Step step(Optional<Step> model) {
    Guide guide = guide(model);
    List<String> keys = lines.stream().filter(l -> l.proportion() != null).map(Line::key).toList();
    Window window = Windows.of(time, model.flatMap(Step::window), kind);
    return switch (kind) {
      case WASH -> new Step.Wash(keys, guide);
      case PREPARE -> new Step.Prepare(keys, or(treatment, Step.Treatment.CHOP), window, guide);
      case COMBINE ->
          new Step.Combine(
              or(vessel, VesselKind.POT),
              keys,
              justBoiled ? Step.LiquidHeat.JUST_BOILED : Step.LiquidHeat.ROOM,
              guide);
      case HEAT -> new Step.Heat(or(lid, false), or(stir, false), guide);
      case BOIL ->
          new Step.Boil(
              or(level, Step.Level.GENTLE), or(lid, false), or(stir, false), window, guide);
      case WATER_BATH -> new Step.WaterBath(window, guide);
      case STEEP -> new Step.Steep(or(lid, true), window, guide);
      case SOAK -> new Step.Soak(or(place, Place.ROOM), window, guide);
      case FERMENT -> new Step.Ferment(window, guide);
      case MACERATE -> new Step.Macerate(Math.max(1, shakeEveryDays), window, guide);
      case COOL ->
          new Step.Cool(
              or(celsius, Cook.COOL_C), or(way, Step.CoolingWay.COUNTER), or(lid, true), guide);
      case STRAIN -> new Step.Strain(or(tool, StrainTool.SIEVE), or(squeeze, false), guide);
      case BLEND -> new Step.Blend(window, guide);
      case ADD -> new Step.Add(keys, or(celsius, Cook.ADD_BELOW_C), guide);
      case BOTTLE -> new Step.Bottle(or(container, Container.JAR), guide);
      case FREEZE -> new Step.Freeze(PORTION_ML, guide);
      case DIVIDE -> throw new IllegalStateException("a note in plain words divides nothing");
    };
  }

  /** A cube of an ice tray; common practice. */
  private static final double PORTION_ML = 20;

  private Guide guide(Optional<Step> model) {
    Guide usual = model.map(Step::guide).orElse(Guide.NONE);
    return cue.isEmpty()
        ? new Guide("", usual.cue(), usual.early(), usual.late())
        : new Guide("", cue, usual.early(), usual.late());
  }

  /** Whether nothing about the time is said where the step has one. */
  boolean timeLeftOpen() {
    return time == null
        && switch (kind) {
          case BOIL, STEEP, SOAK, FERMENT, MACERATE, WATER_BATH -> true;
          default -> false;
        };
  }
}
