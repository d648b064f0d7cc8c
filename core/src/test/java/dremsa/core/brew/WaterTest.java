package dremsa.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Against IAPWS-IF97 through the if97 library (SI units: K, MPa, kg/m³, kJ/kg). */
class WaterTest {
  private final IF97 steam = new IF97(IF97.UnitSystem.DEFAULT);

  @ParameterizedTest
  @ValueSource(doubles = {1, 5, 20, 40, 60, 80, 99, 100})
  void agreesWithTheSteamTables(double celsius) {
    double kelvin = celsius + 273.15;
    double pressure = steam.saturationPressureT(kelvin);
    assertThat(Water.saturationPressure(celsius))
        .isCloseTo(pressure * 1000, within(pressure * 1000 * 0.002));
    double latent =
        steam.specificEnthalpySaturatedVapourT(kelvin)
            - steam.specificEnthalpySaturatedLiquidT(kelvin);
    assertThat(Water.latentHeat(celsius)).isCloseTo(latent, within(latent * 0.003));
    double density = 1 / steam.specificVolumeSaturatedLiquidT(kelvin) / 1000;
    assertThat(Water.density(celsius)).isCloseTo(density, within(density * 0.0002));
    double viscosity = steam.dynamicViscosityPT(0.101325, Math.min(kelvin, 373.1)) * 1000;
    assertThat(Water.viscosity(celsius)).isCloseTo(viscosity, within(viscosity * 0.025));
  }
}
