package dremsa.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Asks Debian's program {@code units} for the same sizes; ./dremsa test installs it. */
class DebianUnitsTest {
  private static double asked(String from, String to) throws IOException, InterruptedException {
    Process units = new ProcessBuilder("units", "-1", "-t", "-d", "15", from, to).start();
    String answer = new String(units.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(units.waitFor()).as(answer).isZero();
    return Double.parseDouble(answer.strip());
  }

  @ParameterizedTest
  @CsvSource({
    "us-cup, uscup, ml",
    "us-tbsp, ustablespoon, ml",
    "us-tsp, usteaspoon, ml",
    "us-floz, usfluidounce, ml",
    "us-pint, uspint, ml",
    "uk-pint, brpint, ml",
    "uk-floz, brfluidounce, ml",
    "au-tbsp, australiatablespoon, ml",
    "metric-cup, metriccup, ml",
    "oz, ounce, g",
    "lb, pound, g"
  })
  void agrees(String id, String theirs, String in) throws Exception {
    double size = asked(theirs, in);
    assertThat(KitchenMeasures.find(id).orElseThrow().size()).isCloseTo(size, within(size * 1e-9));
  }
}
