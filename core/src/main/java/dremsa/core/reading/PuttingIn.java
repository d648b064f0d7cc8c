package dremsa.core.reading;

import dremsa.core.formula.Step.Level;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.List;

/** What goes in, together or later, poured hot or cold, and what is stirred in at the end. */
final class PuttingIn {
  private final Cook cook;
  private final PotSoFar pot;

  PuttingIn(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  /** Water so warm was poured hot, °C; the model knows just-boiled water, which is the hotter. */
  private static final double HOT_C = 60;

  void put(int i, Clause clause, List<Line> lines) {
    List<Line> more = lines.stream().filter(line -> !pot.inPot.contains(line)).toList();
    pot.vesselOf(clause);
    if (more.isEmpty()) {
      if (clause.word("container").isPresent()
          && !pot.inPot.isEmpty()
          && (pot.strained || pot.hot)) {
        cook.ending.bottle(clause);
      } else if (clause.word("tool").isPresent() && !pot.inPot.isEmpty()) {
        cook.parting.strain(clause);
      } else if (clause.word("place").isPresent() || clause.first(Item.Span.class).isPresent()) {
        cook.standing.await(i, clause);
      }
      return;
    }
    if (!pot.strained && pot.inPot.isEmpty() && pot.boiledAlone == null) {
      pot.pending.addAll(more.stream().filter(line -> !pot.pending.contains(line)).toList());
      pot.putBy = clause;
      boolean stays =
          clause.first(Item.Span.class).isPresent()
              && !clause.has("after")
              && pot.pending.stream().anyMatch(PotSoFar::isLiquid);
      if (stays) {
        cook.standing.stand(i, clause, false);
      }
      return;
    }
    boolean plants = more.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
    boolean late = more.stream().allMatch(Line::isStirredIn);
    if (pot.boiledAlone != null) {
      flush(i);
    }
    if (pot.strained || late && !plants) {
      addAtTheEnd(clause, more);
      return;
    }
    Stage again = pot.last();
    if (again != null
        && again.kind == StepKind.COMBINE
        && clause.sentence() == PotSoFar.sentenceOf(again)) {
      again.with(more).said(clause);
    } else {
      Stage stage = pot.add(StepKind.COMBINE, clause).with(more);
      stage.vessel = pot.vessel == null ? VesselKind.POT : pot.vessel;
    }
    pot.inPot.addAll(more);
    clause.word("to").ifPresent(to -> cook.hob.heat(i, clause));
    clause
        .first(Item.Span.class)
        .filter(span -> !clause.has("after"))
        .ifPresent(span -> waitHere(i, clause));
  }

  /** {@code add the sprigs for 5 minutes}: what it did goes on so long. */
  private void waitHere(int i, Clause clause) {
    if (pot.onHob) {
      cook.hob.boil(i, clause, pot.levelNext == null ? Level.SIMMER : pot.levelNext);
    } else {
      cook.standing.stand(i, clause, false);
    }
  }

  void addAtTheEnd(Clause clause, List<Line> more) {
    Stage again = pot.last();
    if (again != null && again.kind == StepKind.ADD && again.celsius == null) {
      again.with(more).said(clause);
    } else {
      if (pot.hot) {
        pot.add(StepKind.COOL, null);
        pot.hot = false;
      }
      Stage stage = pot.add(StepKind.ADD, clause).with(more);
      clause.first(Item.Warmth.class).ifPresent(w -> stage.celsius = w.celsius());
    }
    pot.inPot.addAll(more);
    pot.onHob = false;
  }

  void pour(int i, Clause clause, List<Line> lines) {
    if (clause.word("tool").isPresent() && !pot.inPot.isEmpty()) {
      cook.parting.strain(clause);
      return;
    }
    boolean more =
        lines.stream().anyMatch(line -> !pot.inPot.contains(line)) || !pot.pending.isEmpty();
    if (!more && pot.boiledAlone == null) {
      if (clause.word("container").isPresent() || pot.strained) {
        cook.ending.bottle(clause);
      }
      return;
    }
    pot.vesselOf(clause);
    boolean dry = !lines.isEmpty() && lines.stream().noneMatch(PotSoFar::isLiquid);
    if (dry && pot.boiledAlone == null && clause.is(Act.POUR) && !PotSoFar.saysHot(clause)) {
      put(i, clause, lines); // "Tip two spoons of tea into a mug": the water comes later.
      return;
    }
    boolean boiled =
        pot.boiledAlone != null
            || isWarmed(clause)
            || PotSoFar.saysHot(clause)
            || lines.stream().anyMatch(PotSoFar::isHot);
    if (!pot.inPot.isEmpty() && !boiled) {
      put(i, clause, lines);
      return;
    }
    List<Line> all = new ArrayList<>(pot.pending);
    all.addAll(pot.boiledWater);
    lines.stream().filter(l -> !all.contains(l) && !pot.inPot.contains(l)).forEach(all::add);
    if (all.stream().noneMatch(PotSoFar::isLiquid)) {
      pot.water().filter(l -> !pot.inPot.contains(l)).ifPresent(all::add);
    }
    if (all.stream().noneMatch(line -> line.is(m -> m.kind().isPlant()))) {
      unnamed(i).stream().filter(line -> line.is(m -> m.kind().isPlant())).forEach(all::add);
    }
    boolean watery = all.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER));
    Stage stage = pot.add(StepKind.COMBINE, pot.boiledAlone).said(pot.putBy).said(clause).with(all);
    stage.justBoiled = watery && (boiled || pouredHot(i, clause, all));
    stage.vessel = pot.vessel == null ? VesselKind.JAR : pot.vessel;
    pot.into(all);
    pot.hot = stage.justBoiled;
    pot.onHob = false;
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after")) {
      cook.standing.stand(i, clause, false);
    }
  }

  /**
   * Whether water of which the note does not say is poured boiling: over herbs that draw it is, the
   * hotter pot; over grain, over seed that gels, over what soaks it is not. It is asked.
   */
  private boolean pouredHot(int i, Clause clause, List<Line> all) {
    boolean cold =
        clause.words("state").contains("cold")
            || all.stream().anyMatch(l -> l.states().contains("cold"))
            || coldLater(i)
            || all.stream()
                .anyMatch(
                    l ->
                        l.is(
                            m ->
                                m.kind() == MaterialKind.GRAIN
                                    || m.kind() == MaterialKind.GUM_SEED));
    boolean covered = clause.is(Act.COVER) && !steepsNext(i);
    if (cold || clause.verb().isEmpty()) {
      return false;
    }
    Item.Verb verb = clause.verb().orElseThrow();
    String key = pot.margin.key("pour", verb.from(), verb.to());
    String value = pot.margin.answer(key).orElse(covered ? "ROOM" : "JUST_BOILED");
    pot.margin.asked(
        verb.from(),
        verb.to(),
        About.STEP,
        pot.stages.size(),
        value.equals("ROOM") ? "Pour cold water over" : "Pour just-boiled water over",
        key,
        value,
        List.of(new Option("JUST_BOILED", "just-boiled water"), new Option("ROOM", "cold water")));
    return value.equals("JUST_BOILED");
  }

  private static boolean isWarmed(Clause clause) {
    return clause.first(Item.Warmth.class).filter(w -> w.celsius() >= HOT_C).isPresent();
  }

  private boolean steepsNext(int i) {
    return pot.clauses.stream().skip(i + 1L).limit(3).anyMatch(c -> c.is(Act.STEEP));
  }

  /** Whether what comes after it is a soak or the hob, so that it was poured cold. */
  private boolean coldLater(int i) {
    for (int k = i + 1; k < pot.clauses.size(); k++) {
      Act act = pot.clauses.get(k).act().orElse(null);
      if (act == Act.SOAK
          || act == Act.BOIL
          || act == Act.SIMMER
          || act == Act.BRING
          || act == Act.HEAT
          || act == Act.FERMENT
          || act == Act.BATH) {
        return true;
      }
      if (act == Act.STEEP || act == Act.STRAIN) {
        return false;
      }
    }
    return false;
  }

  /** Ingredients that no step names from here on, and that are not kept for the end. */
  private List<Line> unnamed(int clause) {
    return pot.larder.lines().stream()
        .filter(line -> !pot.inPot.contains(line) && !pot.pending.contains(line))
        .filter(
            line ->
                line.firstClause() < 0 || line.firstClause() <= clause || !pot.namedToGoIn(line))
        .filter(line -> !pot.larder.isLate(line, pot.isHeated()) || nothingElse())
        .toList();
  }

  private boolean nothingElse() {
    return pot.larder.lines().stream().allMatch(Line::isStirredIn);
  }

  /** Puts together what waits to go in, with what no other step names. */
  void flush(int i) {
    List<Line> all = new ArrayList<>(pot.pending);
    all.addAll(pot.boiledWater);
    if (pot.boiledAlone == null) {
      pot.named.get(i).stream()
          .filter(
              l -> !all.contains(l) && !pot.inPot.contains(l) && !(pot.strained && l.isStirredIn()))
          .forEach(all::add);
    }
    boolean bare =
        pot.inPot.isEmpty()
            && (all.stream().noneMatch(PotSoFar::isLiquid)
                || all.stream().noneMatch(l -> l.is(m -> m.kind().isPlant()))
                    && pot.boiledAlone == null
                    && !pot.plantsLater(i));
    if (bare) {
      unnamed(i).stream().filter(l -> !all.contains(l)).forEach(all::add);
    }
    if (all.isEmpty()) {
      return;
    }
    Stage stage = pot.add(StepKind.COMBINE, pot.putBy).said(pot.boiledAlone);
    if (stage.filledIn()) {
      stage.said(pot.clauses.get(i));
    }
    stage.with(all);
    boolean grain = pot.vessel == null && !pot.onHob && !pot.heats(i);
    stage.vessel = pot.vessel == null ? grain ? VesselKind.JAR : VesselKind.POT : pot.vessel;
    boolean wasBoiled = pot.boiledAlone != null;
    boolean warmed =
        pot.clauses.get(i).first(Item.Warmth.class).filter(w -> w.celsius() >= HOT_C).isPresent();
    boolean allHot = (warmed || all.stream().anyMatch(PotSoFar::isHot)) && !pot.heats(i);
    stage.justBoiled =
        allHot && all.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER));
    pot.into(all);
    if (wasBoiled) {
      stage.vessel = VesselKind.POT;
      Stage heat = pot.add(StepKind.HEAT, stage.clauses.get(0));
      heat.lid = true;
      pot.hot = true;
      pot.onHob = true;
    } else if (stage.justBoiled) {
      pot.hot = true;
    }
  }

  void mix(int i, Clause clause, List<Line> lines) {
    if (lines.stream().anyMatch(line -> !pot.inPot.contains(line) && !pot.pending.contains(line))) {
      put(i, clause, lines);
    } else if (pot.inPot.isEmpty() && !pot.pending.isEmpty()) {
      pot.putBy = pot.putBy == null ? clause : pot.putBy;
    } else {
      Stage last = pot.last();
      if (last != null) {
        last.said(clause);
      }
    }
  }

  void stir(int i, Clause clause, List<Line> lines) {
    List<Line> more =
        lines.stream().filter(l -> !pot.inPot.contains(l) && !pot.pending.contains(l)).toList();
    if (!more.isEmpty() && clause.first(Item.Span.class).isEmpty()) {
      put(i, clause, lines);
      return;
    }
    Stage last = pot.last(s -> s.kind == StepKind.BOIL || s.kind == StepKind.HEAT);
    Stage latest = pot.last();
    if (last != null && (latest == last || pot.onHob)) {
      last.stir = true;
      last.said(clause);
      if (clause.first(Item.Span.class).isPresent() && last.time == null) {
        pot.stirNext = true;
        cook.hob.boil(i, clause, pot.levelNext);
      }
    } else if (latest != null) {
      latest.said(clause);
    }
    if (pot.inPot.isEmpty()) {
      pot.stirNext = true;
    }
  }
}
