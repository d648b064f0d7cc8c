package dremsa.core.today;

import dremsa.core.keep.Freshness;
import dremsa.core.measure.Said;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Chooses what is to be done now: what burns, what must go, what is for today, what comes. */
public final class Today {
  /** What is further off is not for now. */
  private static final Duration SOON = Duration.ofHours(12);

  private Today() {}

  /**
   * A brew on the bench.
   *
   * @param planned it waits for its beginning
   * @param hands when hands or eyes are wanted next; in the past or at {@code now} it is now
   * @param late from when on it goes wrong; empty where nothing does
   * @param words for what: {@code "Has it drawn?"}
   */
  public record Pot(
      String id,
      String name,
      boolean planned,
      Instant hands,
      Optional<Instant> late,
      String words) {
    private boolean isLate(Instant now) {
      return late.isPresent() && now.isAfter(late.get());
    }
  }

  /**
   * A bottle that stands.
   *
   * @param useNow it was for use at once
   */
  public record Kept(String id, String name, LocalDate lastDay, boolean useNow) {}

  /**
   * What a strainer held.
   *
   * @param use what it is good for: {@code "Dry it for tea"}
   */
  public record Bowl(String id, String name, LocalDate lastDay, String use) {}

  /**
   * A head whose wash day, or other occasion, is today.
   *
   * @param at when it is usually done
   */
  public record Head(String name, String occasion, Instant at) {}

  /**
   * Brews that were agreed on for today.
   *
   * @param at when the evening begins
   * @param words what, and why: {@code "Brew 300 mL of gel today, 25 min of hands: for Sunday"}
   */
  public record Brews(Instant at, String words) {}

  /**
   * What there is to do, the most pressing first; empty where nothing brews, stands or is washed.
   *
   * @param heads that are to be done today
   * @param brews that were agreed on for today, and are not begun
   * @param today the day at the household's place
   */
  public static List<Task> of(
      List<Pot> pots,
      List<Kept> bottles,
      List<Bowl> bowls,
      List<Head> heads,
      Optional<Brews> brews,
      Instant now,
      LocalDate today) {
    List<Task> tasks = new ArrayList<>();
    List<Pot> byTime =
        pots.stream()
            .sorted(Comparator.comparing((Pot pot) -> !pot.isLate(now)).thenComparing(Pot::hands))
            .toList();
    List<Kept> byDay = bottles.stream().sorted(Comparator.comparing(Kept::lastDay)).toList();
    for (Pot pot : byTime) {
      if (!pot.hands().isAfter(now)) {
        tasks.add(
            pot.planned()
                ? task(Task.Kind.POT_NOW, pot, "Begin the " + lowered(pot.name()))
                : task(Task.Kind.POT_NOW, pot, pot.name() + ": " + lowered(pot.words())));
      }
    }
    brews.filter(each -> !each.at().isAfter(now)).ifPresent(each -> tasks.add(task(each, today)));
    for (Kept bottle : byDay) {
      Freshness freshness = Freshness.of(bottle.lastDay(), today);
      if (freshness == Freshness.OVER) {
        tasks.add(
            task(Task.Kind.THROW_AWAY, bottle, "Throw the " + lowered(bottle.name()) + " away"));
      }
    }
    for (Kept bottle : byDay) {
      Freshness freshness = Freshness.of(bottle.lastDay(), today);
      if (freshness == Freshness.LAST_DAY) {
        String when = bottle.useNow() ? " now" : " today";
        tasks.add(task(Task.Kind.USE_TODAY, bottle, "Use the " + lowered(bottle.name()) + when));
      }
    }
    brews.filter(each -> each.at().isAfter(now)).ifPresent(each -> tasks.add(task(each, today)));
    for (Bowl bowl : bowls) {
      boolean over = today.isAfter(bowl.lastDay());
      tasks.add(
          over
              ? task(Task.Kind.COMPOST, bowl, "Compost what is left of the " + lowered(bowl.name()))
              : task(Task.Kind.USE_LEFTOVER, bowl, bowl.name() + ": " + lowered(bowl.use())));
    }
    heads.stream()
        .map(Head::at)
        .min(Comparator.naturalOrder())
        .ifPresent(
            at -> {
              List<String> names = heads.stream().map(Head::name).distinct().toList();
              boolean one = heads.stream().map(Head::occasion).distinct().count() == 1;
              String what = one ? heads.get(0).occasion() : "Today's heads";
              tasks.add(
                  new Task(
                      Task.Kind.WASH,
                      today.toString(),
                      what,
                      what + ": " + Said.and(names),
                      at.isAfter(now) ? Optional.of(at) : Optional.empty()));
            });
    for (Pot pot : byTime) {
      if (pot.hands().isAfter(now) && pot.hands().isBefore(now.plus(SOON))) {
        tasks.add(
            pot.planned()
                ? task(Task.Kind.BEGIN, pot, "Begin the " + lowered(pot.name()))
                : task(Task.Kind.POT_LATER, pot, pot.name() + ": " + lowered(pot.words())));
      }
    }
    byDay.stream()
        .filter(b -> !today.isAfter(b.lastDay()) && !today.equals(b.lastDay()))
        .findFirst()
        .ifPresent(
            b ->
                tasks.add(task(Task.Kind.USE_FIRST, b, "Use the " + lowered(b.name()) + " first")));
    return tasks;
  }

  private static Task task(Task.Kind kind, Pot pot, String words) {
    boolean later = kind == Task.Kind.POT_LATER || kind == Task.Kind.BEGIN;
    return new Task(
        kind, pot.id(), pot.name(), words, later ? Optional.of(pot.hands()) : Optional.empty());
  }

  private static Task task(Brews brews, LocalDate today) {
    return new Task(
        Task.Kind.BREW, today.toString(), "Brew day", brews.words(), Optional.of(brews.at()));
  }

  private static Task task(Task.Kind kind, Kept bottle, String words) {
    return new Task(kind, bottle.id(), bottle.name(), words, Optional.empty());
  }

  private static Task task(Task.Kind kind, Bowl bowl, String words) {
    return new Task(kind, bowl.id(), bowl.name(), words, Optional.empty());
  }

  /** As within a sentence; what is spelt in capitals stays so. */
  private static String lowered(String words) {
    boolean capitals = words.length() > 1 && Character.isUpperCase(words.charAt(1));
    return capitals || words.isEmpty()
        ? words
        : Character.toLowerCase(words.charAt(0)) + words.substring(1);
  }
}
