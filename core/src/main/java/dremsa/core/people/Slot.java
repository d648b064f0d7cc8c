package dremsa.core.people;

import dremsa.core.formula.Purpose;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A place in an occasion, and what is liked there.
 *
 * @param choices in the order of liking; where there is none, whatever serves the purpose
 */
public record Slot(SlotKind kind, List<Choice> choices) {
  private static final int MOST_CHOICES = 8;

  /** What is used. */
  public sealed interface Choice {
    /** Whether a product is meant. */
    boolean wants(Product product);

    /** Anything that serves a purpose. */
    record For(Purpose purpose) implements Choice {
      public For {
        Objects.requireNonNull(purpose, "purpose");
      }

      @Override
      public boolean wants(Product product) {
        return product.purposes().contains(purpose);
      }
    }

    /**
     * A brew by its formula.
     *
     * @param formula its id
     */
    record Brewed(String formula) implements Choice {
      public Brewed {
        Objects.requireNonNull(formula, "formula");
      }

      @Override
      public boolean wants(Product product) {
        return product.formula().equals(formula);
      }
    }

    /** Something bought, by any name: listed, never reckoned with. */
    record Bought(String name) implements Choice {
      private static final int LONGEST = 80;

      public Bought {
        if (name.isBlank() || name.length() > LONGEST) {
          throw new InvalidPersonException("name", "A name of 1 to 80 characters.");
        }
      }

      @Override
      public boolean wants(Product product) {
        return false;
      }
    }
  }

  public Slot {
    Objects.requireNonNull(kind, "kind");
    choices = List.copyOf(choices);
    if (choices.size() > MOST_CHOICES) {
      throw new InvalidPersonException("choices", "At most 8 in one place.");
    }
  }

  /** A slot for whatever serves it. */
  public static Slot of(SlotKind kind) {
    return new Slot(kind, List.of());
  }

  /** How well a product is liked here, 0 the best; -1 where it is not wanted at all. */
  public int liking(Product product) {
    if (choices.isEmpty()) {
      return product.purposes().stream().anyMatch(kind.purposes()::contains) ? 0 : -1;
    }
    for (int i = 0; i < choices.size(); i++) {
      if (choices.get(i).wants(product)) {
        return i;
      }
    }
    return -1;
  }

  /** Whether only something bought, or nothing at all, is used here. */
  boolean needsNoBottle() {
    return choices.isEmpty()
        ? kind.purposes().isEmpty()
        : choices.stream().allMatch(choice -> choice instanceof Choice.Bought);
  }

  /** What was bought for it, if anything. */
  public Optional<String> bought() {
    return choices.stream()
        .filter(choice -> choice instanceof Choice.Bought)
        .map(choice -> ((Choice.Bought) choice).name())
        .findFirst();
  }
}
