package dremsa.bench;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.material.Materials;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.reading.Answers;
import dremsa.core.reading.NoteReader;
import dremsa.core.reading.Reading;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Reads a note on one core, ms: one of a usual length, and one as long as a note may be, which has
 * to take less than 50 ms.
 */
@State(Scope.Benchmark)
@BenchmarkMode({Mode.AverageTime, Mode.SampleTime})
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ReadingBench {
  private static final String NOTE =
      "Nan's rinse\n2 T dried sage, a handful of rosemary, 500 ml water\nBring the water to a boil, add"
          + " the herbs, cover and simmer 12 min. Let it cool, strain through muslin into a spray"
          + " bottle.\nKeeps a month in the fridge. Spray on damp hair.\n";

  private final NoteReader reader = reader();
  private final String longest =
      NOTE.repeat(NoteReader.LONGEST / NOTE.length() + 1).substring(0, NoteReader.LONGEST);

  private static NoteReader reader() {
    Map<String, String> brews = new HashMap<>();
    BuiltInFormulas.all().forEach(formula -> brews.put(formula.id(), formula.name()));
    return NoteReader.of(Materials.standard(), brews, MeasureSystem.METRIC, CountMeasures.usual());
  }

  @Benchmark
  public Reading usual() {
    return reader.read(NOTE, Answers.NONE);
  }

  @Benchmark
  public Reading longest() {
    return reader.read(longest, Answers.NONE);
  }

  /**
   * What a server does for each request: the word list with a household's own names, and a note.
   */
  @Benchmark
  public Reading withAReaderOfItsOwn() {
    return reader().read(NOTE, Answers.NONE);
  }
}
