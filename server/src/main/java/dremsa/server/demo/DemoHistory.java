package dremsa.server.demo;

import dremsa.core.acid.Hardness;
import dremsa.core.brew.Reading;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.keep.DiscardReason;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchBottled.Filled;
import dremsa.server.bench.Bench;
import dremsa.server.bench.Runs;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.plan.BrewPlans;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.When;
import dremsa.server.shelf.BottleTaps;
import dremsa.server.shelf.Shelf;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.TargetJson;
import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Some months of brewing on Sallow Lane. Four heads of hair share an allotment and one shelf of a
 * fridge: they brew about twice a week, finish most of it, and throw some away. The same dice are
 * thrown every time, so that the story stays the same and only its dates move with today.
 */
@Component
class DemoHistory {
  static final ZoneId ZONE = ZoneId.of("Europe/Dublin");

  private static final int DAYS = 150;

  /** From here on the story is told batch by batch, so that the shelf has something to show. */
  private static final double THIS_WEEK_DAYS = 6;

  private static final String[] OFTEN = {
    "lemon-balm-spray",
    "fennel-seed-rinse",
    "nettle-powder-spray",
    "linseed-gel",
    "lemon-balm-spray",
    "birch-sage-decoction"
  };

  private final Bench bench;
  private final Runs runs;
  private final Shelf shelf;
  private final BottleTaps taps;
  private final Kitchens kitchens;
  private final DemoCupboard cupboard;
  private final DemoPeople people;
  private final DemoLearning learning;
  private final DemoJournal journal;
  private final BrewPlans plans;
  private final Households households;
  private final EntityManager entities;

  DemoHistory(
      Bench bench,
      Runs runs,
      Shelf shelf,
      BottleTaps taps,
      Kitchens kitchens,
      DemoCupboard cupboard,
      DemoPeople people,
      DemoLearning learning,
      DemoJournal journal,
      BrewPlans plans,
      Households households,
      EntityManager entities) {
    this.learning = learning;
    this.journal = journal;
    this.plans = plans;
    this.households = households;
    this.entities = entities;
    this.people = people;
    this.bench = bench;
    this.runs = runs;
    this.shelf = shelf;
    this.taps = taps;
    this.kitchens = kitchens;
    this.cupboard = cupboard;
  }

  void tell(UUID household, Instant now) {
    Kitchen usual = Kitchen.usual(MeasureSystem.METRIC);
    KitchenJson plain = KitchenJson.of(usual);
    // The shared fridge runs a little warm, and the kitchen a little cool.
    kitchens.save(
        household,
        new KitchenJson(
            20.5,
            5.0,
            plain.freezerC(),
            plain.hobs(),
            plain.vessels(),
            plain.strainers(),
            plain.scoops(),
            plain.counts(),
            plain.calibrated(),
            plain.scaleStep(),
            240.0,
            Hardness.MEDIUM,
            null),
        0);
    cupboard.fill(household, now);
    DemoPeople.Heads heads = people.moveIn(household, now);
    Random dice = new Random(31);
    int count = 0;
    for (double day = DAYS; day > THIS_WEEK_DAYS; day -= 2.4 + dice.nextDouble() * 2.2) {
      Instant start =
          now.minus(Duration.ofMinutes(Math.round(day * 24 * 60))).minus(Duration.ofHours(5));
      brew(household, heads, OFTEN[count % OFTEN.length], start, now, dice, count);
      // All of it is one transaction: what is remembered of a batch would be looked through again
      // and again by every question after it.
      entities.flush();
      entities.clear();
      count++;
    }
    String own = cupboard.spray(household, now);
    for (int day : new int[] {86, 78, 66}) {
      brew(household, heads, own, now.minus(Duration.ofDays(day)), now, dice, 2);
    }
    cupboard.betterSpray(household, own, now);
    for (int day : new int[] {52, 38, 23}) {
      brew(household, heads, own, now.minus(Duration.ofDays(day)), now, dice, 2);
    }
    thisWeek(household, heads, now);
    brewing(household, now);
    people.tell(household, heads, now);
    entities.flush();
    entities.clear();
    learning.tell(households.of(household), heads, now);
    journal.write(households.of(household), heads, now);
    plans.takeProposal(households.of(household), now);
  }

  /** What stands on the shelf when the demo opens, told one by one. */
  private void thisWeek(UUID household, DemoPeople.Heads heads, Instant now) {
    stands(household, heads, "fennel-seed-rinse", 4.8, 1, 500, 330, now);
    stands(household, heads, "nettle-powder-spray", 4.2, 2, 250, 120, now);
    stands(household, heads, "linseed-gel", 3.6, 1, 250, 110, now);
    UUID balm = stands(household, heads, "lemon-balm-spray", 2.7, 2, 250, 90, now);
    stands(household, heads, "birch-sage-decoction", 1.5, 1, 500, 60, now);
    UUID rice = stands(household, heads, "rice-water", 1.4, 1, 250, 0, now);
    use(
        household,
        heads,
        "rice-water",
        shelf.standingOf(household, rice).get(0),
        110,
        now.minus(Duration.ofHours(20)),
        new Random(1));
    // This morning's: its hops wait to be dried.
    stands(household, heads, "hop-water-bath", 0.3, 1, 250, 0, now);
    UUID oil = stands(household, heads, "calendula-oil", 30, 1, 100, 35, now);
    move(household, oil, Place.ROOM, now.minus(Duration.ofDays(1)));
    UUID frozen =
        stands(household, heads, "linseed-gel", 1, 1, 150, 0, now.minus(Duration.ofDays(18)));
    move(household, frozen, Place.FREEZER, now.minus(Duration.ofDays(17)));
    Shelf.Standing spray = shelf.standingOf(household, balm).get(0);
    // Forgotten beside the bath after Sunday's wash.
    taps.leftOut(
        household, spray.id(), spray.version(), 5, Place.BATHROOM, now.minus(Duration.ofHours(4)));
  }

  /** One batch, brewed so many days ago, from whose first bottle so much was used since. */
  private UUID stands(
      UUID household,
      DemoPeople.Heads heads,
      String formula,
      double daysAgo,
      int bottles,
      double size,
      double used,
      Instant now) {
    Instant start = now.minus(Duration.ofMinutes(Math.round(daysAgo * 24 * 60)));
    UUID batch =
        bench.start(household, new Meant(formula, TargetJson.bottles(bottles, size)), start);
    finish(household, batch, start, bottles, size, new Random(5), false);
    for (int i = 3; i > 0; i--) {
      Shelf.Standing first = shelf.standingOf(household, batch).get(0);
      Instant at = now.minus(Duration.ofHours(7L * i));
      if (used > 0) {
        use(household, heads, formula, first, Math.floor(used / 3), at, new Random(i));
      }
    }
    return batch;
  }

  private void move(UUID household, UUID batch, Place to, Instant at) {
    Shelf.Standing bottle = shelf.standingOf(household, batch).get(0);
    taps.move(household, bottle.id(), bottle.version(), to, at);
  }

  private void brew(
      UUID household,
      DemoPeople.Heads heads,
      String formula,
      Instant start,
      Instant now,
      Random dice,
      int count) {
    boolean rinse = formula.equals("fennel-seed-rinse") || formula.equals("birch-sage-decoction");
    double size = rinse ? 500 : dice.nextInt(3) == 0 ? 150 : 250;
    int bottles = rinse ? 1 : 1 + dice.nextInt(2);
    UUID batch =
        bench.start(household, new Meant(formula, TargetJson.bottles(bottles, size)), start);
    if (count % 17 == 9) {
      bench.giveUp(
          household,
          batch,
          runs.outline(household, batch, start).version(),
          "Forgot it on the counter for two days; it smelt off.",
          start.plus(Duration.ofHours(50)));
      return;
    }
    boolean overnight = count % 6 == 4;
    Instant bottled = finish(household, batch, start, bottles, size, dice, overnight);
    use(household, heads, formula, batch, bottled, now, dice);
  }

  private Instant finish(
      UUID household,
      UUID batch,
      Instant start,
      int bottles,
      double size,
      Random dice,
      boolean overnight) {
    Instant at = start;
    List<Runs.OutlineStep> steps = runs.outline(household, batch, start).steps();
    for (Runs.OutlineStep planned : steps) {
      Step step = planned.step();
      double usual = overnight && step.kind() == StepKind.STEEP ? 11.5 * 60 : planned.minutes();
      at = at.plus(Duration.ofSeconds(Math.round(usual * 60 * (0.95 + dice.nextDouble() * 0.25))));
      Runs.Outline outline = runs.outline(household, batch, at);
      Double measured = null;
      List<Filled> filled = new ArrayList<>();
      if (step.strainer().isPresent() && planned.index() == steps.size() - 2) {
        double there = outline.steps().get(planned.index()).millilitres();
        measured = (double) Math.round(there * (0.95 + dice.nextDouble() * 0.06));
      } else if (step.kind() == StepKind.BOTTLE) {
        double each = Math.floor(Math.min(size, outline.millilitres() / bottles));
        for (int i = 0; i < bottles; i++) {
          filled.add(new Filled(step.fills().orElseThrow(), size, each));
        }
      }
      boolean cue = step.window().isPresent() && dice.nextInt(4) > 0;
      bench.finish(
          household,
          batch,
          planned.index(),
          outline.version(),
          new Bench.Done(
              cue,
              measured == null ? Map.of() : Map.of(Reading.VOLUME, measured),
              "",
              filled,
              true,
              true),
          at);
    }
    return at;
  }

  /** Uses a batch over the days after it was bottled; what is over its last day is thrown away. */
  private void use(
      UUID household,
      DemoPeople.Heads heads,
      String formula,
      UUID batch,
      Instant bottled,
      Instant now,
      Random dice) {
    boolean liked = dice.nextInt(12) > 0;
    boolean went = dice.nextInt(14) == 0;
    Instant at = bottled.plus(Duration.ofHours(6 + dice.nextInt(14)));
    while (at.isBefore(now)) {
      List<Shelf.Standing> standing = shelf.standingOf(household, batch);
      if (standing.isEmpty()) {
        return;
      }
      Shelf.Standing bottle = standing.get(0);
      if (at.isAfter(bottle.lastDay().plusDays(1).atStartOfDay(ZONE).toInstant())) {
        discard(household, bottle, DiscardReason.DATE, "", at);
      } else if (!liked) {
        discard(
            household, bottle, DiscardReason.DISLIKED, "Too strong a smell for the office.", at);
      } else if (went && at.isAfter(bottled.plus(Duration.ofDays(4)))) {
        discard(household, bottle, DiscardReason.SMELL, "Smelt sour when opened.", at);
      } else {
        double some = 15 + 10 * dice.nextInt(5);
        use(
            household,
            heads,
            formula,
            bottle,
            Math.min(some, bottle.leftMl()),
            at,
            new Random(at.getEpochSecond()));
        at = at.plus(Duration.ofHours(14 + dice.nextInt(26)));
      }
    }
  }

  /** Some of it comes on the head of whoever likes it. */
  private void use(
      UUID household,
      DemoPeople.Heads heads,
      String formula,
      Shelf.Standing bottle,
      double millilitres,
      Instant at,
      Random dice) {
    DemoPeople.Head head = heads.of(formula, dice);
    shelf.useOn(household, bottle.id(), millilitres, head.person(), head.purpose(), at, at);
  }

  private void discard(
      UUID household, Shelf.Standing bottle, DiscardReason reason, String note, Instant at) {
    shelf.discard(household, bottle.id(), bottle.version(), reason, note, at);
  }

  /**
   * What is on the bench when the demo opens: a rinse that steeps, not yet in its window, a ferment
   * on its second day, and a spray for tonight.
   */
  private void brewing(UUID household, Instant now) {
    far(
        household,
        "barley-ferment",
        TargetJson.bottles(1, 500),
        4,
        now.minus(Duration.ofHours(29)));
    far(
        household,
        "fennel-seed-rinse",
        TargetJson.bottles(1, 500),
        2,
        now.minus(Duration.ofMinutes(96)));
    bench.start(
        household,
        new Meant("lemon-balm-spray", TargetJson.bottles(2, 150)),
        new When(now.plus(Duration.ofHours(5)), null),
        now);
  }

  /** One batch so many steps on its way. */
  private void far(UUID household, String formula, TargetJson target, int steps, Instant start) {
    Instant at = start;
    UUID batch = bench.start(household, new Meant(formula, target), at);
    for (int i = 0; i < steps; i++) {
      at = at.plus(Duration.ofMinutes(4));
      long version = runs.outline(household, batch, at).version();
      bench.finish(household, batch, i, version, Bench.Done.plainly(false), at);
    }
  }

  /** A formula as it stands, for a target. */
  private record Meant(String formulaId, TargetJson target) implements Plan {}
}
