package dremsa.core.people;

import dremsa.core.kitchen.Kitchen;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * What is done for one or several heads on a day: what from which bottle, how much, in which order.
 *
 * @param heads in the order in which they were asked for
 * @param before what is to be done beforehand, by its time
 * @param order of all steps, with one pair of hands
 * @param cautions for all of it
 */
public record Sheet(
    LocalDate day, List<Head> heads, List<Before> before, WashOrder order, List<String> cautions) {

  /**
   * One head that is asked for.
   *
   * @param uses on it before
   * @param wishes what is to be otherwise, by the number of the place
   */
  public record Asked(
      Person person, Occasion occasion, List<HeadUse> uses, Map<Integer, Wish> wishes) {
    public Asked {
      Objects.requireNonNull(person, "person");
      Objects.requireNonNull(occasion, "occasion");
      uses = List.copyOf(uses);
      wishes = Map.copyOf(wishes);
    }
  }

  /**
   * Something to be otherwise in a place.
   *
   * @param bottle this one instead of the one proposed
   * @param leftOut nothing there at all
   * @param millilitres so much instead of the dose
   */
  public record Wish(Optional<String> bottle, boolean leftOut, OptionalDouble millilitres) {
    public static final Wish NONE = new Wish(Optional.empty(), false, OptionalDouble.empty());
  }

  /**
   * A brew that will be there.
   *
   * @param bottle as it will stand then
   * @param ready when it is bottled
   */
  public record Coming(Standing bottle, Instant ready) {}

  /**
   * What it is reckoned in.
   *
   * @param start when it begins
   * @param bottles that stand
   * @param coming brews on the bench
   * @param formulas names formulas by their ids, where they are known
   */
  public record Surroundings(
      Kitchen kitchen,
      ZoneId zone,
      Instant now,
      Instant start,
      List<Standing> bottles,
      List<Coming> coming,
      Function<String, Optional<String>> formulas) {}

  /**
   * One head.
   *
   * @param steps what is done, in order
   */
  public record Head(
      String person, String name, Occasion occasion, List<Place> places, List<WashStep> steps) {}

  /**
   * A place on a head.
   *
   * @param dose where something of ours is used there
   * @param portions what is taken from which bottle; empty where nothing is
   * @param contact how long it stays on
   * @param limits that are to be minded
   * @param others that would do as well, the first to go first
   * @param bought something bought, by its name
   * @param leftOut nothing is done here
   * @param without why nothing is there and what to do; empty where something is
   * @param shortMl so much is missing of the dose
   */
  public record Place(
      SlotKind slot,
      Optional<Dosing> dose,
      List<Portion> portions,
      Optional<Contact> contact,
      List<Limit> limits,
      List<Other> others,
      Optional<String> bought,
      boolean leftOut,
      String without,
      double shortMl) {

    /** What is used, as it stands in a sentence; empty where nothing is. */
    String what() {
      if (portions.isEmpty()) {
        return bought.orElse("");
      }
      double all = portions.stream().mapToDouble(Portion::millilitres).sum();
      return WashStep.amount(all, portions.get(0).name());
    }
  }

  /**
   * Some of a bottle.
   *
   * @param why this one
   */
  public record Portion(
      String bottle, String name, double millilitres, double leftAfter, String why) {}

  /**
   * Another bottle that serves.
   *
   * @param limits that are to be minded with it
   */
  public record Other(
      String bottle, String name, double leftMl, LocalDate lastDay, List<Limit> limits) {}

  /**
   * Something to do beforehand.
   *
   * @param bottle which
   * @param at when
   */
  public record Before(Kind kind, String bottle, String name, Instant at, String words) {
    /** What. */
    public enum Kind {
      THAW,
      WARM
    }
  }

  /** Works the sheet out. Nobody's bottle goes below nothing, whoever comes last. */
  public static Sheet of(LocalDate day, List<Asked> asked, Surroundings at) {
    return new SheetMaker(day, at).make(asked);
  }

  /** The same with its order looked for longer: for one sheet, not for all days of a month. */
  public Sheet searched() {
    List<List<WashStep>> steps = heads.stream().map(Head::steps).toList();
    WashOrder better =
        WashOrder.searched(steps, steps.stream().map(head -> WashOrder.Progress.NONE).toList(), 0);
    return new Sheet(day, heads, before, better, cautions);
  }
}
