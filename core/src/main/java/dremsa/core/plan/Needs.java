package dremsa.core.plan;

import dremsa.core.people.Ahead;
import dremsa.core.people.Dosing;
import dremsa.core.people.Due;
import dremsa.core.people.HeadLimits;
import dremsa.core.people.HeadUse;
import dremsa.core.people.Limit;
import dremsa.core.people.Product;
import dremsa.core.people.Slot;
import dremsa.core.people.SlotKind;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/** What the heads of a household need on the days to come, from their routines. */
public final class Needs {
  /** A cube of an ice tray, mL. */
  static final double CUBE_ML = 30;

  private static final double LEAST_PORTION = 15;
  private static final double MOST_PORTION = 120;

  private Needs() {}

  /**
   * In what portions a formula is frozen: the smallest dose that is usual, so that little of what
   * is thawed is left over; to 5 mL, a cube where nobody uses it.
   */
  public static double portion(String formula, List<Need> needs) {
    double least =
        needs.stream()
            .filter(Need::elastic)
            .filter(need -> need.accepted().stream().anyMatch(a -> a.formula().equals(formula)))
            .mapToDouble(Need::millilitres)
            .min()
            .orElse(CUBE_ML);
    return Math.max(LEAST_PORTION, Math.min(MOST_PORTION, Math.round(least / 5) * 5.0));
  }

  /**
   * All needs, by their days. What does not suit a head, and what it has had enough of by then, is
   * not accepted; what is planned for it counts towards its limits.
   *
   * @param products what there may be, the first to be preferred where nobody minds which
   * @param to last day
   */
  public static List<Need> of(
      List<Ahead.Head> heads, List<Product> products, LocalDate today, LocalDate to) {
    List<Need> all = new ArrayList<>();
    for (Ahead.Head head : heads) {
      List<HeadUse> uses = new ArrayList<>(head.uses());
      for (Due due : Due.between(head.routine(), head.said(), today, today, to)) {
        if (!due.state().isOpen()) {
          continue;
        }
        List<Slot> slots = due.occasion().slots();
        for (int place = 0; place < slots.size(); place++) {
          Slot slot = slots.get(place);
          if (slot.kind().dose().isEmpty() || !brewedFor(slot)) {
            continue;
          }
          List<Product> fit = fit(head, uses, slot, products, due.day());
          boolean limited = fit.isEmpty() && wanted(slot, products);
          if (limited) {
            // Enough of all that would do: the sheet says so, and nothing is brewed for it.
            continue;
          }
          double ml = Dosing.of(head.person(), slot.kind(), head.uses()).millilitres().value();
          all.add(
              new Need(
                  head.person().id()
                      + "/"
                      + due.occasion().key()
                      + "/"
                      + due.planned()
                      + "/"
                      + place,
                  due.day(),
                  head.person().id(),
                  words(head, due, slot.kind()),
                  fit.stream()
                      .map(product -> new Need.Accepted(product.formula(), slot.liking(product)))
                      .toList(),
                  ml,
                  true));
          if (!fit.isEmpty()) {
            uses.add(
                HeadUse.of(
                    fit.get(0),
                    slot.kind(),
                    due.day().atTime(due.occasion().time()).toInstant(ZoneOffset.UTC),
                    due.day(),
                    ml,
                    OptionalDouble.empty()));
          }
        }
      }
    }
    all.sort(Comparator.comparing(Need::day).thenComparing(Need::id));
    return List.copyOf(all);
  }

  /** Whether something brewed belongs there before anything bought. */
  private static boolean brewedFor(Slot slot) {
    return slot.choices().isEmpty()
        ? !slot.kind().purposes().isEmpty()
        : !(slot.choices().get(0) instanceof Slot.Choice.Bought);
  }

  private static boolean wanted(Slot slot, List<Product> products) {
    return products.stream().anyMatch(product -> slot.liking(product) >= 0);
  }

  private static List<Product> fit(
      Ahead.Head head, List<HeadUse> uses, Slot slot, List<Product> products, LocalDate day) {
    HeadLimits limits = HeadLimits.of(head.person(), uses);
    return products.stream()
        .filter(product -> slot.liking(product) >= 0)
        .filter(
            product ->
                limits.of(product, slot.kind(), day).stream()
                    .allMatch(limit -> limit.weight() == Limit.Weight.MIND))
        .sorted(Comparator.comparingInt(slot::liking))
        .toList();
  }

  private static String words(Ahead.Head head, Due due, SlotKind slot) {
    String name = due.occasion().name();
    String occasion = name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    return head.person().name()
        + "'s "
        + occasion
        + (occasion.equals(slot.words()) ? "" : " (" + slot.words() + ")");
  }
}
