package dremsa.core.reading;

import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Windows of steps: the note's time, and round it what the method takes for early and late. */
final class Windows {
  /** A time written alone may be missed by so much before it is early or late; our estimate. */
  private static final double LEEWAY = 0.25;

  private Windows() {}

  static Window of(Item.@Nullable Span said, Optional<Window> usual, StepKind kind) {
    if (said == null) {
      return usual.orElseGet(() -> common(kind));
    }
    double most =
        kind == StepKind.BOIL || kind == StepKind.WATER_BATH ? 24 * 60 : Window.MOST_MINUTES;
    double low = Math.min(most, said.low());
    double high = Math.min(most, said.high());
    if (low < high) {
      return new Window(low, (low + high) / 2, high);
    }
    double shortest = Math.round(low * (1 - LEEWAY) * 10) / 10.0;
    double longest = Math.round(low * (1 + LEEWAY) * 10) / 10.0;
    if (usual.isPresent() && usual.get().judge(low) == Window.Timing.RIGHT) {
      shortest = Math.max(shortest, usual.get().shortest());
      longest = Math.min(Math.max(longest, low), Math.max(low, usual.get().longest()));
    }
    return new Window(Math.min(shortest, low), low, Math.min(most, Math.max(low, longest)));
  }

  /** Where neither note nor method tells: common practice. */
  private static Window common(StepKind kind) {
    return switch (kind) {
      case PREPARE -> Window.minutes(2, 5, 15);
      case BOIL -> Window.minutes(5, 10, 20);
      case WATER_BATH -> Window.minutes(20, 25, 40);
      case STEEP -> Window.hours(0.5, 1, 4);
      case SOAK -> Window.hours(6, 8, 12);
      case FERMENT -> Window.hours(24, 48, 120);
      case MACERATE -> Window.days(14, 21, 28);
      case BLEND -> Window.minutes(1, 2, 5);
      default -> Window.minutes(0, 0, 0);
    };
  }
}
