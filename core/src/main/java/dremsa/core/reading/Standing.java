package dremsa.core.reading;

import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Place;
import dremsa.core.material.MaterialKind;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Option;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What stands: steeps, soaks, sours, macerates, cools. */
final class Standing {
  private final Cook cook;
  private final PotSoFar pot;

  Standing(Cook cook, PotSoFar pot) {
    this.cook = cook;
    this.pot = pot;
  }

  /** Longer than this in water on the counter grain begins to sour, min; common practice. */
  private static final double SOURS_MINUTES = 18 * 60;

  private static final Set<Act> STANDS =
      Set.of(
          Act.COOL,
          Act.STEEP,
          Act.SOAK,
          Act.FERMENT,
          Act.MACERATE,
          Act.BOIL,
          Act.SIMMER,
          Act.DRAIN,
          Act.CHILL,
          Act.DRY,
          Act.BATH,
          Act.FREEZE,
          Act.STRAIN);

  /** A time before a verb: {@code after 3 hours, strain}. */
  void waited(int i, Clause clause, Item.Span span) {
    Stage last = pot.last();
    if (last != null && last.time == null && last.timeLeftOpen()) {
      last.time = span;
      last.said(clause);
    } else if (pot.onHob) {
      Stage stage = pot.add(StepKind.BOIL, clause);
      stage.time = span;
      stage.level = pot.levelNext;
      stage.stir = last == null ? pot.stirNext : last.stir;
    } else if (!pot.inPot.isEmpty() || !pot.pending.isEmpty() || !pot.named.get(i).isEmpty()) {
      stand(i, clause, false);
    }
  }

  /** "Infuse until cool" tells no time, but when it is done. */
  void steep(int i, Clause clause) {
    if (clause.words("until").contains("COLD")
        && clause.first(Item.Span.class).isEmpty()
        && pot.hot
        && !pot.inPot.isEmpty()) {
      cool(clause);
    } else {
      stand(i, clause, false);
    }
  }

  void await(int i, Clause clause) {
    if (clause.words("until").contains("COLD") && clause.first(Item.Span.class).isEmpty()) {
      cool(clause);
      return;
    }
    boolean next =
        i + 1 < pot.clauses.size()
            && pot.clauses.get(i + 1).sentence() == clause.sentence()
            && !pot.clauses.get(i + 1).act().map(Act::isManner).orElse(true)
            && clause.first(Item.Span.class).isEmpty()
            && STANDS.contains(pot.clauses.get(i + 1).act().orElse(Act.USE));
    if (next) {
      return; // "let it cool", "leave to infuse": the next verb says it.
    }
    if (clause.first(Item.Span.class).isEmpty()
        && clause.word("place").isEmpty()
        && (pot.strained || !pot.hot)) {
      if (clause.word("container").isPresent() && pot.strained) {
        cook.ending.bottle(clause);
      }
      return;
    }
    stand(i, clause, false);
  }

  void stand(int i, Clause clause, boolean soak) {
    Optional<Item.Span> time = clause.first(Item.Span.class);
    Place place = clause.word("place").map(Place::valueOf).orElse(null);
    pot.vesselOf(clause);
    cook.puttingIn.flush(i);
    if (pot.inPot.isEmpty()) {
      return;
    }
    Stage last = pot.last();
    if (last != null
        && (last.kind == StepKind.STEEP
            || last.kind == StepKind.SOAK
            || last.kind == StepKind.MACERATE
            || last.kind == StepKind.FERMENT)
        && (last.time == null || time.isEmpty())) {
      time.ifPresent(span -> last.time = span);
      last.said(clause);
      if (place != null) {
        last.place = place;
      }
      pot.manner(clause, last);
      return;
    }
    if (pot.bottled) {
      return;
    }
    StepKind kind = standing(clause, time.orElse(null), soak);
    if (kind == StepKind.COOL) {
      Stage stage = pot.add(StepKind.COOL, clause);
      stage.way = place == Place.FRIDGE ? Step.CoolingWay.FRIDGE : null;
      pot.hot = false;
      return;
    }
    Stage stage = pot.add(kind, clause);
    stage.time = time.orElse(null);
    stage.place = place;
    stage.lid = pot.lidNext;
    pot.lidNext = null;
    if (clause.has("daily")) {
      stage.shakeEveryDays = PotSoFar.shakes(clause);
    }
    pot.manner(clause, stage);
    pot.onHob = false;
    if (time.isPresent() && time.get().low() >= 4 * 60) {
      pot.hot = false;
    }
  }

  private StepKind standing(Clause clause, Item.@Nullable Span time, boolean soak) {
    boolean water =
        pot.inPot.stream()
            .anyMatch(
                line ->
                    line.is(
                        m -> m.kind() == MaterialKind.WATER || m.kind() == MaterialKind.HYDROLAT));
    boolean spirit =
        pot.inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.SPIRIT));
    boolean oil =
        !water
            && pot.inPot.stream()
                .anyMatch(line -> line.is(m -> m.kind().role() == MaterialKind.Role.OIL));
    boolean grain =
        pot.inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.GRAIN));
    if ((spirit || oil || vinegarOnly(water)) && !pot.strained) {
      return StepKind.MACERATE;
    }
    if (grain && time != null && time.high() >= SOURS_MINUTES) {
      return asked(clause, StepKind.FERMENT, StepKind.SOAK);
    }
    if (pot.hot) {
      return StepKind.STEEP;
    }
    if (pot.strained && !soak) {
      return StepKind.COOL;
    }
    return StepKind.SOAK;
  }

  private boolean vinegarOnly(boolean water) {
    return !water
        && pot.inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.ACID))
        && pot.inPot.stream().anyMatch(line -> line.is(m -> m.kind().isPlant()));
  }

  /** A step that could be another: a guess, and one tap settles it. */
  private StepKind asked(Clause clause, StepKind likely, StepKind other) {
    int from = clause.verb().map(Item::from).orElse(clause.from());
    int to = clause.verb().map(Item::to).orElse(clause.to());
    String key = pot.margin.key("step", from, to);
    StepKind taken =
        pot.margin.answer(key).filter(other.name()::equals).isPresent() ? other : likely;
    pot.margin.asked(
        from,
        to,
        About.STEP,
        pot.stages.size(),
        taken.words(),
        key,
        taken.name(),
        List.of(
            new Option(likely.name(), likely.words()), new Option(other.name(), other.words())));
    return taken;
  }

  void ferment(int i, Clause clause) {
    cook.puttingIn.flush(i);
    Stage last = pot.last();
    if (last != null
        && (last.kind == StepKind.FERMENT || last.kind == StepKind.SOAK && last.time == null)) {
      Stage stage = last.kind == StepKind.FERMENT ? last : pot.replaced(last, StepKind.FERMENT);
      stage.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
      return;
    }
    if (pot.inPot.isEmpty()) {
      return;
    }
    Stage stage = pot.add(StepKind.FERMENT, clause);
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    pot.hot = false;
  }

  void macerate(int i, Clause clause) {
    cook.puttingIn.flush(i);
    Stage last = pot.last();
    if (last != null && last.kind == StepKind.MACERATE) {
      last.said(clause);
      clause.first(Item.Span.class).ifPresent(span -> last.time = span);
      return;
    }
    if (pot.inPot.isEmpty() || pot.strained) {
      if (pot.strained) {
        cook.ending.keep(i, clause);
      }
      return;
    }
    boolean watery =
        pot.inPot.stream().anyMatch(line -> line.is(m -> m.kind() == MaterialKind.WATER))
            && pot.inPot.stream().noneMatch(line -> line.is(m -> m.kind() == MaterialKind.SPIRIT));
    if (watery) {
      stand(i, clause, true);
      return;
    }
    Stage stage = pot.add(StepKind.MACERATE, clause);
    clause.first(Item.Span.class).ifPresent(span -> stage.time = span);
    if (clause.has("daily")) {
      stage.shakeEveryDays = PotSoFar.shakes(clause);
    }
  }

  void shake(Clause clause) {
    Stage last = pot.last(s -> s.kind == StepKind.MACERATE);
    if (last != null && !pot.strained) {
      last.shakeEveryDays = clause.has("daily") ? PotSoFar.shakes(clause) : 1;
      last.said(clause);
      clause
          .first(Item.Span.class)
          .filter(s -> last.time == null)
          .ifPresent(span -> last.time = span);
    } else if (!pot.inPot.isEmpty()) {
      Stage latest = pot.last();
      if (latest != null) {
        latest.said(clause);
      }
    }
  }

  void cool(Clause clause) {
    if (pot.inPot.isEmpty()) {
      return;
    }
    Stage last = pot.last();
    Optional<Item.Span> time = clause.first(Item.Span.class).filter(s -> !clause.has("after"));
    if (last != null && last.kind == StepKind.COOL) {
      last.said(clause);
      clause.first(Item.Warmth.class).ifPresent(w -> last.celsius = w.celsius());
      return;
    }
    if (time.isPresent() && pot.hot && clause.word("place").filter("FRIDGE"::equals).isEmpty()) {
      Stage stage = pot.add(StepKind.STEEP, clause);
      stage.time = time.get();
      stage.lid = pot.lidNext;
      pot.onHob = false;
      return;
    }
    Stage stage = pot.add(StepKind.COOL, clause);
    clause
        .first(Item.Warmth.class)
        .ifPresent(w -> stage.celsius = Math.max(5, Math.min(95, w.celsius())));
    if (clause.word("place").filter("FRIDGE"::equals).isPresent()) {
      stage.way = Step.CoolingWay.FRIDGE;
    }
    if (pot.lidNext != null) {
      stage.lid = pot.lidNext;
      pot.lidNext = null;
    }
    pot.hot = stage.celsius != null && stage.celsius > Cook.ADD_BELOW_C;
    pot.onHob = false;
  }
}
