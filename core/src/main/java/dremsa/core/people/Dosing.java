package dremsa.core.people;

import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;
import dremsa.core.scale.Dose;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * How much one use of somebody takes: by the rule for their hair, drawn to what they really use.
 *
 * @param millilitres with its range
 * @param uses how many of their own it goes by, 0 to {@value #COUNTED}
 * @param words where it comes from
 */
public record Dosing(Figure millilitres, int uses, String words) {
  /** The last so many uses count. */
  static final int COUNTED = 5;

  /** The rule counts as much as so many uses. */
  static final int RULE = 3;

  /**
   * The dose of a person in a place.
   *
   * @param slot one that has a dose
   * @param past uses on this head, in any order
   * @throws IllegalArgumentException when nothing of ours is used there
   */
  public static Dosing of(Person person, SlotKind slot, Collection<HeadUse> past) {
    Dose.Use use =
        slot.dose().orElseThrow(() -> new IllegalArgumentException("no dose for " + slot.words()));
    Figure rule = Dose.of(use, person.hair().length(), person.hair().density());
    List<Double> last =
        past.stream()
            // What is bought is done without an amount: that says nothing of how much is taken.
            .filter(each -> each.slot() == slot && each.millilitres() > 0)
            .sorted(Comparator.comparing(HeadUse::at).reversed())
            .limit(COUNTED)
            .map(HeadUse::millilitres)
            .sorted()
            .toList();
    if (last.isEmpty()) {
      boolean known = person.hair().cm().isPresent();
      return new Dosing(
          rule,
          0,
          known
              ? "by length and thickness of the hair"
              : "the dose of short hair, as its length is not known");
    }
    int n = last.size();
    double median = n % 2 == 1 ? last.get(n / 2) : (last.get(n / 2 - 1) + last.get(n / 2)) / 2;
    double value = (n * median + RULE * rule.value()) / (n + RULE);
    double low = Math.min(value, Math.min(rule.low(), last.get(0)));
    double high = Math.max(value, Math.max(rule.high(), last.get(n - 1)));
    return new Dosing(
        new Figure(value, low, high, "mL", Provenance.CALIBRATED, ""),
        n,
        n == 1
            ? Said.of("drawn to the %.0f mL used the last time", median)
            : Said.of("drawn to the %.0f mL of the last %d times", median, n));
  }
}
