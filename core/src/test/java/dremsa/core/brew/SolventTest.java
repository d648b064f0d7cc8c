package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Spirit, glycerin and water poured together. */
class SolventTest {
  // OIML R 22, 20 °C (from memory), kg/m³.
  @ParameterizedTest(name = "{0} % vol")
  @CsvSource({
    "10, 984.7",
    "20, 973.6",
    "30, 962.2",
    "40, 948.05",
    "50, 930.1",
    "60, 909.1",
    "80, 859.3"
  })
  void spiritWeighsWhatTheTablesSay(double percent, double density) {
    assertThat(Solvent.spiritDensity(percent) * 1000).isCloseTo(density, within(0.6));
    double share = Solvent.ethanolShare(percent);
    // The share by mass and the percent by volume are one and the same mixture.
    double volume = Solvent.millilitres(1 - share, share, 0, 0, 0, 0);
    assertThat(100 * share / Solvent.ETHANOL_DENSITY / volume).isCloseTo(percent, within(0.05));
  }

  @Test
  void twoHundredMillilitresOfFortyPercentAreTwoHundred() {
    // OIML R 22 (from memory): 200 mL of 40 % hold 80 mL of ethanol and weigh 189.6 g.
    double ethanol = 80 * 0.78924;
    double water = 189.6 - ethanol;
    assertThat(Solvent.millilitres(water, ethanol, 0, 0, 0, 0)).isCloseTo(200, within(0.15));
    // Apart they would be 206.7 mL: contraction is real.
    double apart =
        Solvent.millilitres(water, 0, 0, 0, 0, 0) + Solvent.millilitres(0, ethanol, 0, 0, 0, 0);
    assertThat(apart).isCloseTo(206.7, within(0.3));
  }

  // Glycerine Producers' Association tables, 20 °C (from memory), mPa·s.
  @ParameterizedTest(name = "{0} % glycerin")
  @CsvSource({"0, 1.005", "25, 2.06", "50, 6.0", "70, 22.5", "85, 109", "100, 1410"})
  void glycerinAndWaterAreAsThickAsTheTableSays(double percent, double mpas) {
    assertThat(Solvent.viscosity(100 - percent, 0, percent, 20))
        .isCloseTo(mpas, within(mpas * 0.06));
  }

  @Test
  void spiritIsThickerThanWaterAndThanAlcohol() {
    // CRC Handbook (from memory): 40 % by mass has 2.9 mPa·s at 20 °C.
    assertThat(Solvent.viscosity(60, 40, 0, 20)).isCloseTo(2.91, within(0.1));
    assertThat(Solvent.viscosity(100, 0, 0, 20)).isCloseTo(1.0, within(0.03));
  }

  @Test
  void glycerinAndWaterTakeLessRoomTogether() {
    // Bosart & Snoddy 1928 (from memory): half and half by mass 1.1263 g/mL at 20 °C.
    assertThat(Solvent.millilitres(50, 0, 50, 0, 0, 0)).isCloseTo(100 / 1.1263, within(0.02));
  }
}
