package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.kitchen.Climate;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * Something that a last day takes for granted, and the last day if it is otherwise.
 *
 * @param words {@code "if the fridge is 7 °C"}
 * @param lastDay that it then has
 * @param useNow no whole day would be left
 */
public record Assumption(String words, LocalDate lastDay, boolean useNow) {
  /** A household's fridge is so much warmer or colder than it is believed to be, °C; estimate. */
  private static final double FRIDGE_OFF_C = 2;

  private static final double ROOM_OFF_C = 3;

  /** How far off the law of spoilage may be, as a share; our estimate. */
  private static final double RATE_OFF = 0.25;

  /** A figure of keeping at its ends, and how long the brew lasts at both. */
  public record Moved(String what, Figure figure, Keeping.Lasting low, Keeping.Lasting high) {}

  private record Candidate(String what, Figure figure, String words, DoubleFunction<Keeping> at) {}

  /**
   * What the last day hangs on most, of what the household could look at: how warm its places are,
   * and how fast warmth spoils. How long the class lives is the school's word, and told as such.
   */
  public static Optional<Assumption> dearest(
      Brew brew, Prediction prediction, Keeping keeping, Instant now) {
    Verdict plain = keeping.judge(brew, prediction, now);
    Assumption worst = null;
    for (Candidate each : candidates(brew, prediction, keeping)) {
      if (each.what().equals(LIFE)) {
        continue;
      }
      // A warmer place, a faster spoiling: the careful end is the high one.
      double end = each.figure().high();
      Verdict then = each.at().apply(end).judge(brew, prediction, now);
      boolean earlier =
          then.lastDay().isBefore(plain.lastDay()) || then.useNow() && !plain.useNow();
      if (earlier && (worst == null || then.lastDay().isBefore(worst.lastDay()))) {
        worst = new Assumption(Said.of(each.words(), end), then.lastDay(), then.useNow());
      }
    }
    return Optional.ofNullable(worst);
  }

  /** Every figure of keeping at its ends; what was brewed stays as it is. */
  public static List<Moved> moved(Brew brew, Prediction prediction, Keeping keeping) {
    List<Moved> all = new ArrayList<>();
    for (Candidate each : candidates(brew, prediction, keeping)) {
      all.add(
          new Moved(
              each.what(),
              each.figure(),
              each.at().apply(each.figure().low()).lasts(brew, prediction),
              each.at().apply(each.figure().high()).lasts(brew, prediction)));
    }
    return all;
  }

  private static final String LIFE = "Life of its class at 5 °C";

  private static List<Candidate> candidates(Brew brew, Prediction prediction, Keeping keeping) {
    Instant bottled =
        keeping.start().plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
    Climate climate = keeping.climates().at(bottled);
    List<Candidate> all = new ArrayList<>();
    double fridge = climate.fridgeC();
    all.add(
        new Candidate(
            "Temperature of the fridge",
            Figure.estimate(
                fridge,
                Math.max(0, fridge - FRIDGE_OFF_C),
                Math.min(15, fridge + FRIDGE_OFF_C),
                "°C"),
            "if the fridge is %.0f °C",
            c -> keeping.in(keeping.climates().fridgeWarmerBy(c - fridge))));
    if (!keeping.stands().isCold()) {
      double room = climate.roomC();
      all.add(
          new Candidate(
              "Temperature of the room",
              Figure.estimate(room, room - ROOM_OFF_C, Math.min(45, room + ROOM_OFF_C), "°C"),
              "if the room is %.0f °C",
              c -> keeping.in(keeping.climates().roomWarmerBy(c - room))));
    }
    all.add(
        new Candidate(
            "Spoilage with warmth",
            Figure.estimate(1, 1 - RATE_OFF, 1 + RATE_OFF, ""),
            "if warmth spoils it %.2f times as fast",
            keeping::spoilingFaster));
    Classifier.classify(prediction.contents(), keeping.school())
        .keepingClass()
        .budget(keeping.school())
        .filter(days -> days.value() > 0)
        .ifPresent(
            days ->
                all.add(
                    new Candidate(
                        LIFE,
                        days,
                        "if its life at 5 °C is no more than %.0f days",
                        d -> keeping.livingLonger(d / days.value()))));
    return all;
  }
}
