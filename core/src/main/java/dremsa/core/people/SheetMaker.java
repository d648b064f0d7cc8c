package dremsa.core.people;

import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Keeps account of what is left while places are filled. */
final class SheetMaker {
  /** Less than this share of a dose left over is taken along, or does for a dose. */
  private static final double ENOUGH = 0.8;

  /** The last use of a bottle takes up to so much of a dose; common practice. */
  private static final double AT_MOST = 1.25;

  /** Less than this share of a dose is no use of anything: it is kept for another place. */
  private static final double TOO_LITTLE = 0.5;

  /** Less is nothing, mL. */
  private static final double NOTHING = 0.5;

  private final LocalDate day;
  private final Sheet.Surroundings at;
  private final Map<String, Double> left = new LinkedHashMap<>();
  private final Map<String, Standing> taken = new LinkedHashMap<>();
  private final Map<String, Double> takenMl = new LinkedHashMap<>();

  SheetMaker(LocalDate day, Sheet.Surroundings at) {
    this.day = day;
    this.at = at;
    at.bottles().forEach(bottle -> left.put(bottle.id(), bottle.leftMl()));
  }

  Sheet make(List<Sheet.Asked> asked) {
    List<Sheet.Head> heads = new ArrayList<>();
    for (Sheet.Asked head : asked) {
      List<Sheet.Place> places = new ArrayList<>();
      List<Product> leftOn = new ArrayList<>();
      for (int i = 0; i < head.occasion().slots().size(); i++) {
        places.add(
            place(
                head,
                head.occasion().slots().get(i),
                head.wishes().getOrDefault(i, Sheet.Wish.NONE),
                leftOn));
      }
      heads.add(
          new Sheet.Head(
              head.person().id(),
              head.person().name(),
              head.occasion(),
              places,
              WashStep.of(head.person(), places)));
    }
    return new Sheet(
        day,
        heads,
        before(),
        WashOrder.of(heads.stream().map(Sheet.Head::steps).toList()),
        cautions(heads));
  }

  private Sheet.Place place(Sheet.Asked head, Slot slot, Sheet.Wish wish, List<Product> leftOn) {
    Optional<Dosing> dose =
        slot.kind().dose().map(use -> Dosing.of(head.person(), slot.kind(), head.uses()));
    if (wish.leftOut()) {
      return new Sheet.Place(
          slot.kind(),
          dose,
          List.of(),
          Optional.empty(),
          List.of(),
          List.of(),
          slot.bought(),
          true,
          "",
          0);
    }
    if (dose.isEmpty() || slot.needsNoBottle() && wish.bottle().isEmpty()) {
      return new Sheet.Place(
          slot.kind(),
          Optional.empty(),
          List.of(),
          slot.bought().flatMap(name -> Contact.ofBought(slot.kind())),
          List.of(),
          List.of(),
          slot.bought(),
          false,
          "",
          0);
    }
    HeadLimits limits = HeadLimits.of(head.person(), head.uses());
    List<Fit> fits = fits(slot, limits, leftOn);
    double wanted = wish.millilitres().orElse(Math.round(dose.get().millilitres().value()));
    Optional<Fit> chosen =
        wish.bottle().isPresent()
            ? asked(wish.bottle().get(), slot, limits, leftOn)
            : fits.stream()
                .filter(Fit::proposed)
                .filter(fit -> pours(slot, fit.bottle))
                .filter(fit -> there(fits, fit) >= wanted * TOO_LITTLE)
                .findFirst();
    if (chosen.isEmpty()) {
      return new Sheet.Place(
          slot.kind(),
          dose,
          List.of(),
          Optional.empty(),
          List.of(),
          others(fits, Optional.empty()),
          slot.bought(),
          slot.bought().isEmpty() && optional(slot.kind()),
          slot.bought().isPresent() ? "" : nothing(head.person(), slot, fits, wanted),
          0);
    }
    Fit fit = chosen.get();
    List<Sheet.Portion> portions = portions(fit, fits, wanted, wish.bottle().isPresent());
    double got = portions.stream().mapToDouble(Sheet.Portion::millilitres).sum();
    if (slot.kind().leftOn()) {
      leftOn.add(fit.bottle.product());
    }
    double missing = got >= wanted * ENOUGH ? 0 : wanted - got;
    return new Sheet.Place(
        slot.kind(),
        dose,
        portions,
        Contact.of(slot.kind(), fit.bottle.product()),
        fit.limits,
        others(fits, chosen),
        slot.bought(),
        false,
        missing == 0
            ? ""
            : Said.of("%.0f mL are missing: wet the hair well first, that stretches it.", missing),
        missing);
  }

  /** What may be done without when nothing is there for it: it is then not a step at all. */
  private static boolean optional(SlotKind kind) {
    return switch (kind) {
      case DETANGLE, SHAMPOO, CONDITION, DRY -> false;
      default -> true;
    };
  }

  /** A bottle for a place. */
  private record Fit(Standing bottle, int liking, List<Limit> limits) {
    boolean proposed() {
      return limits.stream().noneMatch(each -> each.weight() != Limit.Weight.MIND);
    }

    boolean keptOff() {
      return limits.stream().anyMatch(each -> each.weight() == Limit.Weight.KEEP_OFF);
    }
  }

  private List<Fit> fits(Slot slot, HeadLimits limits, List<Product> leftOn) {
    return at.bottles().stream()
        .filter(bottle -> slot.liking(bottle.product()) >= 0)
        .filter(bottle -> left.getOrDefault(bottle.id(), 0.0) >= NOTHING)
        .filter(this::good)
        .map(
            bottle ->
                new Fit(
                    bottle,
                    slot.liking(bottle.product()),
                    limits.of(bottle.product(), slot.kind(), day, leftOn)))
        .sorted(
            Comparator.comparing((Fit fit) -> !fit.proposed())
                .thenComparing(Fit::liking)
                .thenComparing(Fit::bottle, Standing.FIRST_TO_GO))
        .toList();
  }

  /** Nobody pours from a sprayer over a head, unless that brew is wanted there by its name. */
  private static boolean pours(Slot slot, Standing bottle) {
    return slot.kind() != SlotKind.RINSE
        || !slot.choices().isEmpty()
        || !bottle.container().sprays();
  }

  /** What is left of a brew in all its bottles that may be proposed, mL. */
  private double there(List<Fit> fits, Fit like) {
    return fits.stream()
        .filter(Fit::proposed)
        .filter(fit -> fit.bottle.product().formula().equals(like.bottle.product().formula()))
        .mapToDouble(fit -> left.getOrDefault(fit.bottle.id(), 0.0))
        .sum();
  }

  /** In date on that day, and thawed by then if it is frozen. */
  private boolean good(Standing bottle) {
    if (bottle.lastDay().isBefore(day)) {
      return false;
    }
    return !bottle.frozen()
        || !at.start()
            .minusSeconds(Math.round(3600 * Warming.thawHours(at.kitchen(), bottle.leftMl())))
            .isBefore(at.now());
  }

  private Optional<Fit> asked(String id, Slot slot, HeadLimits limits, List<Product> leftOn) {
    return at.bottles().stream()
        .filter(bottle -> bottle.id().equals(id))
        .filter(bottle -> left.getOrDefault(id, 0.0) >= NOTHING)
        .filter(bottle -> !bottle.lastDay().isBefore(day))
        .findFirst()
        .map(bottle -> new Fit(bottle, 0, limits.of(bottle.product(), slot.kind(), day, leftOn)));
  }

  private List<Sheet.Portion> portions(Fit first, List<Fit> fits, double wanted, boolean asked) {
    List<Sheet.Portion> portions = new ArrayList<>();
    double still = wanted;
    List<Fit> same = new ArrayList<>(List.of(first));
    if (!asked) {
      fits.stream()
          .filter(fit -> fit.proposed() && !fit.bottle.id().equals(first.bottle.id()))
          .filter(fit -> fit.bottle.product().formula().equals(first.bottle.product().formula()))
          .forEach(same::add);
    }
    for (Fit fit : same) {
      double there = left.getOrDefault(fit.bottle.id(), 0.0);
      if (there < NOTHING || still < wanted * (1 - ENOUGH) && !portions.isEmpty()) {
        continue;
      }
      boolean rest =
          there >= still && there <= still * AT_MOST && !fit.bottle.lastDay().isAfter(day);
      double take = rest ? there : Math.min(still, there);
      left.put(fit.bottle.id(), there - take);
      taken.put(fit.bottle.id(), fit.bottle);
      takenMl.merge(fit.bottle.id(), take, Double::sum);
      portions.add(
          new Sheet.Portion(
              fit.bottle.id(), fit.bottle.name(), take, there - take, why(fit, asked)));
      still -= take;
      if (still < NOTHING) {
        break;
      }
    }
    return portions;
  }

  private String why(Fit fit, boolean asked) {
    if (asked) {
      return "asked for";
    }
    Standing bottle = fit.bottle;
    return bottle.frozen()
        ? "from the freezer: nothing else is there"
        : Said.of("first to go: %s%s", Said.day(bottle.lastDay()), bottle.opened() ? ", open" : "");
  }

  private static List<Sheet.Other> others(List<Fit> fits, Optional<Fit> chosen) {
    return fits.stream()
        .filter(fit -> !fit.keptOff())
        .filter(fit -> chosen.isEmpty() || !fit.bottle.id().equals(chosen.get().bottle.id()))
        .map(
            fit ->
                new Sheet.Other(
                    fit.bottle.id(),
                    fit.bottle.name(),
                    fit.bottle.leftMl(),
                    fit.bottle.lastDay(),
                    fit.limits))
        .toList();
  }

  /** Why nothing is there for a place, and what to do. */
  private String nothing(Person person, Slot slot, List<Fit> fits, double wanted) {
    Optional<Fit> over = fits.stream().filter(fit -> !fit.keptOff()).findFirst();
    if (over.isPresent() && over.get().proposed() && pours(slot, over.get().bottle)) {
      return Said.of(
          "Only %.0f mL of %s are left, too little for %.0f mL. Brew more by then, or leave it out.",
          there(fits, over.get()), over.get().bottle.name(), wanted);
    }
    if (over.isPresent() && !over.get().proposed()) {
      Limit limit = over.get().limits.get(0);
      return over.get().bottle.name() + ": " + limit.what() + " " + limit.instead();
    }
    String sorry =
        fits.isEmpty()
            ? "Nothing stands ready for it."
            : Said.of("What stands ready is not for %s.", person.name());
    Optional<String> ready =
        at.coming().stream()
            .filter(coming -> slot.liking(coming.bottle().product()) >= 0)
            .filter(coming -> !coming.ready().isAfter(at.start()))
            .filter(coming -> !coming.bottle().lastDay().isBefore(day))
            .filter(coming -> !left.containsKey(coming.bottle().id()))
            .map(coming -> coming.bottle().name())
            .findFirst();
    if (ready.isPresent()) {
      return sorry + " " + ready.get() + " is brewing and will be ready.";
    }
    boolean frozen =
        at.bottles().stream()
            .anyMatch(
                bottle ->
                    bottle.frozen()
                        && slot.liking(bottle.product()) >= 0
                        && !bottle.lastDay().isBefore(day));
    if (frozen) {
      return sorry + " A frozen portion would not thaw by then: thaw it for the next time.";
    }
    String brew =
        slot.choices().stream()
            .filter(choice -> choice instanceof Slot.Choice.Brewed)
            .map(choice -> ((Slot.Choice.Brewed) choice).formula())
            .flatMap(formula -> at.formulas().apply(formula).stream())
            .findFirst()
            .orElse("something for it");
    return sorry + " Brew " + brew + " by then, or leave it out.";
  }

  private List<Sheet.Before> before() {
    List<Sheet.Before> all = new ArrayList<>();
    for (Standing bottle : taken.values()) {
      double ml = takenMl.getOrDefault(bottle.id(), 0.0);
      if (bottle.frozen()) {
        double thawed = bottle.thaws(ml);
        Instant thaw = Warming.thawFrom(at.kitchen(), thawed, at.start(), at.zone());
        all.add(
            new Sheet.Before(
                Sheet.Before.Kind.THAW,
                bottle.id(),
                bottle.name(),
                later(thaw),
                Said.of(
                    "Put %.0f mL of %s from the freezer into the fridge: it takes about %.0f h."
                        + " Thawed it is good for %d days.",
                    thawed,
                    bottle.name(),
                    Math.ceil(Warming.thawHours(at.kitchen(), thawed)),
                    Standing.THAWED_DAYS)));
      }
      if (bottle.place().isCold() && !bottle.container().sprays()) {
        double from = at.kitchen().climate().fridgeC();
        double minutes = Math.ceil(Warming.minutes(at.kitchen(), from, bottle.leftMl()));
        all.add(
            new Sheet.Before(
                Sheet.Before.Kind.WARM,
                bottle.id(),
                bottle.name(),
                later(at.start().minusSeconds(Math.round(minutes * 60))),
                Said.of(
                    "Pour %.0f mL of %s into a jug and stand it in a bowl of %.0f °C water: about"
                        + " %.0f min till it is %.0f °C. At most %.0f °C on the scalp; try it on"
                        + " the wrist.",
                    ml,
                    bottle.name(),
                    Warming.BOWL_C,
                    Math.ceil(Warming.minutes(at.kitchen(), from, ml)),
                    Warming.TO_C,
                    Warming.MOST_C)));
      }
    }
    return all.stream().sorted(Comparator.comparing(Sheet.Before::at)).toList();
  }

  /** Nothing is done in the past any more. */
  private Instant later(Instant moment) {
    return moment.isBefore(at.now()) ? at.now() : moment;
  }

  private static List<String> cautions(List<Sheet.Head> heads) {
    Set<String> all = new LinkedHashSet<>();
    all.add("Lay out towels. Oils and gels make floor and bath slippery.");
    boolean sprayed =
        heads.stream()
            .flatMap(head -> head.places().stream())
            .anyMatch(
                place ->
                    !place.leftOut()
                        && (place.slot() == SlotKind.LEAVE_IN
                            || place.slot() == SlotKind.BETWEEN_BRAIDS));
    if (sprayed) {
      all.add("Close the eyes when it is sprayed.");
    }
    all.add("If it burns or itches: rinse it out, stop; a doctor if it lasts.");
    return List.copyOf(all);
  }
}
