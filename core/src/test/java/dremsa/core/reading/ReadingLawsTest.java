package dremsa.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.formula.Proportion;
import dremsa.core.material.Materials;
import dremsa.core.material.OtherNames;
import dremsa.core.measure.CsvTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds of whatever is written: nothing breaks the reader, and no number is made up. */
class ReadingLawsTest {
  private static final List<String> WORDS = words();
  private static final int NOTES = 1500;

  private final NoteReader reader = Told.reader();

  private static List<String> words() {
    List<String> all = new ArrayList<>();
    CsvTable.lines(Lexicon.class, "words.csv").forEach(line -> all.add(line.get("word")));
    OtherNames.all().values().forEach(all::addAll);
    Materials.standard().all().forEach(m -> all.add(m.name()));
    for (String amount :
        List.of(
            "1/2",
            "2 tbsp",
            "½ cup",
            "3-4",
            "1:10",
            "5 %",
            "10 min",
            "2 h",
            "overnight",
            "80 °C",
            "7 drops",
            "12 g")) {
      for (int i = 0; i < 60; i++) {
        all.add(amount);
      }
    }
    for (String sign :
        List.of(".", ",", "\n", "(", ")", ":", "-", "and", "then", "blorp", "\"", "’")) {
      for (int i = 0; i < 80; i++) {
        all.add(sign);
      }
    }
    return all;
  }

  private static String note(Random random, int words) {
    StringBuilder note = new StringBuilder();
    for (int i = 0; i < words && note.length() < NoteReader.LONGEST - 60; i++) {
      note.append(WORDS.get(random.nextInt(WORDS.size()))).append(' ');
    }
    return note.toString();
  }

  @Test
  void whateverWordsStandInItItIsRead() {
    Random random = new Random(16);
    for (int i = 0; i < NOTES; i++) {
      String note = note(random, 1 + random.nextInt(60));
      Reading reading = reader.read(note, Answers.NONE);
      noNumberIsMadeUp(note, reading);
      stretchesLieInTheText(note, reading);
    }
  }

  @Test
  void whateverSignsStandInItItIsRead() {
    Random random = new Random(17);
    for (int i = 0; i < NOTES; i++) {
      StringBuilder note = new StringBuilder();
      int length = random.nextInt(300);
      for (int k = 0; k < length; k++) {
        note.appendCodePoint(
            random.nextInt(8) == 0 ? random.nextInt(0xd800) : 32 + random.nextInt(95));
      }
      stretchesLieInTheText(note.toString(), reader.read(note.toString(), Answers.NONE));
    }
  }

  /** What has no amount in the text is a guess that says so, and stands in no formula unasked. */
  private static void noNumberIsMadeUp(String note, Reading reading) {
    for (int i = 0; i < reading.lines().size(); i++) {
      Reading.Taken line = reading.lines().get(i);
      if (!line.measured()) {
        continue;
      }
      int index = i;
      boolean written = !line.amount().isEmpty();
      boolean asked = reading.doubtful().stream().anyMatch(s -> s.target() == index);
      boolean askedAtAll = !reading.doubtful().isEmpty();
      assertThat(written || asked || askedAtAll).as(note + "\n" + line).isTrue();
      if (written && !line.amount().endsWith("%")) {
        assertThat(note.replaceAll("\\s+", " ")).contains(line.amount());
      }
    }
  }

  private static void stretchesLieInTheText(String note, Reading reading) {
    int end = 0;
    for (Stretch stretch : reading.stretches()) {
      assertThat(stretch.from()).isGreaterThanOrEqualTo(end);
      assertThat(stretch.to()).isGreaterThan(stretch.from()).isLessThanOrEqualTo(note.length());
      end = stretch.to();
      if (stretch.certainty() == Stretch.Certainty.GUESS) {
        assertThat(stretch.key()).isNotEmpty();
      }
    }
  }

  @Test
  void theSameNoteAlwaysReadsTheSame() {
    Random random = new Random(18);
    for (int i = 0; i < 100; i++) {
      String note = note(random, 40);
      assertThat(Told.reader().read(note, Answers.NONE)).isEqualTo(reader.read(note, Answers.NONE));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", " ", "\n\n", "hello there", "boil", "10 min", "strain."})
  void whereNothingGoesInThereIsNoFormula(String note) {
    Reading reading = reader.read(note, Answers.NONE);
    assertThat(reading.formula().map(f -> f.ingredients().size()).orElse(0)).isLessThanOrEqualTo(1);
  }

  @Test
  void aBookIsNoNote() {
    assertThatThrownBy(() -> reader.read("x".repeat(NoteReader.LONGEST + 1), Answers.NONE))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aCorrectionSettlesItHereAndAWordOfTheHouseholdEverywhere() {
    String note = "2 T linseed, 500 ml water. Boil 6 min, stirring.\n1 T honey at the end.";
    Reading guess = reader.read(note, Answers.NONE);
    Stretch first = guess.doubtful().get(0);
    assertThat(first.options()).extracting(Stretch.Option::value).containsExactly("tbsp", "tsp");
    Reading here = reader.read(note, new Answers(Map.of(first.key(), "tsp"), Map.of()));
    double tsp =
        ((Proportion.Parts) here.formula().orElseThrow().ingredients().get(0).proportion()).grams();
    double tbsp =
        ((Proportion.Parts) guess.formula().orElseThrow().ingredients().get(0).proportion())
            .grams();
    assertThat(tbsp / tsp).isCloseTo(3, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(here.doubtful()).hasSize(guess.doubtful().size() - 1);
    Answers always = new Answers(Map.of(), Map.of(Answers.word(first.key()), "tsp"));
    assertThat(reader.read(note, always).doubtful()).isEmpty();
  }

  @Test
  void theWritersClaimIsKeptAsAClaim() {
    Reading reading =
        reader.read(
            "2 tbsp sage, 2 cups boiling water, 1 h, strain. Keeps a month in the fridge.",
            Answers.NONE);
    assertThat(reading.claims())
        .singleElement()
        .satisfies(claim -> assertThat(claim.days()).isEqualTo(30));
  }
}
