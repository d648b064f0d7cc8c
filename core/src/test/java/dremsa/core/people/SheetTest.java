package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.scale.Dose;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A wash day, worked out. */
class SheetTest {
  private static final LocalDate DAY = Heads.SUNDAY;
  private static final Instant NOW = Instant.parse("2026-03-07T09:00:00Z");
  private static final Instant TEN = Instant.parse("2026-03-08T10:00:00Z");
  private static final Product GEL = Heads.product("linseed-gel");
  private static final Product SPRAY = Heads.product("lemon-balm-spray");
  private static final Product RINSE = Heads.product("fennel-seed-rinse");
  private static final Product FERMENT = Heads.product("barley-ferment");

  private static Standing bottle(String id, Product product, double left, int days) {
    return new Standing(
        id,
        product.name(),
        product,
        left,
        DAY.plusDays(days),
        false,
        Place.FRIDGE,
        Container.APPLICATOR);
  }

  private static Standing frozen(Standing bottle) {
    return new Standing(
        bottle.id(),
        bottle.name(),
        bottle.product(),
        bottle.leftMl(),
        bottle.lastDay(),
        false,
        Place.FREEZER,
        Container.CUBES);
  }

  private static Occasion wash(SlotKind... kinds) {
    return new Occasion(
        "wash",
        Occasion.Kind.WASH_DAY,
        "Wash day",
        new Repeat.ByRule(DAY, "FREQ=WEEKLY;BYDAY=SU", Optional.empty()),
        LocalTime.of(10, 0),
        java.util.Arrays.stream(kinds).map(Slot::of).toList());
  }

  private static Person person(String name, AgeBand age, double cm, Dose.Density density) {
    return Heads.person(
        name,
        age,
        new Hair(
            OptionalDouble.of(cm),
            OptionalDouble.empty(),
            Optional.empty(),
            density,
            Hair.Strand.MEDIUM,
            Porosity.NORMAL,
            Hair.Pattern.CURLY,
            Hair.Scalp.ORDINARY,
            false));
  }

  private static Sheet sheet(List<Sheet.Asked> asked, Standing... bottles) {
    return Sheet.of(
        DAY,
        asked,
        new Sheet.Surroundings(
            Kitchens.METRIC,
            ZoneId.of("Europe/Dublin"),
            NOW,
            TEN,
            List.of(bottles),
            List.of(),
            id -> Optional.of("the usual")));
  }

  private static Sheet.Asked asked(Person person, Occasion occasion, HeadUse... uses) {
    return new Sheet.Asked(person, occasion, List.of(uses), Map.of());
  }

  /**
   * Four heads, done by hand. On the shelf: gel A 100 mL till Monday, gel B 250 mL till Friday, a
   * rinse of 700 mL, a spray of 60 mL.
   *
   * <p>Ada, 60 cm and thick: 100 mL × 1.4 = 140 mL of gel. A goes first, all 100 mL of it; 40 mL
   * from B, where 210 are left. Rinse of long hair 500 mL, 200 left. Bo, 10 cm: 20 mL of gel from
   * B, 190 left; rinse 200 mL, nothing left. Cai, six years and 30 cm: 50 mL of B, 140 left; no
   * rinse is left, and 60 mL of spray do not pour over a head. Dot bears no linseed: nothing for
   * her; her spray of 20 mL leaves 40.
   */
  @Test
  void aHouseholdOfFourAsOnPaper() {
    Occasion full = wash(SlotKind.RINSE, SlotKind.STYLER);
    Sheet sheet =
        sheet(
            List.of(
                asked(person("Ada", AgeBand.ADULT, 60, Dose.Density.DENSE), full),
                asked(person("Bo", AgeBand.ADULT, 10, Dose.Density.USUAL), full),
                asked(person("Cai", AgeBand.FROM_6, 30, Dose.Density.USUAL), full),
                asked(
                    Heads.striking(
                        person("Dot", AgeBand.ADULT, 30, Dose.Density.USUAL),
                        new Unsuited.One("linseed")),
                    wash(SlotKind.STYLER, SlotKind.LEAVE_IN))),
            bottle("A", GEL, 100, 1),
            bottle("B", GEL, 250, 5),
            bottle("R", RINSE, 700, 3),
            bottle("S", SPRAY, 60, 4));
    List<String> taken = new ArrayList<>();
    for (Sheet.Head head : sheet.heads()) {
      for (Sheet.Place place : head.places()) {
        place
            .portions()
            .forEach(
                p ->
                    taken.add(
                        head.name()
                            + " "
                            + p.bottle()
                            + " "
                            + Math.round(p.millilitres())
                            + " leaves "
                            + Math.round(p.leftAfter())));
      }
    }
    assertThat(taken)
        .containsExactly(
            "Ada R 500 leaves 200",
            "Ada A 100 leaves 0",
            "Ada B 40 leaves 210",
            "Bo R 200 leaves 0",
            "Bo B 20 leaves 190",
            "Cai B 50 leaves 140",
            "Dot S 20 leaves 40");
    assertThat(sheet.heads().get(2).places().get(0).without())
        .isEqualTo(
            "Only 60 mL of "
                + SPRAY.name()
                + " are left, too little for 350 mL. Brew more by then, or leave it out.");
    assertThat(sheet.heads().get(3).places().get(0).without())
        .isEqualTo(
            "What stands ready is not for Dot. Brew something for it by then, or leave it out.");
    assertThat(sheet.heads().get(0).places().get(1).portions().get(0).why())
        .isEqualTo("first to go: Mon 9 Mar 2026");
  }

  @Test
  void aSprayerIsNotPouredOverAHead() {
    Standing sprayer =
        new Standing(
            "S", "Spray", SPRAY, 500, DAY.plusDays(3), false, Place.FRIDGE, Container.SPRAY);
    Sheet sheet =
        sheet(List.of(asked(Heads.adult(), wash(SlotKind.RINSE, SlotKind.LEAVE_IN))), sprayer);
    assertThat(sheet.heads().get(0).places().get(0).portions()).isEmpty();
    assertThat(sheet.heads().get(0).places().get(0).others()).hasSize(1);
    assertThat(sheet.heads().get(0).places().get(1).portions()).hasSize(1);
  }

  @Test
  void nothingGoesBelowNothingAndAllThatIsTakenLeftABottle() {
    Random dice = new Random(7);
    Product[] products = {GEL, SPRAY, RINSE, FERMENT};
    for (int round = 0; round < 60; round++) {
      Map<String, Double> before = new LinkedHashMap<>();
      List<Standing> bottles = new ArrayList<>();
      for (int i = 0; i < 1 + dice.nextInt(6); i++) {
        double left = dice.nextInt(300);
        before.put("b" + i, left);
        Standing standing = bottle("b" + i, products[dice.nextInt(4)], left, dice.nextInt(9) - 2);
        bottles.add(dice.nextInt(5) == 0 ? frozen(standing) : standing);
      }
      List<Sheet.Asked> asked = new ArrayList<>();
      for (int i = 0; i < 1 + dice.nextInt(4); i++) {
        Map<Integer, Sheet.Wish> wishes =
            dice.nextBoolean()
                ? Map.of()
                : Map.of(
                    1,
                    new Sheet.Wish(
                        Optional.of("b" + dice.nextInt(6)),
                        dice.nextInt(4) == 0,
                        OptionalDouble.of(dice.nextInt(400))));
        asked.add(
            new Sheet.Asked(
                person("P" + i, AgeBand.ADULT, 5 + dice.nextInt(80), Dose.Density.USUAL),
                wash(SlotKind.RINSE, SlotKind.STYLER, SlotKind.LEAVE_IN),
                List.of(),
                wishes));
      }
      Map<String, Double> took = new LinkedHashMap<>();
      for (Sheet.Head head : sheet(asked, bottles.toArray(Standing[]::new)).heads()) {
        for (Sheet.Place place : head.places()) {
          for (Sheet.Portion portion : place.portions()) {
            took.merge(portion.bottle(), portion.millilitres(), Double::sum);
            assertThat(portion.leftAfter())
                .isCloseTo(before.get(portion.bottle()) - took.get(portion.bottle()), within(1e-6))
                .isGreaterThanOrEqualTo(0);
          }
        }
      }
      for (Standing bottle : bottles) {
        if (bottle.lastDay().isBefore(DAY)) {
          assertThat(took).doesNotContainKey(bottle.id());
        }
      }
    }
  }

  @Test
  void whatIsOverALimitIsNotProposedButSaidWithItsDay() {
    Occasion rinse = wash(SlotKind.RINSE);
    HeadUse use = Heads.use(FERMENT, SlotKind.RINSE, DAY.minusDays(3), 200);
    Sheet sheet = sheet(List.of(asked(Heads.adult(), rinse, use)), bottle("F", FERMENT, 500, 4));
    Sheet.Place place = sheet.heads().get(0).places().get(0);
    assertThat(place.portions()).isEmpty();
    assertThat(place.without()).contains("Fine again from Thu 12 Mar 2026");
    assertThat(place.others()).hasSize(1);
    // Asked for all the same, it is taken, and the limit stays said.
    Sheet anyway =
        sheet(
            List.of(
                new Sheet.Asked(
                    Heads.adult(),
                    rinse,
                    List.of(use),
                    Map.of(0, new Sheet.Wish(Optional.of("F"), false, OptionalDouble.of(120))))),
            bottle("F", FERMENT, 500, 4));
    Sheet.Place taken = anyway.heads().get(0).places().get(0);
    assertThat(taken.portions().get(0).millilitres()).isEqualTo(120);
    assertThat(taken.limits().get(0).kind()).isEqualTo(Limit.Kind.PROTEIN);
  }

  @Test
  void aFrozenPortionIsTheLastResortAndToldTheDayBefore() {
    Occasion styler = wash(SlotKind.STYLER);
    Standing ice = frozen(bottle("I", GEL, 100, 40));
    Sheet both = sheet(List.of(asked(Heads.adult(), styler)), ice, bottle("B", GEL, 100, 5));
    assertThat(both.heads().get(0).places().get(0).portions().get(0).bottle()).isEqualTo("B");
    Sheet alone = sheet(List.of(asked(Heads.adult(), styler)), ice);
    assertThat(alone.before())
        .extracting(Sheet.Before::kind)
        .containsExactly(Sheet.Before.Kind.THAW, Sheet.Before.Kind.WARM);
    assertThat(alone.before().get(0).at()).isBefore(TEN.minusSeconds(12 * 3600));
  }

  @Test
  void whileOneRestsTheNextIsWorkedOn() {
    Occasion mask = wash(SlotKind.SHAMPOO, SlotKind.MASK, SlotKind.DRY);
    Product paste = Heads.product("amla-paste");
    Sheet one =
        sheet(
            List.of(asked(person("Ada", AgeBand.ADULT, 35, Dose.Density.USUAL), mask)),
            bottle("M", paste, 500, 3));
    Sheet two =
        sheet(
            List.of(
                asked(person("Ada", AgeBand.ADULT, 35, Dose.Density.USUAL), mask),
                asked(person("Bo", AgeBand.ADULT, 35, Dose.Density.USUAL), mask)),
            bottle("M", paste, 500, 3));
    // Shampoo 7, mask 6, rest 30, rinse 3, dry 3: 49 min for one. The other's 13 min fit the rest.
    assertThat(one.order().minutes()).isEqualTo(49);
    assertThat(two.order().minutes()).isLessThanOrEqualTo(62);
    assertThat(two.order().overrun()).isZero();
  }

  /** Whatever the heads, hands are in one place at a time and nothing stays on too long. */
  @Test
  void noWindowIsEverOverrun() {
    Random dice = new Random(3);
    for (int round = 0; round < 300; round++) {
      List<List<WashStep>> heads = new ArrayList<>();
      for (int h = 0; h < 1 + dice.nextInt(4); h++) {
        List<WashStep> steps = new ArrayList<>();
        for (int s = 0; s < 2 + dice.nextInt(6); s++) {
          double least = 2 + dice.nextInt(20);
          Optional<Contact> rest =
              dice.nextInt(3) == 0
                  ? Optional.of(
                      new Contact(
                          least, least + dice.nextInt(10), least + 10 + dice.nextInt(30), ""))
                  : Optional.empty();
          steps.add(new WashStep(s, "", 2 + dice.nextInt(18), rest));
        }
        heads.add(steps);
      }
      WashOrder order = WashOrder.of(heads);
      assertThat(order.overrun()).as("round %d", round).isZero();
      double busy = 0;
      Map<Integer, WashOrder.Item> last = new LinkedHashMap<>();
      for (WashOrder.Item item : order.items()) {
        assertThat(item.start()).isGreaterThanOrEqualTo(busy - 1e-9);
        busy = item.end();
        WashOrder.Item before = last.put(item.head(), item);
        if (before != null) {
          Contact window =
              heads
                  .get(item.head())
                  .get(before.step())
                  .rest()
                  .orElse(new Contact(0, 0, WashOrder.GAP, ""));
          assertThat(item.start() - before.end())
              .isBetween(window.least() - 1e-9, window.most() + 1e-9);
        }
      }
      double alone =
          heads.stream().mapToDouble(head -> WashOrder.of(List.of(head)).minutes()).sum();
      assertThat(order.minutes()).isLessThanOrEqualTo(alone + 1e-6);
      assertThat(order.items()).hasSize(heads.stream().mapToInt(List::size).sum());
    }
  }
}
