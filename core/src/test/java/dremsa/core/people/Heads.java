package dremsa.core.people;

import dremsa.core.Kitchens;
import dremsa.core.brew.Prediction;
import dremsa.core.scale.Dose;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** People and products for the tests. */
public final class Heads {
  static final LocalDate SUNDAY = LocalDate.parse("2026-03-08");

  static final Hair NORMAL =
      new Hair(
          OptionalDouble.of(35),
          OptionalDouble.of(28),
          Optional.empty(),
          Dose.Density.USUAL,
          Hair.Strand.MEDIUM,
          Porosity.NORMAL,
          Hair.Pattern.CURLY,
          Hair.Scalp.ORDINARY,
          false);

  private Heads() {}

  static Person person(String name, AgeBand age, Hair hair) {
    return new Person(
        name.toLowerCase(java.util.Locale.ROOT),
        name,
        age,
        hair,
        Worn.LOOSE,
        Set.of(),
        List.of(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        List.of());
  }

  static Person adult() {
    return person("Ada", AgeBand.ADULT, NORMAL);
  }

  static Hair hair(Porosity porosity, Hair.Scalp scalp, boolean light) {
    return new Hair(
        NORMAL.stretchedCm(),
        NORMAL.unstretchedCm(),
        Optional.empty(),
        Dose.Density.USUAL,
        Hair.Strand.MEDIUM,
        porosity,
        Hair.Pattern.CURLY,
        scalp,
        light);
  }

  static Person striking(Person person, Unsuited... unsuited) {
    return new Person(
        person.id(),
        person.name(),
        person.age(),
        person.hair(),
        person.worn(),
        person.conditions(),
        List.of(unsuited),
        person.ownProtein(),
        person.ownSpirit(),
        person.tests(),
        person.reactions());
  }

  static Person with(Person person, List<PatchTest> tests, List<Reaction> reactions) {
    return new Person(
        person.id(),
        person.name(),
        person.age(),
        person.hair(),
        person.worn(),
        person.conditions(),
        person.unsuited(),
        person.ownProtein(),
        person.ownSpirit(),
        tests,
        reactions);
  }

  static Person being(Person person, Set<Condition> conditions, Optional<Rate> ownProtein) {
    return new Person(
        person.id(),
        person.name(),
        person.age(),
        person.hair(),
        person.worn(),
        conditions,
        person.unsuited(),
        ownProtein,
        person.ownSpirit(),
        person.tests(),
        person.reactions());
  }

  /** A built-in brew as it comes out of the usual kitchen. */
  public static Product product(String formula) {
    Prediction prediction = Kitchens.predicted(formula, 250);
    return Product.of(
        Kitchens.builtIn(formula), prediction, prediction.contents(), id -> Optional.empty());
  }

  static HeadUse use(Product product, SlotKind slot, LocalDate day, double millilitres) {
    Instant at = day.atTime(LocalTime.of(19, 0)).toInstant(ZoneOffset.UTC);
    return HeadUse.of(product, slot, at, day, millilitres, OptionalDouble.empty());
  }
}
