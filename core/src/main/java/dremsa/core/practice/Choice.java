package dremsa.core.practice;

import dremsa.core.formula.Step;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a step leaves to the maker to choose.
 *
 * @param step its index
 * @param asks a question
 * @param options the good one first
 */
public record Choice(int step, String asks, List<Option> options) {
  /**
   * One way to do it.
   *
   * @param key stable within its choice
   * @param words on its button
   * @param instead the step as it is then; empty where it stays what it is
   * @param leftOut the step is not done at all
   * @param glassC how warm the glass is that it goes into; empty where no glass is chosen
   */
  public record Option(
      String key, String words, Optional<Step> instead, boolean leftOut, OptionalDouble glassC) {
    static Option as(String key, String words) {
      return new Option(key, words, Optional.empty(), false, OptionalDouble.empty());
    }

    static Option leaving(String key, String words) {
      return new Option(key, words, Optional.empty(), true, OptionalDouble.empty());
    }

    static Option glass(String key, String words, double celsius) {
      return new Option(key, words, Optional.empty(), false, OptionalDouble.of(celsius));
    }
  }

  public Choice {
    options = List.copyOf(options);
  }

  /** The good way. */
  Option good() {
    return options.get(0);
  }

  Optional<Option> option(String key) {
    return options.stream().filter(option -> option.key().equals(key)).findFirst();
  }
}
