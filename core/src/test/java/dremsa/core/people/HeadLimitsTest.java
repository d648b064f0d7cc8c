package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.material.Materials;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a head bears; figures of common practice where no source is named. */
class HeadLimitsTest {
  private static final LocalDate DAY = Heads.SUNDAY;
  private static final Product FERMENT = Heads.product("barley-ferment");
  private static final Product SPRAY = Heads.product("lemon-balm-spray");

  private static List<Limit.Kind> kinds(List<Limit> limits) {
    return limits.stream()
        .filter(limit -> limit.weight() != Limit.Weight.MIND)
        .map(Limit::kind)
        .toList();
  }

  private static Person porous(Porosity porosity) {
    return Heads.person("Ada", AgeBand.ADULT, Heads.hair(porosity, Hair.Scalp.ORDINARY, false));
  }

  /** One strong use: again after 7, 14 or 28 days; not known counts as porous. */
  @ParameterizedTest
  @CsvSource({"NORMAL,7", "HIGH,14", "LOW,28", "UNSURE,14"})
  void strongProteinComesRoundByPorosity(Porosity porosity, int days) {
    assertThat(FERMENT.protein()).isEqualTo(Product.Protein.STRONG);
    HeadLimits limits =
        HeadLimits.of(porous(porosity), List.of(Heads.use(FERMENT, SlotKind.RINSE, DAY, 200)));
    Limit over =
        limits.of(FERMENT, SlotKind.RINSE, DAY.plusDays(1)).stream()
            .filter(limit -> limit.kind() == Limit.Kind.PROTEIN)
            .findFirst()
            .orElseThrow();
    assertThat(over.fineFrom()).contains(DAY.plusDays(days));
    assertThat(kinds(limits.of(FERMENT, SlotKind.RINSE, DAY.plusDays(days)))).isEmpty();
    assertThat(kinds(limits.of(FERMENT, SlotKind.RINSE, DAY.plusDays(days - 1))))
        .containsExactly(Limit.Kind.PROTEIN);
  }

  @Test
  void aFigureOfTheirOwnCountsAndIsShownAsSuch() {
    Person own = Heads.being(porous(Porosity.LOW), Set.of(), Optional.of(new Rate(3, 7)));
    List<HeadUse> two =
        List.of(
            Heads.use(FERMENT, SlotKind.RINSE, DAY, 200),
            Heads.use(FERMENT, SlotKind.RINSE, DAY.plusDays(2), 200));
    assertThat(kinds(HeadLimits.of(own, two).of(FERMENT, SlotKind.RINSE, DAY.plusDays(4))))
        .isEmpty();
    HeadLimits.State state = HeadLimits.of(own, two).states(DAY.plusDays(4)).get(0);
    assertThat(state.own()).isTrue();
    assertThat(state.load()).isEqualTo(2);
    assertThat(state.most()).isEqualTo(3);
  }

  @Test
  void theOrderOfWritingDownNeverMatters() {
    Random dice = new Random(11);
    for (int round = 0; round < 50; round++) {
      List<HeadUse> uses = new ArrayList<>();
      for (int i = 0; i < 12; i++) {
        Product product = dice.nextBoolean() ? FERMENT : SPRAY;
        uses.add(Heads.use(product, SlotKind.RINSE, DAY.minusDays(dice.nextInt(40)), 50));
      }
      Person person = porous(Porosity.values()[dice.nextInt(4)]);
      HeadLimits before = HeadLimits.of(person, uses);
      List<HeadUse> shuffled = new ArrayList<>(uses);
      Collections.shuffle(shuffled, dice);
      HeadLimits after = HeadLimits.of(person, shuffled);
      assertThat(after.states(DAY)).isEqualTo(before.states(DAY));
      assertThat(after.of(FERMENT, SlotKind.RINSE, DAY))
          .isEqualTo(before.of(FERMENT, SlotKind.RINSE, DAY));
    }
  }

  @Test
  void aFermentIsNotLeftOn() {
    HeadLimits limits = HeadLimits.of(porous(Porosity.NORMAL), List.of());
    assertThat(kinds(limits.of(FERMENT, SlotKind.LEAVE_IN, DAY))).contains(Limit.Kind.FERMENT);
    assertThat(kinds(limits.of(FERMENT, SlotKind.RINSE, DAY))).isEmpty();
  }

  @Test
  void spiritIsCountedByEveningsAndRarerOnADryScalp() {
    Product tincture = Heads.product("rosemary-tincture");
    assertThat(tincture.spirituous()).isTrue();
    List<HeadUse> two =
        List.of(
            Heads.use(tincture, SlotKind.SCALP, DAY, 10),
            Heads.use(tincture, SlotKind.SCALP, DAY, 10),
            Heads.use(tincture, SlotKind.SCALP, DAY.plusDays(2), 10));
    Person dry =
        Heads.person("Bo", AgeBand.ADULT, Heads.hair(Porosity.NORMAL, Hair.Scalp.DRY, false));
    assertThat(kinds(HeadLimits.of(dry, two).of(tincture, SlotKind.SCALP, DAY.plusDays(3))))
        .containsExactly(Limit.Kind.SPIRIT);
    assertThat(kinds(HeadLimits.of(dry, two).of(tincture, SlotKind.SCALP, DAY.plusDays(2))))
        .as("the same evening is no second one")
        .isEmpty();
    assertThat(
            kinds(
                HeadLimits.of(porous(Porosity.NORMAL), two)
                    .of(tincture, SlotKind.SCALP, DAY.plusDays(3))))
        .isEmpty();
  }

  private static Product scented(String formula, Map<String, Double> percent) {
    return new Product(
        formula,
        formula,
        SPRAY.purposes(),
        percent.keySet().stream().map(Materials.standard()::get).toList(),
        Set.of(),
        Product.Protein.NONE,
        false,
        0,
        percent,
        SPRAY.ph());
  }

  /** House limits: 1 % on a grown-up, 0.5 % on a child over six, nothing below three. */
  @ParameterizedTest
  @CsvSource({"ADULT,", "FROM_13,ESSENTIAL_OILS", "FROM_6,ESSENTIAL_OILS", "UNDER_3,AGE"})
  void essentialOilsGoByAge(AgeBand age, Limit.Kind first) {
    Product oil = scented("a", Map.of("lavender-essential", 0.6));
    List<Limit.Kind> kinds =
        kinds(
            HeadLimits.of(Heads.person("Kit", age, Heads.NORMAL), List.of())
                .of(oil, SlotKind.SEAL, DAY));
    if (first == null) {
      assertThat(kinds).isEmpty();
    } else {
      assertThat(kinds).contains(first);
    }
  }

  @Test
  void whatIsLeftOnTogetherCountsTogether() {
    Product one = scented("a", Map.of("lavender-essential", 0.6));
    Product two = scented("b", Map.of("lavender-essential", 0.6));
    HeadLimits none = HeadLimits.of(Heads.adult(), List.of());
    assertThat(kinds(none.of(two, SlotKind.SEAL, DAY))).isEmpty();
    assertThat(kinds(none.of(two, SlotKind.SEAL, DAY, List.of(one))))
        .containsExactly(Limit.Kind.ESSENTIAL_OILS);
    HeadUse spray = Heads.use(one, SlotKind.LEAVE_IN, DAY.minusDays(2), 20);
    assertThat(kinds(HeadLimits.of(Heads.adult(), List.of(spray)).of(two, SlotKind.SEAL, DAY)))
        .containsExactly(Limit.Kind.ESSENTIAL_OILS);
    HeadUse wash = Heads.use(SPRAY, SlotKind.CONDITION, DAY.minusDays(1), 20);
    assertThat(
            kinds(HeadLimits.of(Heads.adult(), List.of(spray, wash)).of(two, SlotKind.SEAL, DAY)))
        .as("washed out since")
        .isEmpty();
    // Tisserand & Young, Essential Oil Safety, 2nd ed., from memory: clove bud 0.5 %.
    assertThat(kinds(none.of(scented("c", Map.of("clove-essential", 0.55)), SlotKind.SEAL, DAY)))
        .containsExactly(Limit.Kind.ESSENTIAL_OILS);
  }

  @Test
  void whoIsWithChildOrHasAsthmaIsWarned() {
    Person person =
        Heads.being(Heads.adult(), Set.of(Condition.PREGNANT, Condition.ASTHMA), Optional.empty());
    Limit limit =
        HeadLimits.of(person, List.of())
            .of(scented("a", Map.of("lavender-essential", 0.1)), SlotKind.SEAL, DAY)
            .get(0);
    assertThat(limit.kind()).isEqualTo(Limit.Kind.CONDITION);
    assertThat(limit.what()).contains("in pregnancy and with asthma");
  }

  @Test
  void whatIsStruckIsKeptOffAndWhatIsNotKnownToo() {
    Product gel = Heads.product("linseed-gel");
    Person struck = Heads.striking(Heads.adult(), new Unsuited.One("linseed"));
    assertThat(HeadLimits.of(struck, List.of()).of(gel, SlotKind.STYLER, DAY).get(0).weight())
        .isEqualTo(Limit.Weight.KEEP_OFF);
    Person grainless = Heads.striking(Heads.adult(), new Unsuited.All(Family.GRAIN));
    assertThat(kinds(HeadLimits.of(grainless, List.of()).of(FERMENT, SlotKind.RINSE, DAY)))
        .contains(Limit.Kind.UNSUITED);
    assertThat(kinds(HeadLimits.of(grainless, List.of()).of(gel, SlotKind.STYLER, DAY))).isEmpty();
    assertThat(
            kinds(
                HeadLimits.of(grainless, List.of())
                    .of(gel.mixedWith("Balm spray"), SlotKind.STYLER, DAY)))
        .containsExactly(Limit.Kind.NOT_KNOWN);
    assertThat(
            kinds(
                HeadLimits.of(grainless, List.of())
                    .of(gel.mixedWith(FERMENT), SlotKind.STYLER, DAY)))
        .contains(Limit.Kind.UNSUITED, Limit.Kind.FERMENT);
  }

  private static boolean untested(Person person, List<HeadUse> uses) {
    return HeadLimits.of(person, uses).of(SPRAY, SlotKind.LEAVE_IN, DAY).stream()
        .anyMatch(limit -> limit.kind() == Limit.Kind.NEW_INGREDIENT);
  }

  @Test
  void whatIsNewIsTestedFirstAndWhatWasBorneIsNot() {
    Person ada = Heads.adult();
    Instant then = Instant.parse("2026-03-01T10:00:00Z");
    List<PatchTest> fine =
        SPRAY.toTry().stream()
            .map(m -> new PatchTest(m.id(), then, Optional.of(PatchTest.Result.NOTHING)))
            .toList();
    assertThat(untested(ada, List.of())).isTrue();
    assertThat(untested(Heads.with(ada, fine, List.of()), List.of())).isFalse();
    HeadUse before = Heads.use(SPRAY, SlotKind.LEAVE_IN, DAY.minusDays(3), 20);
    assertThat(untested(ada, List.of(before))).isFalse();
    PatchTest red = new PatchTest("lemon-balm", then, Optional.of(PatchTest.Result.REACTED));
    assertThat(
            kinds(
                HeadLimits.of(Heads.with(ada, List.of(red), List.of()), List.of(before))
                    .of(SPRAY, SlotKind.LEAVE_IN, DAY)))
        .containsExactly(Limit.Kind.REACTED);
    Reaction reaction =
        new Reaction(then, Optional.of(SPRAY.formula()), "Spray", Set.of(), Reaction.Sign.BURNING);
    assertThat(
            kinds(
                HeadLimits.of(Heads.with(ada, List.of(), List.of(reaction)), List.of(before))
                    .of(SPRAY, SlotKind.LEAVE_IN, DAY)))
        .containsExactly(Limit.Kind.REACTED);
  }

  @Test
  void whatStainsIsToldOnLightHairOnly() {
    Product sage = Heads.product("birch-sage-decoction");
    Person light =
        Heads.person("Una", AgeBand.ADULT, Heads.hair(Porosity.LOW, Hair.Scalp.ORDINARY, true));
    assertThat(HeadLimits.of(light, List.of()).of(sage, SlotKind.RINSE, DAY))
        .anyMatch(limit -> limit.kind() == Limit.Kind.STAINS);
    assertThat(HeadLimits.of(Heads.adult(), List.of()).of(sage, SlotKind.RINSE, DAY))
        .noneMatch(limit -> limit.kind() == Limit.Kind.STAINS);
  }
}
