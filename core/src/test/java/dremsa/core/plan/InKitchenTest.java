package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class InKitchenTest {
  private static final Instant EVENING = Instant.parse("2026-03-03T19:00:00Z");

  private static Optional<Brewable> of(String formula, Map<String, Double> prices) {
    Brew brew = Kitchens.builtIn(formula);
    Keeping keeping =
        Keeping.inFridge(
            EVENING, ZoneOffset.UTC, School.CAREFUL, Climates.always(brew.kitchen().climate()));
    return InKitchen.of(brew, keeping, EVENING, ZoneOffset.UTC, 30, 2000, prices);
  }

  @Test
  void aGelIsThereTheNextDayKeepsFiveAndFreezes() {
    Brewable gel = of("linseed-gel", Map.of()).orElseThrow();

    assertThat(gel.lead()).isEqualTo(1);
    assertThat(gel.life()).isBetween(3, 7);
    assertThat(gel.freezing().orElseThrow().life()).isGreaterThan(30);
    assertThat(gel.mostMl()).isBetween(300.0, 2000.0);
    assertThat(gel.hands()).isBetween(5.0, 60.0);
    assertThat(gel.costPerMl()).isZero();
  }

  @Test
  void aFermentIsThereDaysLater() {
    assertThat(of("barley-ferment", Map.of()).orElseThrow().lead()).isGreaterThanOrEqualTo(2);
  }

  @Test
  void anOilNeedNotBeFrozen() {
    Brewable oil = of("calendula-oil", Map.of()).orElseThrow();

    assertThat(oil.life()).isGreaterThan(60);
    assertThat(oil.freezing()).isEmpty();
  }

  @Test
  void whatHasAPriceCosts() {
    assertThat(of("linseed-gel", Map.of("linseed", 0.01)).orElseThrow().costPerMl())
        .isBetween(0.0001, 0.01);
  }

  /** Whole days hang together for every formula that is brought along. */
  @Test
  void everyFormulaHangsTogether() {
    for (Formula formula : BuiltInFormulas.all()) {
      Optional<Brewable> found = of(formula.id(), Map.of());
      if (found.isEmpty()) {
        continue;
      }
      Brewable brewable = found.get();
      assertThat(brewable.leastMl()).as(formula.id()).isLessThanOrEqualTo(brewable.mostMl());
      assertThat(brewable.lead()).as(formula.id()).isPositive();
      brewable
          .freezing()
          .ifPresent(
              freezing ->
                  assertThat(freezing.life()).as(formula.id()).isGreaterThan(brewable.life()));
    }
  }
}
