package dremsa.core.reading;

import dremsa.core.formula.Step.Level;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.MaterialKind;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is done on the hob: brought to the boil, kept there, stood in a water bath. */
final class OnTheHob {
  private final Cook cook;
  private final PotSoFar pot;

  OnTheHob(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  void boil(int i, Clause clause, @Nullable Level level) {
    List<Line> lines = pot.named.get(i);
    boolean alone =
        pot.inPot.isEmpty()
            && pot.pending.isEmpty()
            && !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER))
            && clause.first(Item.Span.class).isEmpty()
            && (pot.plantsLater(i) || pouredLater(i));
    boolean kettle =
        pot.inPot.isEmpty() && pot.pending.isEmpty() && lines.isEmpty() && saysWater(clause);
    if (alone || kettle) {
      pot.boiledAlone = clause;
      pot.boiledWater = kettle ? pot.water().map(List::of).orElse(List.of()) : lines;
      pot.vesselOf(clause);
      return;
    }
    if (pot.strained && pot.inPot.isEmpty()) {
      return;
    }
    pot.vesselOf(clause);
    cook.puttingIn.flush(i);
    Level wanted =
        clause.word("heat").map(Level::valueOf).orElse(level != null ? level : pot.levelNext);
    boolean toBoil = clause.words("to").contains("BOIL");
    Optional<Item.Span> time = clause.first(Item.Span.class).filter(span -> !clause.has("after"));
    if (!pot.onHob) {
      Stage heat = pot.add(StepKind.HEAT, clause);
      heat.lid = pot.lidNext;
      heat.stir = pot.stirNext;
      pot.manner(clause, heat);
      pot.hot = true;
      pot.onHob = true;
      if (toBoil && time.isEmpty() && level == null) {
        return;
      }
    }
    Stage before = pot.last();
    Stage stage;
    if (before != null && before.kind == StepKind.BOIL && (before.time == null || time.isEmpty())) {
      stage = before.said(clause);
    } else {
      if (before != null
          && before.kind == StepKind.COMBINE
          && time.isEmpty()
          && toBoil
          && level == null) {
        before.said(clause);
        return;
      }
      stage = pot.add(StepKind.BOIL, clause);
      stage.lid = pot.lidNext;
      stage.stir = pot.stirNext;
    }
    time.ifPresent(span -> stage.time = span);
    if (wanted != null) {
      stage.level = wanted;
    }
    pot.manner(clause, stage);
    pot.lidNext = null;
    pot.stirNext = null;
    pot.levelNext = null;
    pot.strained = false;
  }

  private boolean saysWater(Clause clause) {
    return clause.words("vessel").contains("POT")
        && pot.water().isPresent()
        && clause.first(Item.Span.class).isEmpty()
        && pot.margin.words(clause.from(), clause.to()).toLowerCase(Locale.ROOT).contains("kettle");
  }

  private boolean pouredLater(int i) {
    for (int k = i + 1; k < pot.clauses.size(); k++) {
      if (pot.clauses.get(k).is(Act.POUR) && pot.clauses.get(k).word("container").isEmpty()) {
        return true;
      }
    }
    return false;
  }

  void heat(int i, Clause clause) {
    List<String> to = clause.words("to");
    Level level = clause.word("heat").map(Level::valueOf).orElse(null);
    if (clause.is(Act.HEAT) && pot.mostlyOil(i)) {
      warm(i, clause);
      return;
    }
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after")) {
      boil(i, clause, level == null && to.contains("SIMMER") ? Level.SIMMER : level);
      return;
    }
    if (to.contains("SIMMER")) {
      pot.levelNext = Level.SIMMER;
    } else if (level != null) {
      pot.levelNext = level;
    }
    List<Line> lines = pot.named.get(i);
    boolean alone =
        pot.inPot.isEmpty()
            && pot.pending.isEmpty()
            && !lines.isEmpty()
            && lines.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER))
            && (pot.plantsLater(i) || pouredLater(i));
    if (alone) {
      pot.boiledAlone = clause;
      pot.boiledWater = lines;
      return;
    }
    pot.vesselOf(clause);
    cook.puttingIn.flush(i);
    if (pot.onHob) {
      Stage last = pot.last();
      if (last != null) {
        last.said(clause);
      }
      return;
    }
    Stage stage = pot.add(StepKind.HEAT, clause);
    stage.lid = pot.lidNext;
    stage.stir = pot.stirNext;
    pot.lidNext = null;
    pot.hot = true;
    pot.onHob = true;
  }

  /** Oil and butter are warmed in a water bath, whatever the note stands them on. */
  void warm(int i, Clause clause) {
    if (pot.mostlyOil(i) && !pot.strained) {
      bath(i, clause);
    } else if (!pot.strained) {
      heat(i, clause);
    }
  }

  void bath(int i, Clause clause) {
    Stage last = pot.last();
    if (last != null && last.kind == StepKind.WATER_BATH) {
      last.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> last.time = span);
      return;
    }
    if (pot.vessel == null || pot.vessel == VesselKind.POT) {
      pot.vessel = VesselKind.JAR;
    }
    cook.puttingIn.flush(i);
    Stage stage = pot.add(StepKind.WATER_BATH, clause);
    clause
        .first(Item.Span.class)
        .filter(s -> !clause.has("after"))
        .ifPresent(span -> stage.time = span);
    pot.hot = true;
    pot.onHob = true;
  }

  void off(int i, Clause clause) {
    pot.onHob = false;
    if (pot.boiledAlone != null) {
      pot.hot = true;
    }
    if (clause.first(Item.Span.class).isPresent() && !clause.has("after") && !pot.inPot.isEmpty()) {
      cook.standing.stand(i, clause, false);
    }
  }

  void cover(int i, Clause clause, boolean lid) {
    List<Line> poured =
        pot.named.get(i).stream()
            .filter(PotSoFar::isLiquid)
            .filter(l -> !pot.inPot.contains(l))
            .toList();
    if (lid && !poured.isEmpty()) {
      cook.puttingIn.pour(i, clause, pot.named.get(i));
      return;
    }
    Stage boiling = pot.last();
    if (boiling != null
        && boiling.kind == StepKind.BOIL
        && boiling.time == null
        && pot.followsAtOnce(i)) {
      boiling.lid = lid; // "boil covered 18 min"
      clause.first(Item.Span.class).ifPresent(span -> boiling.time = span);
      boiling.said(clause);
      return;
    }
    if (clause.first(Item.Span.class).isPresent()) {
      if (pot.onHob && pot.levelNext != null && pot.last(s -> s.kind == StepKind.BOIL) == null) {
        pot.lidNext = lid;
        boil(i, clause, pot.levelNext);
        return;
      }
      Stage waiting = pot.last();
      if (waiting != null
          && waiting.time == null
          && waiting.timeLeftOpen()
          && waiting.kind != StepKind.BOIL
          && clause.sentence() == PotSoFar.sentenceOf(waiting)) {
        waiting.lid = lid;
        waiting.time = clause.first(Item.Span.class).orElseThrow();
        waiting.said(clause);
        return;
      }
      pot.onHob = false;
      cook.standing.stand(i, clause, false);
      Stage stage = pot.last();
      if (stage != null) {
        stage.lid = lid;
      }
      return;
    }
    Stage last = pot.last();
    if (last != null
        && clause.sentence() - PotSoFar.sentenceOf(last) <= 1
        && (last.kind == StepKind.BOIL || last.kind == StepKind.HEAT || last.kind == StepKind.STEEP)
        && !nextIsHob(i)) {
      last.lid = lid;
      last.said(clause);
    } else {
      pot.lidNext = lid;
    }
  }

  private boolean nextIsHob(int i) {
    return i + 1 < pot.clauses.size()
        && pot.clauses.get(i + 1).sentence() == pot.clauses.get(i).sentence()
        && pot.heats(i + 1);
  }
}
