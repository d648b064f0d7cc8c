package dremsa.core.reading;

import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.reading.Stretch.About;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What becomes of a brew: bottled, frozen, and kept for as long as the writer says. */
final class Ending {
  private final Cook cook;
  private final PotSoFar pot;

  Ending(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  /** What is kept so long in the fridge is kept, and does not draw there, min. */
  private static final double KEPT_MINUTES = 36 * 60;

  void fill(int i, Clause clause, List<Line> lines) {
    boolean more = lines.stream().anyMatch(line -> !pot.inPot.contains(line));
    if (more && !(pot.strained && lines.stream().allMatch(line -> line.firstClause() < i))) {
      cook.puttingIn.put(i, clause, lines);
      return;
    }
    if (clause.word("tool").isPresent()) {
      cook.parting.strain(clause);
    }
    if (clause.word("vessel").filter(v -> v.equals("BLENDER")).isPresent()) {
      return;
    }
    boolean vesselOnly = clause.word("container").isEmpty() && clause.word("vessel").isPresent();
    if (!vesselOnly) {
      bottle(clause);
    }
  }

  void bottle(Clause clause) {
    if (pot.inPot.isEmpty()) {
      cook.puttingIn.flush(pot.clauses.indexOf(clause));
    }
    if (pot.inPot.isEmpty()) {
      return;
    }
    Stage last = pot.last(s -> s.kind == StepKind.BOTTLE);
    String verb = clause.verb().map(v -> pot.margin.words(v.from(), v.to())).orElse("");
    Container container =
        clause
            .word("container")
            .map(Container::valueOf)
            .orElse(verb.toLowerCase(Locale.ROOT).startsWith("jar") ? Container.JAR : null);
    if (last != null) {
      last.said(clause);
      if (last.container == null) {
        last.container = container;
      }
      return;
    }
    if (container == Container.CUBES) {
      freeze(clause);
      return;
    }
    Stage stage = pot.add(StepKind.BOTTLE, clause);
    stage.container = container;
    pot.bottled = true;
    claim(clause);
  }

  void chill(int i, Clause clause) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    boolean keeps =
        pot.strained
            || pot.bottled
            || time.isEmpty() && !pot.strainsLater(i) && !pot.hot
            || clause.words("to").contains("UPTO")
            || time.isPresent() && time.get().low() >= KEPT_MINUTES && !soaks();
    if (!keeps && !pot.inPot.isEmpty() || !keeps && !pot.pending.isEmpty()) {
      Stage last = pot.last();
      if (last != null && (last.kind == StepKind.SOAK || last.kind == StepKind.STEEP)) {
        last.place = Place.FRIDGE;
        last.said(clause);
        time.filter(s -> last.time == null).ifPresent(span -> last.time = span);
        return;
      }
      cook.puttingIn.flush(i);
      Stage stage =
          time.isPresent() && !pot.hot
              ? pot.add(StepKind.SOAK, clause)
              : pot.add(StepKind.COOL, clause);
      stage.place = Place.FRIDGE;
      stage.way = Step.CoolingWay.FRIDGE;
      stage.time = time.orElse(null);
      pot.hot = false;
      pot.onHob = false;
      return;
    }
    if (pot.strained
        && !pot.bottled
        && time.isPresent()
        && time.get().high() <= 14 * 60
        && !clause.words("to").contains("UPTO")) {
      Stage stage = pot.add(StepKind.COOL, clause);
      stage.way = Step.CoolingWay.FRIDGE;
      pot.hot = false;
      return;
    }
    claim(clause, Place.FRIDGE, time.map(Item.Span::high).orElse(null));
    clause
        .word("container")
        .filter(c -> !pot.bottled && pot.strained)
        .ifPresent(c -> bottle(clause));
    told(clause);
  }

  /** Whether what stands is still to be strained, so that days in the fridge are a soak. */
  private boolean soaks() {
    return pot.clauses.stream().anyMatch(c -> c.is(Act.STRAIN) || c.is(Act.SQUEEZE))
        && !pot.strained;
  }

  void freeze(Clause clause) {
    if (pot.inPot.isEmpty() && pot.pending.isEmpty()
        || pot.last(s -> s.kind == StepKind.FREEZE) != null) {
      claimFrozen(clause);
      return;
    }
    boolean cubes = clause.words("container").contains("CUBES");
    boolean later =
        clause.has("optional")
            || pot.bottled
            || clause.has("or")
            || clause.words("to").contains("UPTO");
    if (cubes && !pot.bottled || !later && clause.first(Item.Span.class).isEmpty()) {
      pot.add(StepKind.FREEZE, clause);
      pot.bottled = true;
    }
    if (clause.first(Item.Span.class).isPresent() || later) {
      claimFrozen(clause);
    }
  }

  /** What the writer says of the freezer, with or without how long, is a claim and no step. */
  private void claimFrozen(Clause clause) {
    pot.claims.add(
        new Cook.Claim(
            clause,
            clause.to(),
            Place.FREEZER,
            clause.first(Item.Span.class).map(Item.Span::high).orElse(null)));
    told(clause);
  }

  void keep(int i, Clause clause) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    boolean stands =
        !pot.strained
            && !pot.bottled
            && (!pot.inPot.isEmpty() || !pot.pending.isEmpty())
            && pot.strainsLater(i)
            && time.isPresent();
    if (stands) {
      cook.standing.stand(i, clause, false);
      return;
    }
    Place place = clause.word("place").map(Place::valueOf).orElse(null);
    if (time.isPresent() || place != null) {
      claim(clause, place, time.map(Item.Span::high).orElse(null));
      told(clause);
    }
    if (clause.word("container").isPresent() && !pot.inPot.isEmpty() && !pot.bottled) {
      bottle(clause);
    }
  }

  private void claim(Clause clause) {
    clause
        .first(Item.Span.class)
        .filter(span -> span.high() >= 12 * 60)
        .ifPresent(
            span -> {
              Place place = clause.word("place").map(Place::valueOf).orElse(null);
              pot.claims.add(new Cook.Claim(clause, clause.to(), place, span.high()));
            });
  }

  /** One claim a sentence: "keeps a week", "in the fridge" belong together. */
  private void claim(Clause clause, @Nullable Place place, @Nullable Double minutes) {
    Cook.Claim last = pot.claims.isEmpty() ? null : pot.claims.get(pot.claims.size() - 1);
    boolean same =
        last != null
            && last.clause().sentence() == clause.sentence()
            && (last.place() == null || place == null)
            && (last.minutes() == null || minutes == null);
    if (last != null && same) {
      pot.claims.set(
          pot.claims.size() - 1,
          new Cook.Claim(
              last.clause(),
              clause.to(),
              last.place() == null ? place : last.place(),
              last.minutes() == null ? minutes : last.minutes()));
    } else {
      pot.claims.add(new Cook.Claim(clause, clause.to(), place, minutes));
    }
  }

  private void told(Clause clause) {
    pot.margin.read(clause.from(), clause.to(), About.KEEPING, -1, "how long the writer keeps it");
  }

  void discard(Clause clause) {
    Stage last = pot.last();
    if (last != null) {
      last.said(clause);
    } else {
      pot.margin.read(clause.from(), clause.to(), About.WORDS, -1, "left out");
    }
  }
}
