package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.Purpose;
import dremsa.core.plan.Need;
import dremsa.core.plan.Needs;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What heads need of a plan. */
class NeedsOfHeadsTest {
  private static final LocalDate SUNDAY = Heads.SUNDAY;
  private static final Product GEL = Heads.product("linseed-gel");
  private static final Product RICE = Heads.product("rice-water");
  private static final Product FERMENT = Heads.product("barley-ferment");
  private static final Product RINSE = Heads.product("fennel-seed-rinse");

  private static Ahead.Head head(Person person, String rule, Slot... slots) {
    Occasion wash =
        new Occasion(
            "wash",
            Occasion.Kind.WASH_DAY,
            "Wash day",
            new Repeat.ByRule(SUNDAY, rule, Optional.empty()),
            LocalTime.of(10, 0),
            List.of(slots));
    return new Ahead.Head(person, new Routine(List.of(wash)), List.of(), List.of());
  }

  private static List<Need> of(Ahead.Head head, Product... products) {
    return Needs.of(List.of(head), List.of(products), SUNDAY, SUNDAY.plusDays(20));
  }

  @Test
  void everyOpenDayNeedsItsDose() {
    List<Need> needs = of(head(Heads.adult(), "FREQ=WEEKLY", Slot.of(SlotKind.STYLER)), GEL, RINSE);

    assertThat(needs.stream().map(Need::day))
        .containsExactly(SUNDAY, SUNDAY.plusDays(7), SUNDAY.plusDays(14));
    assertThat(needs).allMatch(need -> need.millilitres() == 50 && need.elastic());
    assertThat(needs.get(0).words()).isEqualTo("Ada's wash day (styler)");
    assertThat(needs.get(0).accepted().stream().map(Need.Accepted::formula))
        .containsExactly("linseed-gel");
  }

  @Test
  void whatIsPlannedCountsTowardsTheLimits() {
    // Much protein is borne once in seven days: every third day something else is taken.
    List<Need> needs =
        of(
            head(
                Heads.adult(),
                "FREQ=DAILY;INTERVAL=3",
                new Slot(
                    SlotKind.RINSE,
                    List.of(
                        new Slot.Choice.Brewed("barley-ferment"),
                        new Slot.Choice.Brewed("fennel-seed-rinse")))),
            FERMENT,
            RINSE);

    assertThat(needs.get(0).accepted().get(0).formula())
        .isIn("barley-ferment", "fennel-seed-rinse");
    long ferments =
        needs.stream()
            .filter(need -> need.accepted().get(0).formula().equals("barley-ferment"))
            .count();
    assertThat(ferments).isLessThanOrEqualTo(3);
    assertThat(needs).hasSize(7);
  }

  @Test
  void whatIsBoughtBeforeItIsNotBrewedFor() {
    Slot bought =
        new Slot(
            SlotKind.STYLER,
            List.of(new Slot.Choice.Bought("a gel"), new Slot.Choice.For(Purpose.STYLER)));
    assertThat(of(head(Heads.adult(), "FREQ=WEEKLY", bought), GEL)).isEmpty();
    assertThat(of(head(Heads.adult(), "FREQ=WEEKLY", Slot.of(SlotKind.SHAMPOO)), GEL)).isEmpty();
  }

  @Test
  void whatNobodyCanMakeIsNeededAllTheSame() {
    Slot slot = new Slot(SlotKind.STYLER, List.of(new Slot.Choice.Brewed("gone")));
    List<Need> needs = of(head(Heads.adult(), "FREQ=WEEKLY", slot), GEL);
    assertThat(needs).hasSize(3).allMatch(need -> need.accepted().isEmpty());
  }

  @Test
  void whatDoesNotSuitIsNotBrewedFor() {
    Person struck = Heads.striking(Heads.adult(), new Unsuited.All(Family.GRAIN));
    List<Need> needs =
        of(
            head(
                struck,
                "FREQ=WEEKLY",
                new Slot(SlotKind.RINSE, List.of(new Slot.Choice.Brewed("rice-water")))),
            RICE);
    assertThat(needs).isEmpty();
  }
}
