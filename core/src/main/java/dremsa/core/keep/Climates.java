package dremsa.core.keep;

import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * How warm the places are where bottles stand, and were: the household's settings, each from a
 * moment on, and the times when the fridge was warmer than its setting. All that is said of a
 * place's temperature is said through this, so that a power cut, a logger and a changed setting
 * cost the same life.
 */
public final class Climates {
  /** A fridge up to here costs no more than the budget is meant for, °C. */
  private static final double COLD_C = 5.05;

  private final List<Since> settings;

  /**
   * A setting.
   *
   * @param from when it began to hold; {@link Instant#MIN} for the first
   */
  public record Since(Instant from, Climate climate) {}

  /**
   * A stretch at one temperature.
   *
   * @param from hour
   * @param to hour; may be infinite
   * @param cause what it is told as where it costs more than the budget is meant for
   */
  record Stretch(double from, double to, double celsius, String cause) {}

  private Climates(List<Since> settings) {
    this.settings = settings;
  }

  /** A climate that never changed. */
  public static Climates always(Climate climate) {
    return new Climates(List.of(new Since(Instant.MIN, climate)));
  }

  /**
   * Settings in the order of their moments; the first holds for all time before.
   *
   * @throws IllegalArgumentException when there is none
   */
  public static Climates of(List<Since> settings) {
    if (settings.isEmpty()) {
      throw new IllegalArgumentException("a place has some temperature");
    }
    List<Since> sorted = new ArrayList<>(settings);
    sorted.sort(Comparator.comparing(Since::from));
    sorted.set(0, new Since(Instant.MIN, sorted.get(0).climate()));
    return new Climates(List.copyOf(sorted));
  }

  /** The same, with a setting from a moment on; what was set for later is set aside. */
  public Climates with(Since change) {
    List<Since> kept = new ArrayList<>(settings);
    kept.removeIf(since -> !since.from().isBefore(change.from()) && since != settings.get(0));
    kept.add(change);
    return of(kept);
  }

  /** The same, had the fridge always been so much warmer than it was set. */
  Climates fridgeWarmerBy(double degrees) {
    return each(
        c ->
            new Climate(c.roomC(), Math.min(15, Math.max(0, c.fridgeC() + degrees)), c.freezerC()));
  }

  /** The same, had the room always been so much warmer than it was set. */
  Climates roomWarmerBy(double degrees) {
    return each(
        c ->
            new Climate(
                Math.min(45, Math.max(-5, c.roomC() + degrees)), c.fridgeC(), c.freezerC()));
  }

  private Climates each(UnaryOperator<Climate> change) {
    return new Climates(
        settings.stream()
            .map(since -> new Since(since.from(), change.apply(since.climate())))
            .toList());
  }

  /** The setting at a moment. */
  public Climate at(Instant moment) {
    Climate found = settings.get(0).climate();
    for (Since since : settings) {
      if (!since.from().isAfter(moment)) {
        found = since.climate();
      }
    }
    return found;
  }

  /** All settings, the oldest first. */
  public List<Since> settings() {
    return settings;
  }

  /**
   * How warm a place is by its settings, from one hour to another.
   *
   * @param hours of a moment, since the first step of a brew
   */
  List<Stretch> stretches(Place place, double from, double to, HourOf hours) {
    List<Stretch> all = new ArrayList<>();
    for (int i = 0; i < settings.size(); i++) {
      double begins = i == 0 ? from : Math.max(from, hours.of(settings.get(i).from()));
      double ends =
          i + 1 < settings.size() ? Math.min(to, hours.of(settings.get(i + 1).from())) : to;
      if (ends > begins) {
        double celsius = place.celsius(settings.get(i).climate());
        all.add(new Stretch(begins, ends, celsius, cause(place, celsius)));
      }
    }
    return all;
  }

  /** Turns a moment into hours since the first step of a brew. */
  interface HourOf {
    double of(Instant moment);
  }

  private static String cause(Place place, double celsius) {
    return place == Place.FRIDGE && celsius > COLD_C
        ? Said.of("Fridge at %.0f °C", celsius)
        : Timeline.IN_ITS_PLACE;
  }
}
