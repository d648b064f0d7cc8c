package dremsa.core.learn;

import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How much less hair draws itself together with a product than without: days with it are paired
 * with the nearest days without it, so that what changes over months falls out.
 *
 * @param product its name
 * @param difference of the shares, with minus without, of each pair
 */
public record Shrinkage(String product, Mean difference) {
  /** Days further apart are no pair; our estimate. */
  static final int PAIRED_DAYS = 28;

  /** Fewer pairs tell nothing. */
  static final int FEWEST = 3;

  private static final int PERCENT = 100;

  /**
   * A length left to itself beside the same one drawn straight.
   *
   * @param stretchedCm above 0
   * @param looseCm above 0 and at most as long
   * @param product that was on it; empty without one
   */
  public record Reading(LocalDate day, double stretchedCm, double looseCm, String product) {
    public Reading {
      if (!(stretchedCm > 0) || !(looseCm > 0 && looseCm <= stretchedCm)) {
        throw new IllegalArgumentException(
            "left to itself hair is at most as long as drawn straight: "
                + looseCm
                + " of "
                + stretchedCm);
      }
    }

    /** By how much it draws itself together, 0 to 1. */
    public double shrinkage() {
      return 1 - looseCm / stretchedCm;
    }
  }

  /** Of each product that was on it, in the order of their names. */
  public static List<Shrinkage> of(List<Reading> readings) {
    return readings.stream()
        .map(Reading::product)
        .filter(product -> !product.isEmpty())
        .distinct()
        .sorted()
        .map(product -> new Shrinkage(product, Mean.of(differences(readings, product))))
        .toList();
  }

  /** Each day with it takes the nearest day without any that no other has taken. */
  private static List<Double> differences(List<Reading> readings, String product) {
    List<Reading> without =
        new ArrayList<>(readings.stream().filter(each -> each.product().isEmpty()).toList());
    List<Double> all = new ArrayList<>();
    readings.stream()
        .filter(each -> each.product().equals(product))
        .sorted(Comparator.comparing(Reading::day))
        .forEach(
            with -> {
              Optional<Reading> nearest =
                  without.stream()
                      .filter(each -> apart(each, with) <= PAIRED_DAYS)
                      .min(Comparator.comparingLong(each -> apart(each, with)));
              nearest.ifPresent(
                  other -> {
                    without.remove(other);
                    all.add(with.shrinkage() - other.shrinkage());
                  });
            });
    return all;
  }

  private static long apart(Reading one, Reading other) {
    return Math.abs(ChronoUnit.DAYS.between(one.day(), other.day()));
  }

  /** Whether it surely is another one with the product. */
  public boolean settled() {
    return difference.n() >= FEWEST
        && (difference.low().orElse(0) > 0 || difference.high().orElse(0) < 0);
  }

  /** In a sentence. */
  public String words() {
    if (difference.n() < FEWEST) {
      return Said.of(
          "%s: %d of the %d pairs of days, with and without it, that would tell of shrinkage.",
          product, difference.n(), FEWEST);
    }
    String range =
        Said.of(
            "%.0f to %.0f percent points",
            PERCENT * difference.low().orElseThrow(), PERCENT * difference.high().orElseThrow());
    return settled()
        ? Said.of(
            "%s: it draws itself together %s with it, by %s (%d pairs).",
            product, difference.value() < 0 ? "less" : "more", range, difference.n())
        : Said.of(
            "%s: shrinkage with it is off by %s, which may be chance (%d pairs).",
            product, range, difference.n());
  }
}
