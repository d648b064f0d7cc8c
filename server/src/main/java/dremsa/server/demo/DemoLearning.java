package dremsa.server.demo;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.HeadSection;
import dremsa.server.accounts.Household;
import dremsa.server.learning.Calibrations;
import dremsa.server.learning.HairLengths;
import dremsa.server.learning.Trials;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the demo household learned: of some of it, that it cannot be told yet. */
@Component
class DemoLearning {
  private static final List<String> GELS = List.of("Linseed styling gel", "Quince-seed gel");

  private static final int TRIALS = 8;

  private final Calibrations calibrations;
  private final HairLengths lengths;
  private final Trials trials;

  DemoLearning(Calibrations calibrations, HairLengths lengths, Trials trials) {
    this.calibrations = calibrations;
    this.lengths = lengths;
    this.trials = trials;
  }

  void tell(Household household, DemoPeople.Heads heads, Instant now) {
    measured(household, heads, now);
    tried(household, heads, now);
    calibrations.calibrate(household.id());
  }

  /** One head was measured long enough to tell, one was cut, of one it is too early. */
  private void measured(Household household, DemoPeople.Heads heads, Instant now) {
    Random dice = new Random(7);
    LocalDate today = household.day(now);
    for (int month = 9; month >= 0; month--) {
      LocalDate day = today.minusDays(4 + Math.round(month * 365.25 / 12));
      double grown = 1.15 * (9 - month);
      reading(household, heads.maeve(), day, 41 + grown, dice, now);
      reading(household, heads.noor(), day, (month > 4 ? 36 : 29) + grown, dice, now);
      if (month < 2) {
        reading(household, heads.tully(), day, 22 + grown, dice, now);
      }
    }
    lengths.cut(household, heads.noor(), today.minusDays(140), now);
  }

  private void reading(
      Household household, UUID person, LocalDate day, double cm, Random dice, Instant now) {
    double read = Math.round((cm + 0.2 * dice.nextGaussian()) * 2) / 2.0;
    // Every second reading is of a day with the gel on it, which holds the curls longer.
    boolean gel = day.toEpochDay() / 30 % 2 == 0;
    double loose = Math.round(read * ((gel ? 0.62 : 0.52) + 0.01 * dice.nextGaussian()) * 2) / 2.0;
    lengths.read(
        household, person, day, HeadSection.BACK, read, loose, gel ? "Linseed gel" : null, now);
  }

  /** Two gels on one head again and again, and once more just now: of one thing it is settled. */
  private void tried(Household household, DemoPeople.Heads heads, Instant now) {
    for (int week = TRIALS; week >= 0; week--) {
      Instant at = now.minus(Duration.ofDays(7L * week + 2));
      UUID trial =
          trials.begin(
              household.id(),
              heads.noor(),
              GELS,
              List.of(HeadSection.LEFT, HeadSection.RIGHT),
              true,
              week == 0 ? List.of(72) : List.of(),
              at);
      List<String> jars = trials.jars(household.id(), trial);
      int linseed = jars.indexOf(GELS.get(0));
      Map<Criterion, Map<Integer, Double>> scores = new HashMap<>();
      scores.put(Criterion.HOLD, Map.of(linseed, 4.0, 1 - linseed, 2.0));
      scores.put(Criterion.SLIP, Map.of(linseed, week % 3 == 0 ? 4.0 : 2.0, 1 - linseed, 3.0));
      if (week > 0) {
        trials.score(household.id(), trial, 0, scores);
        trials.end(household.id(), trial, 1, at.plus(Duration.ofHours(20)));
      }
    }
  }
}
