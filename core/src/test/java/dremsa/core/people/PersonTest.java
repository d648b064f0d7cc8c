package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.kitchen.Parameter;
import dremsa.core.scale.Dose;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is known of somebody's hair, and what follows for a dose. */
class PersonTest {
  private static final LocalDate TODAY = LocalDate.parse("2026-03-08");

  @Test
  void shrinkageIsArithmetic() {
    // 28 of 35 cm: a fifth is lost to the curl.
    assertThat(Heads.NORMAL.shrinkage().getAsDouble()).isCloseTo(0.2, within(1e-12));
    assertThat(Hair.UNKNOWN.shrinkage()).isEmpty();
    assertThatThrownBy(
            () ->
                new Hair(
                    OptionalDouble.of(20),
                    OptionalDouble.of(21),
                    Optional.empty(),
                    Dose.Density.USUAL,
                    Hair.Strand.FINE,
                    Porosity.LOW,
                    Hair.Pattern.WAVY,
                    Hair.Scalp.OILY,
                    false))
        .isInstanceOf(InvalidPersonException.class);
  }

  /** Nobody says on which day: who may still be five counts as five. */
  @ParameterizedTest
  @CsvSource({
    "2026,UNDER_3",
    "2023,UNDER_3",
    "2022,FROM_3",
    "2020,FROM_3",
    "2019,FROM_6",
    "2008,FROM_13",
    "2007,ADULT",
    "1901,ADULT"
  })
  void aYearOfBirthCountsAsTheYoungerAge(int born, AgeBand band) {
    assertThat(AgeBand.of(born, TODAY)).isEqualTo(band);
  }

  @Test
  void nobodyIsTwoHundredYearsOld() {
    assertThatThrownBy(() -> AgeBand.of(1826, TODAY)).hasMessageContaining("200 years");
    assertThatThrownBy(() -> AgeBand.of(2027, TODAY)).hasMessageContaining("to come");
  }

  /** Common practice: two of three answers agree, else it stays open. */
  @ParameterizedTest
  @CsvSource({
    "BEADS_STAY,OVER_6_H,SIT_ON_TOP,LOW",
    "BEADS_STAY,BETWEEN,SIT_ON_TOP,LOW",
    "SOAKS_AT_ONCE,UNDER_2_H,SINK_IN,HIGH",
    "SOAKS_SLOWLY,BETWEEN,VANISH,NORMAL",
    "BEADS_STAY,BETWEEN,VANISH,UNSURE",
    "BEADS_STAY,,,UNSURE",
    ",,,UNSURE"
  })
  void threeAnswersVote(
      Porosity.Spray spray, Porosity.Drying drying, Porosity.Products products, Porosity says) {
    assertThat(
            Porosity.vote(
                Optional.ofNullable(spray),
                Optional.ofNullable(drying),
                Optional.ofNullable(products)))
        .isEqualTo(says);
  }

  @Test
  void aDoseGoesByTheHairUntilItIsKnown() {
    Person ada = Heads.adult();
    Product gel = Heads.product("linseed-gel");
    // 35 cm is medium hair: 50 mL of gel.
    assertThat(Dosing.of(ada, SlotKind.STYLER, List.of()).millilitres().value()).isEqualTo(50);
    // One use of 90 mL against the weight of three uses: (90 + 3 · 50) / 4.
    List<HeadUse> one = List.of(Heads.use(gel, SlotKind.STYLER, TODAY, 90));
    assertThat(Dosing.of(ada, SlotKind.STYLER, one).millilitres().value()).isEqualTo(60);
    // The last five of six, 80 90 90 100 110, and never the first: (5 · 90 + 3 · 50) / 8.
    List<HeadUse> many =
        List.of(
            Heads.use(gel, SlotKind.STYLER, TODAY.plusDays(3), 100),
            Heads.use(gel, SlotKind.STYLER, TODAY, 10),
            Heads.use(gel, SlotKind.STYLER, TODAY.plusDays(1), 90),
            Heads.use(gel, SlotKind.STYLER, TODAY.plusDays(2), 80),
            Heads.use(gel, SlotKind.STYLER, TODAY.plusDays(4), 110),
            Heads.use(gel, SlotKind.STYLER, TODAY.plusDays(5), 90),
            Heads.use(gel, SlotKind.PRE_WASH, TODAY.plusDays(6), 300));
    Dosing learnt = Dosing.of(ada, SlotKind.STYLER, many);
    assertThat(learnt.millilitres().value()).isEqualTo(75);
    assertThat(learnt.words()).contains("90 mL").contains("5 times");
    // What was bought and used without an amount says nothing.
    List<HeadUse> bought = List.of(Heads.use(gel, SlotKind.STYLER, TODAY, 0));
    assertThat(Dosing.of(ada, SlotKind.STYLER, bought))
        .isEqualTo(Dosing.of(ada, SlotKind.STYLER, List.of()));
    Person unknown = Heads.person("Bo", AgeBand.ADULT, Hair.UNKNOWN);
    assertThat(Dosing.of(unknown, SlotKind.STYLER, List.of()).millilitres().value())
        .as("the smaller dose")
        .isEqualTo(20);
  }

  @Test
  void aBottleWarmsByTheModelsOwnLaw() {
    // Newton: from 5 to 35 °C in water of 45 °C is ln 4 time constants; of a 100 mL bottle, half as
    // tall again as wide, 4.39 cm wide, with 121 cm² of wall and 80 W/(m² K): 431 s each.
    double wall = Kitchens.METRIC.parameters().value(Parameter.ICE_BATH_LOSS);
    assertThat(wall).isEqualTo(80);
    double minutes = Warming.minutes(Kitchens.METRIC, 5, 100);
    assertThat(minutes).isCloseTo(Math.log(4) * 431 / 60, within(0.1));
    assertThat(Warming.minutes(Kitchens.METRIC, 36, 100)).isZero();
  }

  @Test
  void aFrozenPortionIsTakenOutTheEveningBeforeOrEarlier() {
    ZoneId zone = ZoneId.of("Europe/Dublin");
    Instant ten = Instant.parse("2026-03-08T10:00:00Z");
    // 333.6 J/g through 54 cm² of a 30 mL cube's own tray at 8 W/(m² K) and 5 °C: 12.8 h.
    assertThat(Warming.thawHours(Kitchens.METRIC, 30)).isCloseTo(12.8, within(0.2));
    assertThat(Warming.thawFrom(Kitchens.METRIC, 30, ten, zone))
        .isEqualTo(Instant.parse("2026-03-07T20:00:00Z"));
    assertThat(Warming.thawFrom(Kitchens.METRIC, 200, ten, zone))
        .isBefore(Instant.parse("2026-03-07T12:00:00Z"));
  }

  @Test
  void aTimeOnTheHairIsShorterForWhatIrritates() {
    assertThat(Contact.of(SlotKind.PRE_WASH, Heads.product("linseed-gel")).orElseThrow().most())
        .isEqualTo(180);
    Product onion = Heads.product("ginger-scalp-juice");
    assertThat(Contact.of(SlotKind.PRE_WASH, onion).orElseThrow().most()).isEqualTo(60);
    assertThat(Contact.of(SlotKind.STYLER, onion)).isEmpty();
  }

  @Test
  void whatAReactionSharesWithAnEarlierOneIsSuspectedFirst() {
    Reaction before =
        new Reaction(
            Instant.parse("2026-01-01T10:00:00Z"),
            Optional.of("x"),
            "X",
            Set.of("thyme", "sage"),
            Reaction.Sign.BURNING);
    Reaction now =
        new Reaction(
            Instant.parse("2026-03-01T10:00:00Z"),
            Optional.of("y"),
            "Y",
            Set.of("birch-leaf", "linseed", "thyme"),
            Reaction.Sign.IRRITATION);
    assertThat(now.suspects(List.of(before, now), Set.of("linseed")))
        .extracting(Reaction.Suspect::material)
        .containsExactly("thyme", "birch-leaf");
  }
}
