package dremsa.server.journal;

import dremsa.core.brew.Thickness;
import dremsa.core.learn.Confounder;
import dremsa.core.learn.Criterion;
import dremsa.core.learn.Mean;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The journal on the wire, and as it is kept. */
final class JournalJson {
  static final int MOST_WORDS = 4000;

  private JournalJson() {}

  /**
   * What is kept of an entry.
   *
   * @param thickness how thick it was found when cold; null where nobody said
   */
  record KeptEntry(
      String words,
      Map<Criterion, Double> scores,
      List<Confounder> beside,
      @Nullable Thickness thickness) {
    KeptEntry {
      scores.forEach(
          (criterion, score) -> {
            if (score == null || !criterion.holds(score)) {
              throw new IllegalArgumentException(criterion.words() + " is not scored " + score);
            }
          });
    }
  }

  /** What is kept of a course. */
  record KeptCourse(List<Confounder> beside) {}

  /**
   * Something to be written down.
   *
   * @param version of what is changed; null for something new
   * @param day null for today
   * @param person on whose head; null where it is on nobody's
   * @param batch of which; null where it is of none
   * @param thickness how thick a batch was found when cold
   */
  record EntryForm(
      @Nullable Long version,
      @Nullable LocalDate day,
      @Nullable UUID person,
      @Nullable UUID batch,
      @Size(max = MOST_WORDS, message = "At most 4000 characters.") @Nullable String words,
      @Nullable Map<Criterion, Double> scores,
      @Nullable List<Confounder> beside,
      @Nullable Thickness thickness) {}

  /** A score, as it was given. */
  record ScoreLine(Criterion criterion, double score) {}

  /** What was written down. */
  record EntryView(
      UUID id,
      long version,
      LocalDate day,
      @Nullable UUID person,
      String name,
      @Nullable UUID batch,
      String code,
      String words,
      List<ScoreLine> scores,
      List<Confounder> beside,
      @Nullable Thickness thickness) {}

  /** What a page is about. */
  enum PageKind {
    BATCH("batch"),
    HEAD("day on a head"),
    NOTE("note");

    private final String words;

    PageKind(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }
  }

  /**
   * A page in short.
   *
   * @param batch whose page it is; null for a day on a head
   * @param title name of the brew, or of the person
   * @param says what happened, in a few words
   */
  record JournalPage(
      PageKind kind,
      LocalDate day,
      @Nullable UUID batch,
      String code,
      @Nullable UUID person,
      String title,
      String says,
      List<EntryView> entries,
      List<PhotoLine> photos) {}

  /** A photo of a head on that day; those of a batch stand with it. */
  record PhotoLine(UUID id, String caption) {}

  /** What can be scored. */
  record ScoredView(Criterion criterion, double least, double most, boolean lessIsBetter) {}

  /** A score at its day. */
  record TimelinePoint(LocalDate day, double score, String about) {}

  /** A mean with its interval. */
  record MeanView(int n, @Nullable Double value, @Nullable Double low, @Nullable Double high) {
    static MeanView of(Mean mean) {
      return new MeanView(
          mean.n(),
          Double.isNaN(mean.value()) ? null : mean.value(),
          mean.low().isPresent() ? mean.low().getAsDouble() : null,
          mean.high().isPresent() ? mean.high().getAsDouble() : null);
    }
  }

  /** How something was scored over time. */
  record TimelineView(Criterion criterion, List<TimelinePoint> points, MeanView mean) {}

  /**
   * Some pages of the journal.
   *
   * @param earlier the day before which there may be more; null where all is told
   * @param timelines of the person or formula asked for; empty where none was
   */
  record JournalView(
      LocalDate today,
      List<JournalPage> pages,
      @Nullable LocalDate earlier,
      List<TimelineView> timelines,
      List<ScoredView> criteria) {}

  /** A course to be begun. */
  record CourseForm(
      @NotNull(message = "Say on whose head.") UUID person,
      @NotBlank(message = "Say of what.") @Size(max = 80, message = "At most 80 letters.")
          String formula,
      @Nullable LocalDate from,
      @NotNull(message = "Say how long.")
          @Min(value = 1, message = "At least a week.")
          @Max(value = 52, message = "At most 52 weeks.")
          Integer weeks,
      @NotNull(message = "Say how often.")
          @Min(value = 1, message = "At most once a day.")
          @Max(value = 28, message = "At least once in four weeks.")
          Integer everyDays) {}

  /**
   * What is said of a course.
   *
   * @param over whether it is ended
   */
  record CourseChange(
      long version,
      @NotNull(message = "Say what else changed, or nothing.") List<Confounder> beside,
      boolean over) {}

  /**
   * A course.
   *
   * @param ticks days on which it was used
   * @param words what can be told, and what not
   */
  record CourseView(
      UUID id,
      long version,
      UUID person,
      String name,
      String formula,
      String product,
      LocalDate from,
      LocalDate last,
      int everyDays,
      List<LocalDate> ticks,
      int wanted,
      @Nullable Instant endedAt,
      List<Confounder> beside,
      List<String> words) {}

  /** All courses, the newest first. */
  record CoursesView(LocalDate today, List<CourseView> courses) {}

  /** A yield that was measured, beside what was foretold for it. */
  record YieldLine(UUID batch, String code, LocalDate day, double millilitres, double foretold) {}

  /**
   * One of two compared.
   *
   * @param yields of its batches that were measured
   * @param share of what was foretold, that came out
   * @param handsMinutes that it keeps hands busy
   * @param batches that were begun of it, at most 30
   */
  record SideView(
      String formula,
      @Nullable Integer version,
      String name,
      double handsMinutes,
      int batches,
      List<YieldLine> yields,
      MeanView share) {}

  /** A criterion on both sides. */
  record JudgedView(
      Criterion criterion, MeanView left, MeanView right, String words, boolean settled) {}

  /** Two side by side, as far as they were brewed and judged. */
  record VersusView(SideView left, SideView right, List<JudgedView> judged) {}
}
