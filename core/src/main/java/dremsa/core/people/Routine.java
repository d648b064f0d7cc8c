package dremsa.core.people;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is done for somebody's hair, and when.
 *
 * @param occasions 0 to {@value #MOST}
 */
public record Routine(List<Occasion> occasions) {
  /** More occasions than anybody keeps up. */
  public static final int MOST = 8;

  public static final Routine NONE = new Routine(List.of());

  private static final LocalTime MORNING = LocalTime.of(10, 0);
  private static final LocalTime EVENING = LocalTime.of(19, 0);

  /**
   * Checks that it hangs together.
   *
   * @throws InvalidPersonException names the field
   */
  public Routine {
    occasions = List.copyOf(occasions);
    if (occasions.size() > MOST) {
      throw new InvalidPersonException("occasions", "At most " + MOST + " occasions.");
    }
    Set<String> keys = new HashSet<>();
    for (int i = 0; i < occasions.size(); i++) {
      if (!keys.add(occasions.get(i).key())) {
        throw new InvalidPersonException("occasions[" + i + "].key", "That stands twice.");
      }
    }
    for (int i = 0; i < occasions.size(); i++) {
      if (occasions.get(i).repeat() instanceof Repeat.With with) {
        boolean there =
            occasions.stream()
                .anyMatch(
                    each ->
                        each.key().equals(with.occasion())
                            && each.repeat() instanceof Repeat.ByRule);
        if (!there) {
          throw new InvalidPersonException(
              "occasions[" + i + "].repeat.occasion",
              "It follows an occasion that has days of its own.");
        }
      }
    }
  }

  /** The occasion with this key, if there is one. */
  public Optional<Occasion> occasion(String key) {
    return occasions.stream().filter(each -> each.key().equals(key)).findFirst();
  }

  /** The days that an occasion would be on, nothing moved. */
  List<LocalDate> days(Occasion occasion, LocalDate from, LocalDate to) {
    if (occasion.repeat() instanceof Repeat.With with) {
      List<LocalDate> followed =
          occasion(with.occasion())
              .map(other -> other.repeat().between(with.first(), to, List.of()))
              .orElse(List.of());
      return with.between(from, to, followed);
    }
    return occasion.repeat().between(from, to, List.of());
  }

  /**
   * A routine to begin with, by how the hair is and is worn; common practice. Every part of it can
   * be changed.
   *
   * @param today it begins on the next Sunday, or today where that is one
   */
  public static Routine usual(Person person, LocalDate today) {
    LocalDate sunday = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
    List<Occasion> all = new ArrayList<>();
    boolean up = person.worn().style() != Worn.Style.LOOSE;
    Hair.Pattern pattern = person.hair().pattern();
    boolean curls = pattern != Hair.Pattern.STRAIGHT && pattern != Hair.Pattern.WAVY;
    List<Slot> wash = new ArrayList<>();
    if (curls) {
      wash.add(Slot.of(SlotKind.DETANGLE));
      wash.add(Slot.of(SlotKind.PRE_WASH));
    }
    wash.add(new Slot(SlotKind.SHAMPOO, List.of(new Slot.Choice.Bought("the usual shampoo"))));
    wash.add(
        new Slot(SlotKind.CONDITION, List.of(new Slot.Choice.Bought("the usual conditioner"))));
    wash.add(Slot.of(SlotKind.RINSE));
    if (curls) {
      wash.add(Slot.of(SlotKind.LEAVE_IN));
      wash.add(Slot.of(SlotKind.STYLER));
    }
    wash.add(Slot.of(SlotKind.DRY));
    String often = up ? "FREQ=WEEKLY;INTERVAL=2;BYDAY=SU" : "FREQ=WEEKLY;BYDAY=SU";
    all.add(
        new Occasion(
            "wash",
            Occasion.Kind.WASH_DAY,
            "Wash day",
            new Repeat.ByRule(sunday, often, Optional.empty()),
            MORNING,
            wash));
    if (up) {
      all.add(
          new Occasion(
              "braids",
              Occasion.Kind.BETWEEN_BRAIDS,
              "Between the braids",
              new Repeat.ByRule(
                  sunday,
                  "FREQ=WEEKLY;BYDAY=WE",
                  person.worn().takeDown().filter(down -> !down.isBefore(sunday))),
              EVENING,
              List.of(Slot.of(SlotKind.BETWEEN_BRAIDS), Slot.of(SlotKind.SCALP_OIL))));
    } else if (curls) {
      all.add(
          new Occasion(
              "midweek",
              Occasion.Kind.MIDWEEK,
              "Midweek",
              new Repeat.ByRule(sunday, "FREQ=WEEKLY;BYDAY=WE", Optional.empty()),
              EVENING,
              List.of(Slot.of(SlotKind.LEAVE_IN), Slot.of(SlotKind.SEAL))));
    }
    return new Routine(all);
  }
}
