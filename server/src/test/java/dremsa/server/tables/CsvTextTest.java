package dremsa.server.tables;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Texts that a spreadsheet would work out leave as texts, and come back as they were. */
class CsvTextTest {
  /** Common practice: these signs begin a formula in spreadsheets. */
  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '|',
      value = {
        "=1+1, '=1+1",
        "+49 30, '+49 30",
        "-5 drops, '-5 drops",
        "@home, '@home",
        "'=old, ''=old",
        "it's warm, it's warm",
        "'tis, 'tis",
        "nettle, nettle",
      })
  void whatBeginsAFormulaIsMarked(String text, String written) {
    assertThat(CsvText.written(text)).isEqualTo(written);
    assertThat(CsvText.read(written)).isEqualTo(text);
  }

  @RepeatedTest(300)
  void anyTextComesBack(RepetitionInfo which) {
    Random dice = new Random(which.getCurrentRepetition());
    String signs = "'=+-@\t\r\n a1";
    StringBuilder text = new StringBuilder();
    for (int i = dice.nextInt(8); i > 0; i--) {
      text.append(signs.charAt(dice.nextInt(signs.length())));
    }
    String written = CsvText.written(text.toString());
    assertThat(CsvText.read(written)).isEqualTo(text.toString());
    assertThat(written).doesNotMatch("(?s)[=+\\-@\\t\\r].*");
  }
}
