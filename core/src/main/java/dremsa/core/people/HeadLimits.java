package dremsa.core.people;

import dremsa.core.check.Wearer;
import dremsa.core.material.Material;
import dremsa.core.material.Property;
import dremsa.core.material.Virtue;
import dremsa.core.measure.Said;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * What a head bears, over a rolling window and over all products. The order in which uses were
 * written down never matters.
 */
public final class HeadLimits {
  /** Of strong protein; common practice, schools differ up to three times a week. */
  private static final Rate PROTEIN = new Rate(1, 7);

  private static final Rate PROTEIN_HIGH = new Rate(1, 14);
  private static final Rate PROTEIN_LOW = new Rate(1, 28);

  /** Evenings with spirit; our estimate. */
  private static final Rate SPIRIT = new Rate(7, 7);

  private static final Rate SPIRIT_DELICATE = new Rate(2, 7);

  /** What is left on is taken to be there until the next wash, but no longer than this, days. */
  private static final int LEFT_ON_DAYS = 7;

  /** Sourer than this it is no leave-in. */
  private static final double SOUR_LEFT_ON = 3.5;

  /** Sourer than this it is not even rinsed off. */
  private static final double SOUR_RINSED = 3.0;

  /** Irritants stay on no longer, min; common practice. */
  static final double IRRITANT_MIN = 60;

  /** Strong buds stay on no longer, min; common practice. */
  static final double BUDS_MIN = 240;

  private final Person person;
  private final List<HeadUse> uses;

  private HeadLimits(Person person, Collection<HeadUse> uses) {
    this.person = person;
    this.uses =
        uses.stream()
            .sorted(Comparator.comparing(HeadUse::at).thenComparing(HeadUse::name))
            .toList();
  }

  /**
   * What of a head is counted.
   *
   * @param uses on it, in any order; those of the last 90 days are enough
   */
  public static HeadLimits of(Person person, Collection<HeadUse> uses) {
    return new HeadLimits(person, uses);
  }

  /**
   * How much of a limit is used up.
   *
   * @param load what counts now
   * @param most that may count
   * @param days in so many days
   * @param own it is a figure of their own
   * @param fineFrom the first day on which a strong one is fine; empty for never
   */
  public record State(
      Limit.Kind kind,
      double load,
      double most,
      int days,
      boolean own,
      Optional<LocalDate> fineFrom,
      String source) {}

  /** The limits that are counted over a window, as they stand on a day. */
  public List<State> states(LocalDate day) {
    Rate protein = protein(true);
    Rate spirit = spirit();
    return List.of(
        new State(
            Limit.Kind.PROTEIN,
            load(day, protein.days(), HeadLimits::proteinOf),
            protein.times(),
            protein.days(),
            person.ownProtein().isPresent(),
            fineFrom(day, protein, 1, HeadLimits::proteinOf),
            Limit.PRACTICE),
        new State(
            Limit.Kind.SPIRIT,
            spiritEvenings(day, spirit.days()),
            spirit.times(),
            spirit.days(),
            person.ownSpirit().isPresent(),
            spiritFineFrom(day, spirit),
            Limit.ESTIMATE));
  }

  /** What must be minded where a product is used on a day; the gravest first. */
  public List<Limit> of(Product product, SlotKind slot, LocalDate day) {
    return of(product, slot, day, List.of());
  }

  /**
   * The same, beside other products.
   *
   * @param together what is left on the same head on the same day
   */
  public List<Limit> of(
      Product product, SlotKind slot, LocalDate day, Collection<Product> together) {
    List<Limit> all = new ArrayList<>();
    unsuited(product, all);
    reacted(product, all);
    age(product, all);
    conditions(product, all);
    essential(product, slot, day, together, all);
    protein(product, day, all);
    spirit(product, day, all);
    sour(product, slot, all);
    ferment(product, slot, all);
    untested(product, day, all);
    stains(product, all);
    irritants(product, all);
    return all.stream().sorted(Comparator.comparing(Limit::weight)).toList();
  }

  /**
   * Where a product goes best on this head.
   *
   * @param slot a place that it serves
   * @param limits that are to be minded there
   */
  public record Suits(SlotKind slot, List<Limit> limits) {
    /** Whether nothing stands against it. */
    public boolean well() {
      return limits.stream().allMatch(limit -> limit.weight() == Limit.Weight.MIND);
    }

    private int gravest() {
      return limits.stream().mapToInt(limit -> limit.weight().ordinal()).min().orElse(9);
    }
  }

  /** Where a product goes best on a day; empty where it serves no place at all. */
  public Optional<Suits> suits(Product product, LocalDate day) {
    return product.purposes().stream()
        .sorted()
        .flatMap(purpose -> SlotKind.of(purpose).stream())
        .distinct()
        .map(slot -> new Suits(slot, of(product, slot, day)))
        .max(Comparator.comparingInt(Suits::gravest));
  }

  private void unsuited(Product product, List<Limit> all) {
    List<Material> struck =
        product.materials().stream()
            .filter(each -> person.unsuited().stream().anyMatch(u -> u.holds(each)))
            .toList();
    if (!struck.isEmpty()) {
      all.add(
          Limit.of(
              Limit.Kind.UNSUITED,
              Limit.Weight.KEEP_OFF,
              names(struck) + ": not on " + person.name() + "'s head.",
              "It was struck on " + person.name() + "'s page.",
              "Use what is made without it.",
              "the household"));
    }
    boolean strikes = !person.unsuited().isEmpty();
    if (!product.unknown().isEmpty()) {
      all.add(
          Limit.of(
              Limit.Kind.NOT_KNOWN,
              strikes ? Limit.Weight.KEEP_OFF : Limit.Weight.MIND,
              "What is in " + Said.and(List.copyOf(product.unknown())) + " is not known here.",
              strikes
                  ? "It may hold what does not suit."
                  : "It was poured in from a brew that is no longer known.",
              strikes ? "Use what is known through and through." : "",
              "the record"));
    }
  }

  private void reacted(Product product, List<Limit> all) {
    person.reactions().stream()
        .filter(each -> each.product().equals(Optional.of(product.formula())))
        .max(Comparator.comparing(Reaction::at))
        .ifPresent(
            each ->
                all.add(
                    Limit.of(
                        Limit.Kind.REACTED,
                        Limit.Weight.KEEP_OFF,
                        Said.of(
                            "%s answered to it before: %s.", person.name(), each.sign().words()),
                        "Skin that answered once often answers again, and sooner.",
                        "Use something without what is suspected.",
                        "the record")));
    List<Material> red =
        product.materials().stream().filter(each -> person.reactedTo(each.id())).toList();
    if (!red.isEmpty()) {
      all.add(
          Limit.of(
              Limit.Kind.REACTED,
              Limit.Weight.KEEP_OFF,
              names(red) + ": the test on the arm came out red.",
              "What reddens an arm reddens a scalp.",
              "Use what is made without it.",
              "the record"));
    }
  }

  private void age(Product product, List<Limit> all) {
    List<Material> kept =
        product.materials().stream().filter(person.age().wearer()::mayNotHave).toList();
    if (!kept.isEmpty()) {
      all.add(
          Limit.of(
              Limit.Kind.AGE,
              Limit.Weight.KEEP_OFF,
              names(kept) + ": not for " + person.age().wearer().words() + ".",
              "Menthol and cineole can stop a small child's breath; only gentle scents below 6.",
              "Make it without scent.",
              "common practice"));
    }
  }

  private void conditions(Product product, List<Limit> all) {
    if (person.conditions().isEmpty() || product.essential().isEmpty()) {
      return;
    }
    String when =
        person.conditions().stream()
            .sorted()
            .map(Condition::when)
            .collect(Collectors.joining(" and "));
    all.add(
        Limit.of(
            Limit.Kind.CONDITION,
            Limit.Weight.OVER,
            "It holds essential oils: not " + when + " unless who treats you says so.",
            "Some of them are strong through skin and breath; which are safe is not for us to say.",
            "Make it without scent.",
            "from memory, the usual cautions of aromatherapy texts"));
  }

  private void essential(
      Product product,
      SlotKind slot,
      LocalDate day,
      Collection<Product> together,
      List<Limit> all) {
    if (product.essential().isEmpty()) {
      return;
    }
    // Of each oil and in all: what is on the hair at once counts together.
    Map<String, Double> onHair = new HashMap<>(product.essential());
    Set<String> counted = new HashSet<>(Set.of(product.formula()));
    boolean others = false;
    if (slot.leftOn()) {
      for (Product other : together) {
        if (counted.add(other.formula())) {
          others |= !other.essential().isEmpty();
          other.essential().forEach((oil, percent) -> onHair.merge(oil, percent, Double::sum));
        }
      }
      for (HeadUse use : leftOn(day)) {
        if (counted.add(use.formula())) {
          others |= !use.essential().isEmpty();
          use.essential().forEach((oil, percent) -> onHair.merge(oil, percent, Double::sum));
        }
      }
    }
    Wearer wearer = person.age().wearer();
    double sum = onHair.values().stream().mapToDouble(Double::doubleValue).sum();
    if (sum > wearer.essentialPercent() * 1.001) {
      all.add(
          Limit.of(
              Limit.Kind.ESSENTIAL_OILS,
              wearer.essentialPercent() == 0 ? Limit.Weight.KEEP_OFF : Limit.Weight.OVER,
              Said.of(
                  "Essential oils make %.2f %%%s; %s bears %.2g %%.",
                  sum,
                  others ? " with what is left on the hair" : "",
                  wearer.words(),
                  wearer.essentialPercent()),
              "Too much of them irritates and can make a skin sensitive for good.",
              others
                  ? "Use it after the next wash, or one without scent."
                  : "Use one without scent.",
              "our house limit"));
    }
    for (Material oil : product.materials()) {
      double percent = onHair.getOrDefault(oil.id(), 0.0);
      double most = oil.value(Property.LIMIT_LEAVE_ON, Double.POSITIVE_INFINITY);
      if (percent > most * 1.001) {
        all.add(
            Limit.of(
                Limit.Kind.ESSENTIAL_OILS,
                Limit.Weight.OVER,
                Said.of("%s makes %.2f %%, over %.2f %%.", oil.name(), percent, most),
                "More of it irritates or sensitises.",
                "Use one with less of it.",
                oil.figure(Property.LIMIT_LEAVE_ON).map(f -> f.source()).orElse("")));
      }
    }
  }

  /** What is still on the hair on a day: left on, and not washed out since. */
  private List<HeadUse> leftOn(LocalDate day) {
    LocalDate washed =
        uses.stream()
            .filter(use -> use.slot() == SlotKind.SHAMPOO || rinsedByWash(use))
            .map(HeadUse::day)
            .filter(d -> d.isBefore(day))
            .max(Comparator.naturalOrder())
            .orElse(LocalDate.MIN);
    return uses.stream()
        .filter(use -> use.slot().leftOn())
        .filter(use -> !use.day().isBefore(washed) && !use.day().isAfter(day))
        .filter(use -> ChronoUnit.DAYS.between(use.day(), day) < LEFT_ON_DAYS)
        .toList();
  }

  /** What is only used with a wash tells that there was one. */
  private static boolean rinsedByWash(HeadUse use) {
    return switch (use.slot()) {
      case PRE_WASH, CONDITION, MASK -> true;
      default -> false;
    };
  }

  private Rate protein(boolean strong) {
    return person
        .ownProtein()
        .orElseGet(
            () ->
                switch (person.hair().porosity()) {
                  case NORMAL -> PROTEIN;
                  case LOW -> PROTEIN_LOW;
                  // Not known counts as the one of the two that bears less often.
                  case HIGH, UNSURE -> strong ? PROTEIN_HIGH : PROTEIN;
                });
  }

  private static double proteinOf(HeadUse use) {
    return use.protein().load();
  }

  private void protein(Product product, LocalDate day, List<Limit> all) {
    double more = product.protein().load();
    if (more == 0) {
      return;
    }
    boolean strong =
        product.protein() == Product.Protein.STRONG
            || uses.stream().anyMatch(use -> use.protein() == Product.Protein.STRONG);
    Rate rate = protein(strong);
    double load = load(day, rate.days(), HeadLimits::proteinOf);
    if (load + more <= rate.times() + 1e-9) {
      return;
    }
    Optional<LocalDate> fine = fineFrom(day, rate, more, HeadLimits::proteinOf);
    boolean own = person.ownProtein().isPresent();
    all.add(
        new Limit(
            Limit.Kind.PROTEIN,
            Limit.Weight.OVER,
            Said.of(
                "Protein counts %s of %s in %d days already; this brings %s more.",
                Said.tenths(load), Said.tenths(rate.times()), rate.days(), Said.tenths(more)),
            "Too often it makes hair stiff and brittle."
                + (person.hair().porosity() == Porosity.UNSURE && !own
                    ? " How porous the hair is is not known: it counts as high."
                    : ""),
            "Something moist instead: a seed gel, a rinse or an oil."
                + fine.map(d -> " Fine again from " + Said.day(d) + ".").orElse(""),
            fine,
            own ? "the household's own figure" : "common practice; schools differ",
            own));
  }

  private Rate spirit() {
    return person.ownSpirit().orElse(person.hair().scalp().delicate() ? SPIRIT_DELICATE : SPIRIT);
  }

  private double spiritEvenings(LocalDate day, int days) {
    return uses.stream()
        .filter(HeadUse::spirit)
        .map(HeadUse::day)
        .filter(within(day, days))
        .distinct()
        .count();
  }

  private Optional<LocalDate> spiritFineFrom(LocalDate day, Rate rate) {
    Set<LocalDate> evenings =
        uses.stream().filter(HeadUse::spirit).map(HeadUse::day).collect(Collectors.toSet());
    for (LocalDate d = day; !d.isAfter(day.plusDays(rate.days())); d = d.plusDays(1)) {
      LocalDate at = d;
      long there = evenings.stream().filter(within(at, rate.days())).count();
      boolean same = evenings.contains(at);
      if (there + (same ? 0 : 1) <= rate.times() + 1e-9) {
        return Optional.of(at);
      }
    }
    return Optional.empty();
  }

  private void spirit(Product product, LocalDate day, List<Limit> all) {
    if (!product.spirituous()) {
      return;
    }
    Rate rate = spirit();
    double load = spiritEvenings(day, rate.days());
    boolean today = uses.stream().anyMatch(use -> use.spirit() && use.day().equals(day));
    if (load + (today ? 0 : 1) <= rate.times() + 1e-9) {
      return;
    }
    Optional<LocalDate> fine = spiritFineFrom(day, rate);
    boolean own = person.ownSpirit().isPresent();
    all.add(
        new Limit(
            Limit.Kind.SPIRIT,
            Limit.Weight.OVER,
            Said.of(
                "Spirit on %s evenings of %d days already, %s at most.",
                Said.tenths(load), rate.days(), Said.tenths(rate.times())),
            "It dries the scalp.",
            "An infusion instead."
                + fine.map(d -> " Fine again from " + Said.day(d) + ".").orElse(""),
            fine,
            own ? "the household's own figure" : Limit.ESTIMATE,
            own));
  }

  private void sour(Product product, SlotKind slot, List<Limit> all) {
    if (!product.ph().exists()) {
      return;
    }
    double ph = product.ph().value();
    double line = slot.leftOn() ? SOUR_LEFT_ON : SOUR_RINSED;
    if (ph < line) {
      all.add(
          Limit.of(
              Limit.Kind.ACID,
              Limit.Weight.OVER,
              Said.of("About pH %.1f: below %.1f.", ph, line),
              slot.leftOn()
                  ? "So sour it is not left on: it stings and roughens."
                  : "So sour it burns even where it is rinsed off.",
              "Thin it with water, or brew it milder.",
              "care of acids, common practice"));
    }
  }

  private static void ferment(Product product, SlotKind slot, List<Limit> all) {
    if (product.ferment() && slot.leftOn()) {
      all.add(
          Limit.of(
              Limit.Kind.FERMENT,
              Limit.Weight.OVER,
              "It is a ferment, and nothing rinses it out here.",
              "At most a day on the hair: after that bacteria, smell and stiffness.",
              "Use it as a rinse, and rinse it out.",
              Limit.PRACTICE));
    }
  }

  /** What has been on this head, or under its test, and was borne. */
  public Set<String> borne(LocalDate day) {
    Set<String> borne = new HashSet<>();
    for (HeadUse use : uses) {
      if (use.day().isBefore(day)) {
        borne.addAll(use.materials());
      }
    }
    person.reactions().forEach(each -> borne.removeAll(each.materials()));
    person.tests().stream()
        .filter(test -> test.result().equals(Optional.of(PatchTest.Result.NOTHING)))
        .forEach(test -> borne.add(test.material()));
    return borne;
  }

  private void untested(Product product, LocalDate day, List<Limit> all) {
    Set<String> borne = borne(day);
    List<Material> untried =
        product.toTry().stream()
            .filter(each -> !borne.contains(each.id()))
            .filter(each -> !person.mustNotHave(each))
            .toList();
    if (untried.isEmpty()) {
      return;
    }
    boolean running =
        untried.stream()
            .allMatch(each -> person.latest(each.id()).filter(PatchTest::isOpen).isPresent());
    all.add(
        Limit.of(
            Limit.Kind.NEW_INGREDIENT,
            Limit.Weight.MIND,
            names(untried) + ": new on " + person.name() + "'s head.",
            "What is new to a skin may redden it.",
            running
                ? "The test on the arm is under way: wait for it."
                : "First a little on the inner arm, for 48 hours.",
            "common dermatology advice, from memory"));
  }

  private void stains(Product product, List<Limit> all) {
    List<Material> staining = product.materials().stream().filter(Virtue.STAINS::of).toList();
    if (person.hair().light() && !staining.isEmpty()) {
      all.add(
          Limit.of(
              Limit.Kind.STAINS,
              Limit.Weight.MIND,
              names(staining) + ": seen on light, grey or coloured hair.",
              "Its colour stays on the hair, on towels and in grout.",
              "Brew it at half strength, or try one strand first.",
              Limit.PRACTICE));
    }
  }

  private void irritants(Product product, List<Limit> all) {
    List<Material> sharp =
        product.materials().stream()
            .filter(each -> Virtue.IRRITANT.of(each) || Virtue.STRONG_BUD.of(each))
            .toList();
    boolean sour = product.ph().exists() && product.ph().value() < 4;
    if (sharp.isEmpty() && !product.spirituous() && !sour) {
      return;
    }
    String what =
        !sharp.isEmpty() ? names(sharp) : product.spirituous() ? "Spirit" : "So much acid";
    all.add(
        Limit.of(
            Limit.Kind.IRRITANT,
            Limit.Weight.MIND,
            what + ": not on sores or a freshly scratched scalp.",
            "It smarts and irritates broken skin.",
            "",
            Limit.PRACTICE));
  }

  /** How long a product may stay on for what irritates in it, min; infinite where nothing does. */
  static double longestOn(Product product) {
    return product.holds(Virtue.IRRITANT)
        ? IRRITANT_MIN
        : product.holds(Virtue.STRONG_BUD) ? BUDS_MIN : Double.POSITIVE_INFINITY;
  }

  private double load(LocalDate day, int days, ToDoubleFunction<HeadUse> of) {
    Predicate<LocalDate> counts = within(day, days);
    return uses.stream().filter(use -> counts.test(use.day())).mapToDouble(of).sum();
  }

  /** The first day on which so much more is within a rate; empty for never. */
  private Optional<LocalDate> fineFrom(
      LocalDate day, Rate rate, double more, ToDoubleFunction<HeadUse> of) {
    LocalDate last = day.plusDays(rate.days());
    for (LocalDate d = day; !d.isAfter(last); d = d.plusDays(1)) {
      if (load(d, rate.days(), of) + more <= rate.times() + 1e-9) {
        return Optional.of(d);
      }
    }
    return Optional.empty();
  }

  /** Days that count on a day: it and those before it, so many in all. */
  private static Predicate<LocalDate> within(LocalDate day, int days) {
    LocalDate first = day.minusDays(days - 1L);
    return each -> !each.isBefore(first) && !each.isAfter(day);
  }

  private static String names(List<Material> materials) {
    // "Sage leaf, dried" is sage leaf on a head.
    List<String> names =
        materials.stream().map(m -> m.name().split(",", 2)[0]).distinct().limit(3).toList();
    int more =
        (int) materials.stream().map(m -> m.name().split(",", 2)[0]).distinct().count()
            - names.size();
    return more > 0 ? String.join(", ", names) + " and " + more + " more" : Said.and(names);
  }
}
