package dremsa.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is written as a note reads back as the same formula. */
class RoundTripTest {
  private final NoteReader reader = Told.reader();

  static Stream<Formula> builtIn() {
    return BuiltInFormulas.all().stream();
  }

  @ParameterizedTest
  @MethodSource("builtIn")
  void everyBuiltInFormulaComesBack(Formula formula) {
    String note = reader.write(formula);
    Reading reading = reader.read(note, Answers.NONE);
    assertThat(reading.formula().map(f -> f.identified(formula.id()))).as(note).contains(formula);
    assertThat(reading.doubtful()).isEmpty();
    assertThat(note.length()).isLessThan(NoteReader.LONGEST);
  }

  @Test
  void aLineChangedByHandIsReadAsChanged() {
    Formula spray = BuiltInFormulas.find("lemon-balm-spray").orElseThrow();
    String note = reader.write(spray).replace("32 g Lemon balm", "40 g Lemon balm");
    Formula changed = reader.read(note, Answers.NONE).formula().orElseThrow();
    assertThat(changed.steps()).isEqualTo(spray.steps());
    assertThat(changed.ingredients().get(1).proportion())
        .isEqualTo(new dremsa.core.formula.Proportion.Parts(40));
  }

  @Test
  void aLineOfAnotherHandMakesItAnybodysNote() {
    Formula spray = BuiltInFormulas.find("lemon-balm-spray").orElseThrow();
    String note = reader.write(spray) + "and a spoon of honey if you like\n";
    Reading reading = reader.read(note, Answers.NONE);
    assertThat(reading.lines()).extracting(Reading.Taken::material).contains("lemon-balm", "honey");
    assertThat(reading.doubtful()).isNotEmpty();
  }
}
