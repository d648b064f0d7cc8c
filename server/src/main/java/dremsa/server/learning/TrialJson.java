package dremsa.server.learning;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.HeadSection;
import dremsa.core.learn.SectionTrial;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Section trials on the wire, and as they are kept. */
final class TrialJson {
  private TrialJson() {}

  /**
   * A trial as it is kept. Jars are numbered from 0.
   *
   * @param products what each jar holds
   * @param on which jar is on which section
   * @param blind nobody is to know what is in which jar until it is ended
   * @param scores of each jar, by what was scored
   * @param lookHours after so many hours it is to be looked at again; null in an old row
   */
  record Kept(
      List<String> products,
      Map<HeadSection, Integer> on,
      boolean blind,
      Map<Criterion, Map<Integer, Double>> scores,
      @Nullable List<Integer> lookHours) {
    /** As the model takes it, and whether it is one. */
    SectionTrial toCore() {
      Map<Criterion, Map<String, Double>> named = new HashMap<>();
      scores.forEach(
          (criterion, each) -> {
            Map<String, Double> of = new HashMap<>();
            each.forEach((jar, score) -> of.put(products.get(jar), score));
            named.put(criterion, of);
          });
      return new SectionTrial(products, on, named);
    }

    Kept with(Map<Criterion, Map<Integer, Double>> other) {
      return new Kept(products, on, blind, other, lookHours);
    }
  }

  /**
   * A trial to be begun.
   *
   * @param lookHours after so many hours one is reminded to score it
   */
  record TrialForm(
      @NotNull(message = "Say on whose head.") UUID person,
      @NotNull(message = "Name two to four products.")
          @Size(min = 2, max = 4, message = "Two to four products.")
          List<
                  @NotBlank(message = "Name it.") @Size(max = 80, message = "At most 80 letters.")
                  String>
              products,
      @NotNull(message = "Say on which sections.")
          @Size(min = 2, max = 4, message = "Two to four sections.")
          List<HeadSection> sections,
      boolean blind,
      @Size(max = 6, message = "At most six times.")
          @Nullable
              List<
                  @Min(value = 1, message = "After an hour at least.")
                  @Max(value = 672, message = "Within four weeks.") Integer>
              lookHours) {}

  /** Scores of each jar, by what was scored; what is not in it is not scored. */
  record ScoresForm(
      long version,
      @NotNull(message = "Say what was scored.") Map<Criterion, Map<Integer, Double>> scores) {}

  /** A trial that ends. */
  record TrialEnd(long version) {}

  /** Which jar is on a section. */
  record OnSection(HeadSection section, int jar) {}

  /** A score of a jar. */
  record ScoreView(Criterion criterion, int jar, double score) {}

  /**
   * A trial.
   *
   * @param products what each jar holds; empty while nobody is to know
   */
  record TrialView(
      UUID id,
      long version,
      UUID person,
      String name,
      Instant begunAt,
      @Nullable Instant endedAt,
      boolean blind,
      int jars,
      List<String> products,
      List<OnSection> on,
      List<ScoreView> scores) {}

  /** What several trials say of one criterion. */
  record VerdictLine(Criterion criterion, String words, boolean settled) {}

  /**
   * What all ended trials of the same products say together.
   *
   * @param criteria how many share the threshold
   */
  record ProductsVerdict(
      List<String> products, int trials, int criteria, List<VerdictLine> lines) {}

  /** What a criterion is called, and what scores it takes. */
  record CriterionView(Criterion criterion, double least, double most, boolean lessIsBetter) {}

  /** All trials, the newest first. */
  record TrialsView(
      List<TrialView> trials, List<ProductsVerdict> verdicts, List<CriterionView> criteria) {}

  /** What is in which jar, for whoever fills them. */
  record JarsView(List<String> products) {}
}
