package dremsa.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What browsers send, from memory. */
class DeviceNamesTest {
  private final DeviceNames names = new DeviceNames();

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0 | Firefox on Linux",
        "Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 (KHTML, like Gecko)"
            + " Chrome/140.0.0.0 Safari/537.36 | Chrome on Windows",
        "Mozilla/5.0 (Linux; Android 15; K) AppleWebKit/537.36 (KHTML, like Gecko)"
            + " Chrome/140.0.0.0 Mobile Safari/537.36 | Chrome Mobile on Android",
        "something else | A device",
      })
  void areWhatTheirOwnersKnow(String agent, String called) {
    assertThat(names.of(agent)).isEqualTo(called);
  }

  @Test
  void whatSaysNothingIsADevice() {
    assertThat(names.of(null)).isEqualTo("A device");
    assertThat(names.of(" ")).isEqualTo("A device");
    assertThat(names.of("x".repeat(100_000))).isEqualTo("A device");
  }
}
