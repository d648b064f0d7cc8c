package dremsa.core.people;

import dremsa.core.kitchen.Kitchen;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The days to come: who is washed when, from which bottle, and who goes without. Each day is worked
 * out as its sheet would be, with what the days before it have taken.
 *
 * @param occasions of all heads, by their days, what is past as well
 * @param serves what is taken, by its day
 * @param without who goes without what
 * @param before what is to be thawed and warmed, by its time
 */
public record Ahead(
    List<OfHead> occasions, List<Serves> serves, List<Without> without, List<Sheet.Before> before) {
  /** So far ahead at most, days. */
  public static final int FURTHEST = 84;

  /**
   * A head with its routine.
   *
   * @param said what somebody said of single days
   * @param uses on it before
   */
  public record Head(Person person, Routine routine, List<Due.Said> said, List<HeadUse> uses) {}

  /** An occasion of somebody. */
  public record OfHead(String person, Due due) {}

  /** Some of a bottle for a head on a day. */
  public record Serves(
      LocalDate day, String person, String occasion, String bottle, double millilitres) {}

  /**
   * Nothing, or too little, for a place.
   *
   * @param missingMl so much of the dose
   * @param words why, and what to do
   */
  public record Without(
      LocalDate day,
      String person,
      String occasion,
      SlotKind slot,
      double missingMl,
      String words) {}

  /**
   * What it is reckoned in.
   *
   * @param bottles that stand now
   * @param coming brews on the bench
   */
  public record Surroundings(
      Kitchen kitchen,
      ZoneId zone,
      Instant now,
      LocalDate today,
      List<Standing> bottles,
      List<Sheet.Coming> coming,
      Function<String, Optional<String>> formulas) {}

  /**
   * Works a span of days out.
   *
   * @param from first day shown; what is taken is reckoned from today on in any case
   * @param to last day, at most {@value #FURTHEST} days after today
   */
  public static Ahead of(List<Head> heads, Surroundings at, LocalDate from, LocalDate to) {
    LocalDate first = from.isBefore(at.today()) ? from : at.today();
    List<OfHead> occasions = new ArrayList<>();
    Map<LocalDate, List<OfHead>> byDay = new TreeMap<>();
    for (Head head : heads) {
      for (Due due : Due.between(head.routine(), head.said(), at.today(), first, to)) {
        OfHead of = new OfHead(head.person().id(), due);
        if (!due.day().isBefore(from)) {
          occasions.add(of);
        }
        if (due.state().isOpen()) {
          byDay.computeIfAbsent(due.day(), day -> new ArrayList<>()).add(of);
        }
      }
    }
    occasions.sort(
        Comparator.comparing((OfHead of) -> of.due().day())
            .thenComparing(of -> of.due().occasion().time()));
    Days days = new Days(heads, at);
    byDay.forEach(days::day);
    return new Ahead(
        occasions,
        days.serves.stream().filter(each -> !each.day().isBefore(from)).toList(),
        days.without.stream().filter(each -> !each.day().isBefore(from)).toList(),
        List.copyOf(days.before));
  }

  /** Keeps account from day to day. */
  private static final class Days {
    private final Map<String, Head> heads;
    private final Map<String, List<HeadUse>> uses = new LinkedHashMap<>();
    private final Map<String, Standing> bottles = new LinkedHashMap<>();
    private final Surroundings at;
    private final List<Serves> serves = new ArrayList<>();
    private final List<Without> without = new ArrayList<>();
    private final List<Sheet.Before> before = new ArrayList<>();

    Days(List<Head> all, Surroundings at) {
      this.at = at;
      heads =
          all.stream()
              .collect(
                  Collectors.toMap(
                      head -> head.person().id(), head -> head, (a, b) -> a, LinkedHashMap::new));
      all.forEach(head -> uses.put(head.person().id(), new ArrayList<>(head.uses())));
      at.bottles().forEach(bottle -> bottles.put(bottle.id(), bottle));
    }

    private Head head(OfHead of) {
      return Objects.requireNonNull(heads.get(of.person()));
    }

    private List<HeadUse> used(OfHead of) {
      return Objects.requireNonNull(uses.get(of.person()));
    }

    void day(LocalDate day, List<OfHead> due) {
      due.sort(Comparator.comparing((OfHead of) -> of.due().occasion().time()));
      Instant start = start(day, due);
      at.coming().stream()
          .filter(coming -> !coming.ready().isAfter(start))
          .forEach(coming -> bottles.putIfAbsent(coming.bottle().id(), coming.bottle()));
      List<Sheet.Asked> asked =
          due.stream()
              .map(
                  of -> new Sheet.Asked(head(of).person(), of.due().occasion(), used(of), Map.of()))
              .toList();
      Sheet sheet =
          Sheet.of(
              day,
              asked,
              new Sheet.Surroundings(
                  at.kitchen(),
                  at.zone(),
                  at.now(),
                  start,
                  List.copyOf(bottles.values()),
                  at.coming(),
                  at.formulas()));
      before.addAll(sheet.before());
      for (int i = 0; i < sheet.heads().size(); i++) {
        took(day, start, due.get(i), sheet.heads().get(i));
      }
    }

    private Instant start(LocalDate day, List<OfHead> due) {
      Instant planned =
          day.atTime(due.get(0).due().occasion().time()).atZone(at.zone()).toInstant();
      return planned.isBefore(at.now()) ? at.now() : planned;
    }

    private void took(LocalDate day, Instant start, OfHead of, Sheet.Head head) {
      for (Sheet.Place place : head.places()) {
        for (Sheet.Portion portion : place.portions()) {
          Standing bottle = Objects.requireNonNull(bottles.get(portion.bottle()));
          bottles.put(bottle.id(), bottle.takenOn(day, portion.leftAfter()));
          serves.add(
              new Serves(
                  day,
                  of.person(),
                  of.due().occasion().key(),
                  portion.bottle(),
                  portion.millilitres()));
          used(of)
              .add(
                  HeadUse.of(
                      bottle.product(),
                      place.slot(),
                      start,
                      day,
                      portion.millilitres(),
                      OptionalDouble.empty()));
        }
        boolean bought = place.bought().isPresent();
        if (!place.without().isEmpty() && !bought) {
          double missing =
              place.shortMl() > 0
                  ? place.shortMl()
                  : place.dose().map(dose -> dose.millilitres().value()).orElse(0.0);
          without.add(
              new Without(
                  day,
                  of.person(),
                  of.due().occasion().key(),
                  place.slot(),
                  missing,
                  place.without()));
        }
      }
    }
  }
}
