package dremsa.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Who would use a brew on the days to come, and how much of it.
 *
 * @param liking how well it is liked there, 0 the best
 * @param millilitres the dose of this head
 */
public record Wanting(
    LocalDate day,
    String person,
    Occasion occasion,
    SlotKind slot,
    int liking,
    double millilitres) {

  /**
   * All who would, by their days; whom it does not suit, and who has had enough of it by then, is
   * left out.
   *
   * @param to last day
   */
  public static List<Wanting> of(
      Product product, List<Ahead.Head> heads, LocalDate today, LocalDate to) {
    List<Wanting> all = new ArrayList<>();
    for (Ahead.Head head : heads) {
      HeadLimits limits = HeadLimits.of(head.person(), head.uses());
      for (Due due : Due.between(head.routine(), head.said(), today, today, to)) {
        if (due.state().isOpen()) {
          due.occasion().slots().stream()
              .filter(slot -> slot.kind().dose().isPresent() && slot.liking(product) >= 0)
              .filter(
                  slot ->
                      limits.of(product, slot.kind(), due.day()).stream()
                          .allMatch(limit -> limit.weight() == Limit.Weight.MIND))
              .map(
                  slot ->
                      new Wanting(
                          due.day(),
                          head.person().id(),
                          due.occasion(),
                          slot.kind(),
                          slot.liking(product),
                          Dosing.of(head.person(), slot.kind(), head.uses()).millilitres().value()))
              .forEach(all::add);
        }
      }
    }
    all.sort(Comparator.comparing(Wanting::day).thenComparing(Wanting::person));
    return List.copyOf(all);
  }
}
