package dremsa.core.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dremsa.core.brew.Finished;
import dremsa.core.kitchen.Container;
import dremsa.core.scale.Target;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Choosing containers: what is owned, what suits, how full. */
class FillingTest {
  private static final Instant NOW = Instant.parse("2026-05-02T10:00:00Z");
  private static final double WATER_THIN = 1.2;
  private static final double SYRUP = 120;
  private static final double GEL = 2500;

  private static Finished brew(double millilitres, double thickness, boolean bits) {
    return new Finished(millilitres, millilitres, thickness, thickness, 0, 0, 0, 0, 1, 0, bits);
  }

  private static ContainerSet set(Container kind, double size, int owned, int full) {
    return new ContainerSet(kind, size, false, owned, full, owned, NOW.minusSeconds(600));
  }

  private static Filling fill(Container wanted, Finished brew, Target target, ContainerSet... own) {
    return Filling.of(wanted, brew, target, List.of(own), NOW);
  }

  private static double sum(Filling filling) {
    return filling.filled().stream().mapToDouble(Filling.Filled::millilitres).sum();
  }

  @Test
  void bottlesOfASizeAreFilledAsAsked() {
    Filling filling =
        fill(
            Container.SPRAY,
            brew(500, WATER_THIN, false),
            new Target.Bottles(2, 250),
            set(Container.SPRAY, 250, 3, 0));
    assertThat(filling.filled())
        .containsExactly(
            new Filling.Filled(Container.SPRAY, 250, 250, true),
            new Filling.Filled(Container.SPRAY, 250, 250, true));
    assertThat(filling.advice()).isEmpty();
  }

  @Test
  void whatRanOffBeyondTheBottlesGoesIntoOneMore() {
    Filling filling =
        fill(Container.SPRAY, brew(560, WATER_THIN, false), new Target.Bottles(2, 250));
    assertThat(filling.filled()).hasSize(3);
    assertThat(filling.filled().get(2))
        .isEqualTo(new Filling.Filled(Container.SPRAY, 100, 60, false));
  }

  @Test
  void lessThanAskedFillsTheLastBottlePartly() {
    Filling filling =
        fill(Container.SPRAY, brew(430, WATER_THIN, false), new Target.Bottles(2, 250));
    assertThat(filling.filled())
        .extracting(Filling.Filled::millilitres)
        .containsExactly(250.0, 180.0);
  }

  @Test
  void theFewestOfTheOwnContainersAreTaken() {
    Filling filling =
        fill(
            Container.APPLICATOR,
            brew(600, WATER_THIN, false),
            new Target.Volume(600),
            set(Container.APPLICATOR, 100, 6, 0),
            set(Container.APPLICATOR, 250, 2, 0),
            set(Container.APPLICATOR, 500, 1, 0));
    assertThat(filling.filled()).extracting(Filling.Filled::sizeMl).containsExactly(500.0, 100.0);
    assertThat(sum(filling)).isEqualTo(600);
  }

  @Test
  void whatIsTakenAlreadyIsNotProposed() {
    Filling filling =
        fill(
            Container.APPLICATOR,
            brew(400, WATER_THIN, false),
            new Target.Volume(400),
            set(Container.APPLICATOR, 500, 1, 1),
            set(Container.APPLICATOR, 250, 2, 1));
    assertThat(filling.filled().get(0))
        .isEqualTo(new Filling.Filled(Container.APPLICATOR, 250, 250, true));
    assertThat(filling.filled().get(1).owned()).isFalse();
    assertThat(filling.advice())
        .anyMatch(words -> words.contains("No applicator bottle of yours is free"));
  }

  @Test
  void aHouseholdThatWroteNoneDownIsNotTold() {
    Filling filling = fill(Container.SPRAY, brew(180, WATER_THIN, false), new Target.Volume(180));
    assertThat(filling.filled())
        .containsExactly(new Filling.Filled(Container.SPRAY, 250, 180, false));
    assertThat(filling.advice()).isEmpty();
  }

  /** Common practice: a gel does not go in a fine mist bottle. */
  @Test
  void aGelGoesToWhatItComesOutOf() {
    Filling syrup = fill(Container.SPRAY, brew(200, SYRUP, false), new Target.Volume(200));
    assertThat(syrup.filled()).allMatch(f -> f.kind() == Container.APPLICATOR);
    assertThat(syrup.advice()).anyMatch(words -> words.contains("too thick for a spray bottle"));
    Filling gel = fill(Container.SPRAY, brew(200, GEL, false), new Target.Volume(200));
    assertThat(gel.filled()).allMatch(f -> f.kind() == Container.JAR);
  }

  /** Common practice: a sprayer with a filter on its tube forgives bits; thickness it does not. */
  @Test
  void aFilterForgivesBitsButNotThickness() {
    assertThat(Suiting.against(Container.SPRAY, false, brew(100, WATER_THIN, true)))
        .get()
        .extracting(Suiting.Objection::cause)
        .isEqualTo(Suiting.Cause.BITS);
    assertThat(Suiting.against(Container.SPRAY, true, brew(100, WATER_THIN, true))).isEmpty();
    assertThat(Suiting.against(Container.SPRAY, true, brew(100, GEL, true)))
        .get()
        .extracting(Suiting.Objection::cause)
        .isEqualTo(Suiting.Cause.TOO_THICK);
    assertThat(Suiting.against(Container.JAR, false, brew(100, GEL, true))).isEmpty();
  }

  @Test
  void oneWithAFilterIsTakenForABrewWithBits() {
    ContainerSet filtered =
        new ContainerSet(Container.TRIGGER, 250, true, 1, 0, 1, NOW.minusSeconds(60));
    Filling filling =
        fill(
            Container.TRIGGER,
            brew(200, WATER_THIN, true),
            new Target.Volume(200),
            set(Container.TRIGGER, 200, 1, 0),
            filtered);
    assertThat(filling.filled())
        .containsExactly(new Filling.Filled(Container.TRIGGER, 250, 200, true));
    assertThat(filling.advice()).anyMatch(words -> words.contains("rinse that filter"));
  }

  @Test
  void aJarKeepsItsHeadspace() {
    Filling own =
        fill(
            Container.JAR,
            brew(250, GEL, false),
            new Target.Volume(250),
            set(Container.JAR, 250, 4, 0));
    assertThat(own.filled()).extracting(Filling.Filled::millilitres).containsExactly(225.0, 25.0);
    Filling asked =
        fill(
            Container.JAR,
            brew(450, GEL, false),
            new Target.Bottles(2, 250),
            set(Container.JAR, 250, 4, 0));
    assertThat(asked.filled())
        .extracting(Filling.Filled::millilitres)
        .containsExactly(225.0, 225.0);
    assertThat(asked.advice()).isEmpty();
  }

  /** Handbook: ice has 0.917 g/cm³, so water grows by 9 %, CRC Handbook (from memory). */
  @Test
  void aTrayLeavesRoomForTheIce() {
    assertThat(Container.CUBES.fill() / 0.917).isLessThan(1);
  }

  @Test
  void onlyWhatIsNotSterileAnyMoreIsToBeSterilised() {
    ContainerSet two =
        new ContainerSet(Container.SPRAY, 100, false, 5, 0, 2, NOW.minusSeconds(3600));
    Filling filling =
        fill(Container.SPRAY, brew(300, WATER_THIN, false), new Target.Bottles(3, 100), two);
    assertThat(filling.advice()).containsExactly("Sterilise 1 spray bottle of 100 mL first.");
  }

  @ParameterizedTest
  @CsvSource({"0, 2", "24, 2", "25, 0"})
  void sterileIsSterileForADay(long hours, int ready) {
    ContainerSet set =
        new ContainerSet(Container.JAR, 250, false, 3, 0, 2, NOW.minus(Duration.ofHours(hours)));
    assertThat(set.ready(NOW)).isEqualTo(ready);
  }

  @Test
  void noMoreAreReadyThanAreFree() {
    assertThat(new ContainerSet(Container.JAR, 250, false, 4, 3, 2, NOW).ready(NOW)).isEqualTo(1);
    assertThat(new ContainerSet(Container.JAR, 250, false, 2, 5, 2, NOW).free()).isZero();
    assertThat(new ContainerSet(Container.JAR, 250, false, 2, 0, 2, ContainerSet.NEVER).ready(NOW))
        .isZero();
  }

  @ParameterizedTest
  @CsvSource({"4, 1", "5001, 1", "NaN, 1", "250, -1", "250, 201"})
  void impossibleSetsAreRefused(double size, int owned) {
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> new ContainerSet(Container.JAR, size, false, owned, 0, 0, ContainerSet.NEVER));
  }

  @ParameterizedTest
  @EnumSource(Container.class)
  void nothingIsLostAndNothingOverflows(Container wanted) {
    Random random = new Random(7);
    for (int i = 0; i < 300; i++) {
      ContainerSet[] own = new ContainerSet[random.nextInt(4)];
      for (int n = 0; n < own.length; n++) {
        own[n] =
            set(
                Container.values()[random.nextInt(5)],
                List.of(30.0, 100.0, 250.0, 500.0).get(random.nextInt(4)),
                random.nextInt(4),
                random.nextInt(3));
      }
      double ml = 10 + random.nextInt(3000);
      double thick = List.of(1.0, 45.0, 400.0, 9000.0, Double.NaN).get(random.nextInt(5));
      Finished brew = brew(ml, thick, random.nextBoolean());
      Target target =
          random.nextBoolean()
              ? new Target.Volume(ml)
              : new Target.Bottles(1 + random.nextInt(3), 250);
      Filling filling = fill(wanted, brew, target, own);
      Assertions.assertThat(sum(filling)).isBetween(ml - 2 * filling.filled().size(), ml);
      for (Filling.Filled one : filling.filled()) {
        assertThat(one.millilitres()).isPositive().isLessThanOrEqualTo(one.sizeMl());
        long mine =
            filling.filled().stream()
                .filter(f -> f.owned() && f.kind() == one.kind() && f.sizeMl() == one.sizeMl())
                .count();
        int free =
            List.of(own).stream()
                .filter(s -> s.is(one.kind(), one.sizeMl()))
                .mapToInt(ContainerSet::free)
                .sum();
        assertThat(mine).isLessThanOrEqualTo(free);
      }
    }
  }
}
