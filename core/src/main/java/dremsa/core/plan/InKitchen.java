package dremsa.core.plan;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Ingredient;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Place;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;

/** Works out what a formula is to a plan: by the model of the pot and of how it keeps. */
public final class InKitchen {
  /** What is bottled later on its day than this is for the day after. */
  private static final LocalTime MORNING = LocalTime.of(10, 0);

  /** Less than this is not worth a pot; our estimate, mL. */
  private static final double LEAST_ML = 60;

  /** What keeps longer than this need not be frozen, days. */
  private static final int NEED_NOT_FREEZE = 21;

  private InKitchen() {}

  /**
   * What a brew is to a plan.
   *
   * @param keeping how it keeps in the fridge when it is begun at its usual time
   * @param begun that time
   * @param portionMl what is frozen is frozen in portions of so much
   * @param mostMl more than this is never brewed at once
   * @param pricePerGram by material; what has none costs nothing
   * @return empty where it comes to no bottle in this kitchen
   */
  public static Optional<Brewable> of(
      Brew brew,
      Keeping keeping,
      Instant begun,
      ZoneId zone,
      double portionMl,
      double mostMl,
      Map<String, Double> pricePerGram) {
    double largest = brew.largestScale();
    if (!(largest > 0)) {
      return Optional.empty();
    }
    Prediction prediction = brew.predict(Math.min(1, largest), Facts.NONE);
    Prediction full = brew.predict(largest, Facts.NONE);
    if (!prediction.works() || !full.works()) {
      return Optional.empty();
    }
    Instant bottled = begun.plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
    LocalDate day = begun.atZone(zone).toLocalDate();
    int life = days(day, keeping.judge(brew, prediction, bottled));
    LocalDate first = firstDay(bottled.atZone(zone));
    int lead = Math.max(1, (int) ChronoUnit.DAYS.between(day, first));
    double most = Math.min(mostMl, full.finished().millilitres());
    return Optional.of(
        new Brewable(
            brew.formula().id(),
            brew.formula().name(),
            lead,
            Math.max(0, life),
            Math.min(most, LEAST_ML),
            most,
            Math.max(5, BrewDay.hands(brew.formula(), prediction)),
            BrewDay.sitting(brew.formula(), prediction),
            life > NEED_NOT_FREEZE
                ? Optional.empty()
                : freezing(brew, prediction, keeping, bottled, day, life, portionMl),
            costPerMl(brew, prediction, pricePerGram)));
  }

  /** The first day on which what is bottled then can be used. */
  static LocalDate firstDay(ZonedDateTime bottled) {
    return bottled.toLocalDate().plusDays(bottled.toLocalTime().isAfter(MORNING) ? 1 : 0);
  }

  private static double costPerMl(
      Brew brew, Prediction prediction, Map<String, Double> pricePerGram) {
    double total = 0;
    for (Ingredient ingredient : brew.formula().ingredients()) {
      total +=
          prediction.amounts().getOrDefault(ingredient.key(), 0.0)
              * pricePerGram.getOrDefault(ingredient.material(), 0.0);
    }
    return total / prediction.finished().millilitres();
  }

  private static Optional<Brewable.Freezing> freezing(
      Brew brew,
      Prediction prediction,
      Keeping keeping,
      Instant bottled,
      LocalDate day,
      int life,
      double portionMl) {
    if (keeping.whyNotFrozen().isPresent()) {
      return Optional.empty();
    }
    Verdict frozen =
        keeping.with(new KeepEvent.Moved(bottled, Place.FREEZER)).judge(brew, prediction, bottled);
    int days = days(day, frozen);
    return days > life ? Optional.of(new Brewable.Freezing(days, portionMl)) : Optional.empty();
  }

  private static int days(LocalDate day, Verdict verdict) {
    return verdict.useNow() ? 0 : (int) ChronoUnit.DAYS.between(day, verdict.lastDay());
  }
}
