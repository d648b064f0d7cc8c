package dremsa.server.learning;

import dremsa.core.learn.HeadSection;
import dremsa.core.learn.Lengths;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Lengths on the wire; cm, stretched. */
final class LengthJson {
  private LengthJson() {}

  /**
   * A reading; without a day it is of today.
   *
   * @param cm drawn straight
   * @param looseCm left to itself; null where it was not measured
   * @param product that was on it then; null without one
   */
  record LengthForm(
      @Nullable LocalDate day,
      @NotNull(message = "Say where it was measured.") HeadSection section,
      @NotNull(message = "Say how long it is.") Double cm,
      @Nullable Double looseCm,
      @Size(max = 80, message = "At most 80 letters.") @Nullable String product) {}

  /** A cut; without a day it was today. */
  record CutForm(@Nullable LocalDate day) {}

  record ReadingView(
      UUID id, LocalDate day, double cm, @Nullable Double looseCm, @Nullable String product) {}

  record CutView(UUID id, LocalDate day) {}

  /** A place of a line with its soft edge. */
  record EdgeView(LocalDate day, double low, double cm, double high) {
    static EdgeView of(Lengths.Edge edge) {
      return new EdgeView(edge.day(), edge.low(), edge.cm(), edge.high());
    }
  }

  /**
   * A section with what its readings say.
   *
   * @param words in sentences
   * @param doubtful day of a reading far off the others
   * @param lines one for each stretch between cuts
   * @param shrinkage what can be told of it with products, and what not
   */
  record SectionView(
      HeadSection section,
      String words,
      boolean settled,
      @Nullable LocalDate doubtful,
      List<ReadingView> readings,
      List<List<EdgeView>> lines,
      List<String> shrinkage) {}

  /** All lengths of somebody. */
  record LengthsView(
      UUID person, String name, LocalDate today, List<SectionView> sections, List<CutView> cuts) {}
}
