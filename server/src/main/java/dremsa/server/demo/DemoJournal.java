package dremsa.server.demo;

import dremsa.core.learn.Confounder;
import dremsa.core.learn.Criterion;
import dremsa.core.practice.Act;
import dremsa.server.accounts.Household;
import dremsa.server.bench.Runs;
import dremsa.server.journal.Courses;
import dremsa.server.journal.Journal;
import dremsa.server.practice.Practices;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the demo household wrote down of its brews, its course, and what it practised. */
@Component
class DemoJournal {
  private static final Duration FOUR_MONTHS = Duration.ofDays(120);
  private static final int COURSE_WEEKS = 8;
  private static final int COURSE_BEGAN_DAYS = 50;

  /** Three steps with a wait and an end each, and the wait of the fourth. */
  private static final long PAPER_AT = 7;

  private final Journal journal;
  private final Courses courses;
  private final Practices practices;
  private final Runs runs;

  DemoJournal(Journal journal, Courses courses, Practices practices, Runs runs) {
    this.journal = journal;
    this.courses = courses;
    this.practices = practices;
    this.runs = runs;
  }

  void write(Household household, DemoPeople.Heads heads, Instant now) {
    judged(household, heads, now);
    course(household, heads, now);
    practised(household, heads, now);
  }

  /** The styling gel and the spray are scored often; of the others a word now and then. */
  private void judged(Household household, DemoPeople.Heads heads, Instant now) {
    Random dice = new Random(11);
    for (Runs.Brewed batch : runs.brewedBetween(household.id(), now.minus(FOUR_MONTHS), now)) {
      if (!batch.status().equals("BOTTLED")) {
        continue;
      }
      LocalDate day = household.day(batch.startedAt()).plusDays(1);
      if (day.isAfter(household.day(now))) {
        continue;
      }
      switch (batch.formula()) {
        case "linseed-gel" ->
            judge(
                household,
                day,
                heads.noor(),
                batch,
                dice.nextInt(3) == 0 ? "Held till the next wash; crunchy for an hour." : "",
                Map.of(
                    Criterion.HOLD, (double) (4 + dice.nextInt(2)),
                    Criterion.CRUNCH, (double) (2 + dice.nextInt(2))),
                List.of());
        case "lemon-balm-spray" ->
            judge(
                household,
                day,
                heads.maeve(),
                batch,
                "",
                Map.of(Criterion.SOFTNESS, (double) (3 + dice.nextInt(2))),
                List.of());
        case "nettle-powder-spray" ->
            judge(
                household,
                day,
                null,
                batch,
                "Strained twice, and the nozzle stayed clear.",
                Map.of(),
                List.of());
        default -> own(household, heads, day, batch, dice);
      }
    }
  }

  /** The household's own spray has two kept versions: of the first it was said that it is sharp. */
  private void own(
      Household household, DemoPeople.Heads heads, LocalDate day, Runs.Brewed batch, Random dice) {
    if (!batch.formula().startsWith("own-")) {
      return;
    }
    boolean better = batch.version() != null && batch.version() > 1;
    judge(
        household,
        day,
        heads.maeve(),
        batch,
        better ? "Softer, and it does not stain the towel." : "A little sharp on the scalp.",
        Map.of(
            Criterion.SOFTNESS, better ? 4.0 : (double) (2 + dice.nextInt(2)),
            Criterion.STAIN, better ? 1.0 : 3.0),
        List.of());
  }

  private void judge(
      Household household,
      LocalDate day,
      @Nullable UUID person,
      Runs.Brewed batch,
      String words,
      Map<Criterion, Double> scores,
      List<Confounder> beside) {
    journal.judge(household.id(), day, person, batch.id(), words, scores, beside);
  }

  /** Idris takes the birch rinse for flakes: kept up, and something else changed meanwhile. */
  private void course(Household household, DemoPeople.Heads heads, Instant now) {
    LocalDate today = household.day(now);
    LocalDate from = today.minusDays(COURSE_BEGAN_DAYS);
    courses.begin(household.id(), heads.idris(), "birch-sage-decoction", from, COURSE_WEEKS, 4);
    for (int week = 1; week <= 4; week++) {
      flakes(household, heads.idris(), from.minusWeeks(week), week % 2 == 0 ? 4 : 3, List.of());
      flakes(
          household,
          heads.idris(),
          today.minusDays(5L * week - 4),
          week % 3 == 0 ? 3 : 2,
          week == 2 ? List.of(Confounder.SEASON) : List.of());
    }
    // Of the second course it cannot be told yet.
    courses.begin(
        household.id(), heads.noor(), "fennel-seed-rinse", today.minusDays(12), COURSE_WEEKS, 7);
  }

  private void flakes(
      Household household, UUID person, LocalDate day, double score, List<Confounder> beside) {
    journal.judge(household.id(), day, person, null, "", Map.of(Criterion.FLAKES, score), beside);
  }

  /** Maeve strained powder once, and then again with paper. */
  private void practised(Household household, DemoPeople.Heads heads, Instant now) {
    for (String way : List.of("once", "paper")) {
      Instant at = now.minus(Duration.ofDays(way.equals("once") ? 9 : 8));
      UUID practice = practices.begin(household.id(), "through-paper", null, heads.maeve(), at);
      long version = 0;
      for (double minutes : new double[] {3, 150, 5, 5, 5}) {
        practices.pass(household.id(), practice, version++, minutes, at);
        if (version == PAPER_AT) {
          practices.act(household.id(), practice, version++, Act.Kind.CHOOSE, way, null, at);
        }
        practices.act(household.id(), practice, version++, Act.Kind.NEXT, null, null, at);
      }
    }
  }
}
