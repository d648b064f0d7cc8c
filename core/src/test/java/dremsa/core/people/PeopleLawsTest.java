package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.scale.Dose;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What holds for any hair, any uses and any days. */
class PeopleLawsTest {
  private static final LocalDate DAY = Heads.SUNDAY;
  private static final int MANY = 200;

  private static Hair hair(double cm, Dose.Density density, Hair.Pattern pattern) {
    return new Hair(
        OptionalDouble.of(cm),
        OptionalDouble.empty(),
        Optional.empty(),
        density,
        Hair.Strand.MEDIUM,
        Porosity.NORMAL,
        pattern,
        Hair.Scalp.ORDINARY,
        false);
  }

  private static double dose(Hair hair, SlotKind slot, List<HeadUse> uses) {
    return Dosing.of(Heads.person("A", AgeBand.ADULT, hair), slot, uses).millilitres().value();
  }

  @ParameterizedTest
  @EnumSource(SlotKind.class)
  void longerAndThickerHairNeverTakesLess(SlotKind slot) {
    if (slot.dose().isEmpty()) {
      assertThat(slot.purposes()).as("nothing of ours is used there").isEmpty();
      return;
    }
    double before = 0;
    for (double cm = 1; cm < 120; cm += 4) {
      double now = dose(hair(cm, Dose.Density.USUAL, Hair.Pattern.CURLY), slot, List.of());
      assertThat(now).isGreaterThanOrEqualTo(before);
      assertThat(dose(hair(cm, Dose.Density.DENSE, Hair.Pattern.CURLY), slot, List.of()))
          .isGreaterThanOrEqualTo(now);
      before = now;
    }
  }

  @Test
  void aDoseLiesBetweenTheRuleAndWhatIsUsed() {
    Random dice = new Random(23);
    Product gel = Heads.product("linseed-gel");
    for (int round = 0; round < MANY; round++) {
      Hair hair = hair(1 + dice.nextInt(90), Dose.Density.USUAL, Hair.Pattern.WAVY);
      List<HeadUse> uses = new ArrayList<>();
      double least = Double.POSITIVE_INFINITY;
      double most = 0;
      for (int i = 0; i < 1 + dice.nextInt(5); i++) {
        double ml = 5 + dice.nextInt(200);
        least = Math.min(least, ml);
        most = Math.max(most, ml);
        uses.add(Heads.use(gel, SlotKind.STYLER, DAY.minusDays(dice.nextInt(60)), ml));
      }
      double rule = dose(hair, SlotKind.STYLER, List.of());
      assertThat(dose(hair, SlotKind.STYLER, uses))
          .isBetween(Math.min(rule, least) - 1e-9, Math.max(rule, most) + 1e-9);
    }
  }

  @Test
  void aDayOnWhichItIsFineIsFineAndTheDayBeforeIsNot() {
    Random dice = new Random(29);
    Product ferment = Heads.product("barley-ferment");
    Product rice = Heads.product("rice-water");
    for (int round = 0; round < MANY; round++) {
      List<HeadUse> uses = new ArrayList<>();
      for (int i = 0; i < dice.nextInt(6); i++) {
        Product product = dice.nextBoolean() ? ferment : rice;
        uses.add(Heads.use(product, SlotKind.RINSE, DAY.minusDays(dice.nextInt(30)), 100));
      }
      Person person =
          Heads.person(
              "A",
              AgeBand.ADULT,
              Heads.hair(Porosity.values()[dice.nextInt(4)], Hair.Scalp.ORDINARY, false));
      HeadLimits limits = HeadLimits.of(person, uses);
      Optional<Limit> over = protein(limits.of(ferment, SlotKind.RINSE, DAY));
      if (over.isPresent()) {
        LocalDate fine = over.get().fineFrom().orElseThrow();
        assertThat(fine).isAfter(DAY);
        assertThat(protein(limits.of(ferment, SlotKind.RINSE, fine))).isEmpty();
        assertThat(protein(limits.of(ferment, SlotKind.RINSE, fine.minusDays(1)))).isPresent();
      }
      // One use more never makes it fine sooner.
      List<HeadUse> more = new ArrayList<>(uses);
      more.add(Heads.use(ferment, SlotKind.RINSE, DAY.minusDays(1), 100));
      if (over.isPresent()) {
        assertThat(protein(HeadLimits.of(person, more).of(ferment, SlotKind.RINSE, DAY)))
            .isPresent();
      }
    }
  }

  private static Optional<Limit> protein(List<Limit> limits) {
    return limits.stream().filter(limit -> limit.kind() == Limit.Kind.PROTEIN).findFirst();
  }

  @Test
  void moreOfItWarmsAndThawsLonger() {
    double warms = 0;
    double thaws = 0;
    for (double ml = 10; ml < 2000; ml *= 1.5) {
      double minutes = Warming.minutes(Kitchens.METRIC, 5, ml);
      double hours = Warming.thawHours(Kitchens.METRIC, ml);
      assertThat(minutes).isGreaterThan(warms);
      assertThat(hours).isGreaterThan(thaws);
      assertThat(Warming.minutes(Kitchens.METRIC, 20, ml)).isLessThan(minutes);
      warms = minutes;
      thaws = hours;
    }
    // Eight times as much in the same shape takes twice as long.
    assertThat(Warming.minutes(Kitchens.METRIC, 5, 800))
        .isCloseTo(2 * Warming.minutes(Kitchens.METRIC, 5, 100), within(1e-6));
  }

  /** Every day of a rule is told once, whatever was moved, left out or done. */
  @Test
  void noDayIsLostAndNoneIsToldTwice() {
    Random dice = new Random(41);
    Occasion occasion =
        new Occasion(
            "wash",
            Occasion.Kind.WASH_DAY,
            "Wash day",
            new Repeat.ByRule(DAY, "FREQ=DAILY;INTERVAL=3", Optional.empty()),
            LocalTime.NOON,
            List.of(Slot.of(SlotKind.RINSE)));
    Routine routine = new Routine(List.of(occasion));
    List<LocalDate> days = occasion.repeat().between(DAY, DAY.plusDays(30), List.of());
    for (int round = 0; round < MANY; round++) {
      List<Due.Said> said = new ArrayList<>();
      for (LocalDate day : days) {
        switch (dice.nextInt(5)) {
          case 0 -> said.add(new Due.Said("wash", day, Optional.empty(), false));
          case 1 -> said.add(new Due.Said("wash", day, Optional.of(day.plusDays(1)), false));
          case 2 -> said.add(new Due.Said("wash", day, Optional.of(day), true));
          default -> {
            // Nobody said anything.
          }
        }
      }
      LocalDate today = DAY.plusDays(dice.nextInt(35));
      List<LocalDate> told =
          Due.between(routine, said, today, DAY.minusDays(5), DAY.plusDays(60)).stream()
              .map(Due::planned)
              .filter(day -> !day.isAfter(DAY.plusDays(30)))
              .toList();
      assertThat(told).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(days);
    }
  }

  @ParameterizedTest
  @EnumSource(Hair.Pattern.class)
  void everyStepSaysWhatToDo(Hair.Pattern pattern) {
    Person person = Heads.person("A", AgeBand.ADULT, hair(50, Dose.Density.DENSE, pattern));
    for (SlotKind kind : SlotKind.values()) {
      Sheet.Place place =
          new Sheet.Place(
              kind,
              Optional.empty(),
              List.of(),
              Optional.empty(),
              List.of(),
              List.of(),
              Optional.of("something bought"),
              false,
              "",
              0);
      List<WashStep> steps = WashStep.of(person, List.of(place));
      assertThat(steps).hasSize(1);
      assertThat(steps.get(0).words()).endsWith(".").doesNotContain("  ");
      assertThat(steps.get(0).hands()).isGreaterThan(0);
    }
  }
}
