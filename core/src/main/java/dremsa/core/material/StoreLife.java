package dremsa.core.material;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * How long materials keep their worth in the stores: dry, dark, closed. Common practice; a date
 * here is about scent and strength, not about safety.
 */
public final class StoreLife {
  /** From this share of its life on a lot counts as getting old. */
  private static final double OLD = 0.8;

  private StoreLife() {}

  /** How a lot stands. */
  public enum Age {
    GOOD("good"),
    OLD("getting old"),
    OVER("past its best");

    private final String words;

    Age(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** Days from harvest or purchase in which it keeps its worth; empty for what does not age. */
  public static Optional<Integer> days(MaterialKind kind) {
    return switch (kind) {
      case LEAF, FLOWER, BUD, POWDER -> Optional.of(365);
      case ROOT, BARK, SEAWEED -> Optional.of(2 * 365);
      case SEED, GUM_SEED, GRAIN, GUM_POWDER -> Optional.of(2 * 365);
      case CARRIER_OIL, INFUSED_OIL, CONDITIONER, FRAGRANCE -> Optional.of(365);
      case ESSENTIAL_OIL, PRESERVATIVE, POWDER_ADDITIVE, GLYCERIN, ACID -> Optional.of(2 * 365);
      case FRESH_LEAF -> Optional.of(4);
      case FRESH_PLANT, ALOE_LEAF -> Optional.of(10);
      case JUICE, FOOD -> Optional.of(3);
      case HYDROLAT -> Optional.of(180);
      case WATER, SPIRIT, BREW -> Optional.empty();
    };
  }

  /** The last day on which it is at its best; empty for what does not age. */
  public static Optional<LocalDate> bestUntil(MaterialKind kind, LocalDate got) {
    return days(kind).map(got::plusDays);
  }

  /** How a lot stands today. */
  public static Age age(MaterialKind kind, LocalDate got, LocalDate today) {
    Optional<Integer> days = days(kind);
    if (days.isEmpty()) {
      return Age.GOOD;
    }
    double spent = ChronoUnit.DAYS.between(got, today) / (double) days.get();
    return spent > 1 ? Age.OVER : spent >= OLD ? Age.OLD : Age.GOOD;
  }
}
