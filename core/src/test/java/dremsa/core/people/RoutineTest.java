package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.formula.Purpose;
import dremsa.core.material.Materials;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Routines to begin with, places and what is liked there, and what belongs to a family. */
class RoutineTest {
  private static final LocalDate TUESDAY = LocalDate.parse("2026-03-10");

  private static Person curly(Worn worn) {
    Person ada = Heads.adult();
    return new Person(
        ada.id(),
        ada.name(),
        ada.age(),
        ada.hair(),
        worn,
        ada.conditions(),
        ada.unsuited(),
        ada.ownProtein(),
        ada.ownSpirit(),
        ada.tests(),
        ada.reactions());
  }

  private static List<String> said(Routine routine) {
    return routine.occasions().stream()
        .map(each -> each.name() + ": " + each.words(routine.occasions()))
        .toList();
  }

  /** Common practice: curls are wetted midweek, hair that is up is washed more rarely. */
  @Test
  void theRoutineToBeginWithGoesByTheHair() {
    assertThat(said(Routine.usual(curly(Worn.LOOSE), TUESDAY)))
        .containsExactly("Wash day: Sundays", "Midweek: Wednesdays");
    Worn up =
        new Worn(Worn.Style.CORNROWS, Optional.empty(), Optional.of(LocalDate.parse("2026-03-28")));
    assertThat(said(Routine.usual(curly(up), TUESDAY)))
        .containsExactly(
            "Wash day: every second Sunday",
            "Between the braids: Wednesdays, till Sat 28 Mar 2026");
    Person plain = Heads.person("Bo", AgeBand.ADULT, Hair.UNKNOWN);
    assertThat(said(Routine.usual(plain, TUESDAY))).containsExactly("Wash day: Sundays");
  }

  @Test
  void itBeginsOnTheNextSundayAndTodayWhereThatIsOne() {
    for (LocalDate day : List.of(TUESDAY, LocalDate.parse("2026-03-15"))) {
      Routine routine = Routine.usual(Heads.adult(), day);
      assertThat(Due.between(routine, List.of(), day, day, day.plusDays(6)).get(0).day())
          .isIn(LocalDate.parse("2026-03-15"), LocalDate.parse("2026-03-11"));
      assertThat(((Repeat.ByRule) routine.occasions().get(0).repeat()).first())
          .isEqualTo(LocalDate.parse("2026-03-15"));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "LOOSE,2026-03-10,false",
    "PLAITS,2026-03-04,false",
    "PLAITS,2026-03-05,true",
    "PLAITS,2026-03-19,true",
    "PLAITS,2026-03-20,false"
  })
  void hairIsUpFromTheDayItWasPutUpToTheDayBeforeItComesDown(
      Worn.Style style, LocalDate day, boolean up) {
    Worn worn =
        new Worn(
            style,
            Optional.of(LocalDate.parse("2026-03-05")),
            Optional.of(LocalDate.parse("2026-03-20")));
    assertThat(worn.upOn(day)).isEqualTo(up);
  }

  @Test
  void itComesDownAfterItWasPutUp() {
    assertThatThrownBy(
            () ->
                new Worn(
                    Worn.Style.TWISTS, Optional.of(TUESDAY), Optional.of(TUESDAY.minusDays(1))))
        .isInstanceOf(InvalidPersonException.class)
        .extracting(e -> ((InvalidPersonException) e).field())
        .isEqualTo("takeDown");
  }

  private static Occasion occasion(String key, Repeat repeat) {
    return new Occasion(
        key,
        Occasion.Kind.WASH_DAY,
        "Wash day",
        repeat,
        LocalTime.NOON,
        List.of(Slot.of(SlotKind.RINSE)));
  }

  @Test
  void aRoutineHangsTogether() {
    Repeat sundays = new Repeat.ByRule(TUESDAY, "FREQ=WEEKLY;BYDAY=SU", Optional.empty());
    Repeat with = new Repeat.With("wash", 2, TUESDAY);
    assertThatThrownBy(() -> new Routine(List.of(occasion("a", sundays), occasion("a", sundays))))
        .hasMessageContaining("twice");
    assertThatThrownBy(() -> new Routine(List.of(occasion("a", with))))
        .extracting(e -> ((InvalidPersonException) e).field())
        .isEqualTo("occasions[0].repeat.occasion");
    assertThatThrownBy(
            () ->
                new Routine(
                    List.of(
                        occasion("wash", new Repeat.With("b", 1, TUESDAY)), occasion("b", with))))
        .as("nothing follows itself in a ring")
        .isInstanceOf(InvalidPersonException.class);
    assertThatThrownBy(() -> new Repeat.With("wash", 0, TUESDAY))
        .isInstanceOf(InvalidPersonException.class);
    assertThat(new Routine(List.of(occasion("wash", sundays), occasion("b", with))).occasion("b"))
        .isPresent();
  }

  @Test
  void whatIsLikedFirstCountsBeforeWhatIsLikedLess() {
    Product gel = Heads.product("linseed-gel");
    Product spray = Heads.product("lemon-balm-spray");
    Slot liked =
        new Slot(
            SlotKind.STYLER,
            List.of(
                new Slot.Choice.Bought("foam"),
                new Slot.Choice.Brewed("linseed-gel"),
                new Slot.Choice.For(Purpose.LEAVE_IN)));
    assertThat(liked.liking(gel)).isEqualTo(1);
    assertThat(liked.liking(spray)).isEqualTo(2);
    assertThat(Slot.of(SlotKind.STYLER).liking(gel)).isZero();
    assertThat(Slot.of(SlotKind.STYLER).liking(spray)).isEqualTo(-1);
    assertThat(Slot.of(SlotKind.SHAMPOO).liking(gel)).isEqualTo(-1);
    assertThat(liked.bought()).contains("foam");
  }

  /** In doubt a material belongs to a family. */
  @ParameterizedTest
  @CsvSource({
    "almond-oil,NUT_OILS,true",
    "coconut-oil,NUT_OILS,true",
    "sunflower-oil,NUT_OILS,false",
    "rice,GRAIN,true",
    "oats,GRAIN,true",
    "aloe-juice,ALOE,true",
    "aloe-leaf,ALOE,true",
    "chamomile,DAISIES,true",
    "spirit-40,SPIRIT,true",
    "lavender-essential,SCENTS,true",
    "fragrance,SCENTS,true",
    "linseed,SEEDS,true",
    "carrageen,SEAWEED,true",
    "onion-juice,ONIONS,true",
    "sage,MINTS,true",
    "nettle-leaf,MINTS,false"
  })
  void materialsBelongToTheirFamilies(String material, Family family, boolean belongs) {
    assertThat(family.holds(Materials.standard().get(material))).isEqualTo(belongs);
  }

  @Test
  void everyFamilyHoldsSomethingOfTheCatalogue() {
    Materials catalogue = Materials.standard();
    for (Family family : Family.values()) {
      assertThat(catalogue.all()).as(family.words()).anyMatch(family::holds);
    }
  }

  /** Common practice; the windows of the handbook of methods. */
  @ParameterizedTest
  @CsvSource({
    "PRE_WASH,linseed-gel,15,30,180",
    "MASK,amla-paste,20,30,45",
    "RINSE,fennel-seed-rinse,2,5,15",
    "RINSE,rice-water,10,15,20",
    "CONDITION,linseed-conditioner,3,5,15",
    "SCALP,ginger-scalp-juice,30,45,60"
  })
  void aProductStaysOnAsLongAsMakersLeaveIt(
      SlotKind slot, String formula, double least, double usual, double most) {
    Contact contact = Contact.of(slot, Heads.product(formula)).orElseThrow();
    assertThat(contact.least()).isEqualTo(least);
    assertThat(contact.usual()).isEqualTo(usual);
    assertThat(contact.most()).isEqualTo(most);
  }

  @Test
  void whatStaysOnHasNoWindow() {
    Product spray = Heads.product("lemon-balm-spray");
    for (SlotKind kind :
        List.of(
            SlotKind.LEAVE_IN,
            SlotKind.BETWEEN_BRAIDS,
            SlotKind.SEAL,
            SlotKind.SCALP_OIL,
            SlotKind.CREAM,
            SlotKind.STYLER)) {
      assertThat(Contact.of(kind, spray)).as(kind.words()).isEmpty();
      assertThat(kind.leftOn()).isTrue();
    }
  }

  @Test
  void everyPurposeHasAPlaceOnAHead() {
    for (Purpose purpose : Purpose.values()) {
      assertThat(SlotKind.of(purpose)).as(purpose.words()).isPresent();
      assertThat(SlotKind.of(purpose).orElseThrow().dose()).as(purpose.words()).isPresent();
    }
  }

  @Test
  void aBrewSaysWhatItIsToAHead() {
    assertThat(Heads.product("rice-water").protein()).isEqualTo(Product.Protein.MILD);
    assertThat(Heads.product("oat-cream").protein()).isEqualTo(Product.Protein.STRONG);
    assertThat(Heads.product("linseed-gel").protein()).isEqualTo(Product.Protein.NONE);
    assertThat(Heads.product("barley-ferment").ferment()).isTrue();
    assertThat(Heads.product("lemon-balm-spray").toTry())
        .extracting(m -> m.id())
        .contains("lemon-balm")
        .doesNotContain("water");
  }

  @Test
  void whoWouldUseABrewIsAskedByTheDays() {
    Routine routine = Routine.usual(Heads.adult(), TUESDAY);
    Ahead.Head ada = new Ahead.Head(Heads.adult(), routine, List.of(), List.of());
    Person struck = Heads.striking(Heads.adult(), new Unsuited.One("linseed"));
    Product gel = Heads.product("linseed-gel");
    List<Wanting> wanted = Wanting.of(gel, List.of(ada), TUESDAY, TUESDAY.plusDays(13));
    assertThat(wanted)
        .extracting(each -> each.day() + " " + each.slot() + " " + Math.round(each.millilitres()))
        .containsExactlyInAnyOrder(
            "2026-03-15 PRE_WASH 50",
            "2026-03-15 STYLER 50",
            "2026-03-22 PRE_WASH 50",
            "2026-03-22 STYLER 50");
    assertThat(
            Wanting.of(
                gel,
                List.of(new Ahead.Head(struck, routine, List.of(), List.of())),
                TUESDAY,
                TUESDAY.plusDays(13)))
        .isEmpty();
  }

  @Test
  void aPersonIsHeldToWhatCanBe() {
    assertThatThrownBy(() -> Heads.person(" ", AgeBand.ADULT, Hair.UNKNOWN))
        .isInstanceOf(InvalidPersonException.class);
    assertThatThrownBy(() -> new Rate(-1, 7)).isInstanceOf(InvalidPersonException.class);
    assertThatThrownBy(() -> new Rate(1, 0)).isInstanceOf(InvalidPersonException.class);
    assertThatThrownBy(() -> new Slot.Choice.Bought(" "))
        .isInstanceOf(InvalidPersonException.class);
    assertThatThrownBy(
            () ->
                InvalidPersonException.below(
                    "hair",
                    () -> {
                      throw new InvalidPersonException("light", "No.");
                    }))
        .extracting(e -> ((InvalidPersonException) e).field())
        .isEqualTo("hair.light");
    assertThat(Set.of(Hair.Reach.values())).hasSize(5);
  }
}
