package dremsa.server.plan;

import dremsa.core.plan.Agreed;
import dremsa.core.plan.BrewPlan;
import dremsa.core.plan.FreeTime;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What is said of plans, over HTTP and in their columns. */
final class PlanJson {
  static final int MOST_BREWS = 120;
  private static final String HOW_MUCH = "Above 0 and up to 5 L.";

  private PlanJson() {}

  /** A day of the week with time to brew. */
  record FreeDay(
      @NotNull(message = "Say which day.") DayOfWeek day,
      @NotNull(message = "Say from when.") LocalTime from,
      @NotNull(message = "Say until when.") LocalTime to) {}

  /**
   * What plans are made by.
   *
   * @param evenings when there is time to brew
   * @param off days on which there is none after all
   * @param freezerMl room in the freezer, what is in it counts
   * @param fridgeMl room in fridge and containers, what stands counts
   */
  record PlanSettings(
      @NotNull(message = "Say when there is time.")
          @Size(max = 7, message = "A week has seven days.")
          List<@Valid FreeDay> evenings,
      @NotNull(message = "Say which days are off.")
          @Size(max = 100, message = "At most 100 days off.")
          List<LocalDate> off,
      @DecimalMin(value = "0", message = "0 or more.")
          @DecimalMax(value = "100000", message = "At most 100 L.")
          double freezerMl,
      @DecimalMin(value = "0", message = "0 or more.")
          @DecimalMax(value = "100000", message = "At most 100 L.")
          double fridgeMl) {
    static final PlanSettings USUAL =
        new PlanSettings(
            FreeTime.USUAL.usual().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(
                    entry ->
                        new FreeDay(entry.getKey(), entry.getValue().from(), entry.getValue().to()))
                .toList(),
            List.of(),
            1500,
            5000);

    FreeTime toCore() {
      Map<DayOfWeek, FreeTime.Span> usual = new EnumMap<>(DayOfWeek.class);
      evenings.forEach(each -> usual.put(each.day(), new FreeTime.Span(each.from(), each.to())));
      return new FreeTime(usual, Set.copyOf(off));
    }
  }

  /** Settings to be kept. */
  record SettingsForm(
      @NotNull(message = "Say what is to be kept.") @Valid PlanSettings settings,
      @NotNull(message = "Say which state was seen.") Long version) {}

  /** A brew on a day. */
  record BrewForm(
      @NotNull(message = "Say on which day.") LocalDate day,
      @NotNull(message = "Say what is brewed.") String formula,
      @DecimalMin(value = "1", message = HOW_MUCH) @DecimalMax(value = "5000", message = HOW_MUCH)
          double millilitres,
      @Nullable Boolean pinned) {
    Agreed toCore() {
      return new Agreed(day, formula, millilitres, Boolean.TRUE.equals(pinned));
    }
  }

  /**
   * What if.
   *
   * @param brews exactly these; planned anew where left out
   * @param off more days off
   */
  record PlanWhatIf(
      @Size(max = MOST_BREWS, message = "At most 120 brews.") @Nullable List<@Valid BrewForm> brews,
      @Size(max = 100, message = "At most 100 days off.") @Nullable List<LocalDate> off,
      @Nullable Integer days) {}

  /** What is agreed on. */
  record TakePlanForm(
      @NotNull(message = "Say what is brewed.")
          @Size(max = MOST_BREWS, message = "At most 120 brews.")
          List<@Valid BrewForm> brews,
      @NotNull(message = "Say which state was seen.") Long version) {}

  /** Something wanted for nobody's routine. */
  record DemandForm(
      @NotNull(message = "Say of what.") String formula,
      @DecimalMin(value = "1", message = HOW_MUCH) @DecimalMax(value = "5000", message = HOW_MUCH)
          double millilitres,
      @NotNull(message = "Say by when.") LocalDate by,
      @NotNull(message = "Say what for.")
          @Size(min = 1, max = 120, message = "1 to 120 characters.")
          String words) {}

  /** Something wanted. */
  record DemandView(
      UUID id, String formula, String name, double millilitres, LocalDate by, String words) {}

  /** A day with time to brew. */
  record EveningView(LocalDate day, double minutes) {}

  /**
   * A brew of a plan.
   *
   * @param frozenMl of it goes into the freezer the same evening
   * @param agreed it is agreed on just so
   * @param why in the order in which they are told
   */
  record PlannedBrewView(
      LocalDate day,
      String formula,
      String name,
      double millilitres,
      double frozenMl,
      @Nullable LocalDate frozenTo,
      LocalDate from,
      LocalDate lastDay,
      double hands,
      boolean pinned,
      boolean agreed,
      List<String> why) {}

  /** Some for a use. */
  record PlanServing(
      LocalDate day, @Nullable UUID person, String words, double millilitres, boolean thawed) {}

  /**
   * A bottle or a brew along the days.
   *
   * @param id of the bottle; null for a brew of the plan
   * @param brew number of the brew; null for what stands
   * @param thrownMl is past its day before it is used up
   */
  record PlanBand(
      @Nullable String id,
      @Nullable Integer brew,
      String name,
      LocalDate from,
      LocalDate lastDay,
      double millilitres,
      double frozenMl,
      double thrownMl,
      List<PlanServing> servings) {}

  /** Somebody goes without. */
  record PlanWithout(
      LocalDate day, @Nullable UUID person, String words, double millilitres, double there) {}

  /**
   * A plan.
   *
   * @param obstacles why somebody goes without
   * @param minutes all that counts, as minutes of hands: the lower, the better
   * @param doable no limit is broken
   * @param words all of it in a sentence
   */
  record PlanView(
      List<PlannedBrewView> brews,
      List<PlanBand> bands,
      List<PlanWithout> without,
      List<String> obstacles,
      double brewedMl,
      double thrownMl,
      int sessions,
      double hands,
      double minutes,
      boolean doable,
      String words) {}

  /**
   * A search for a better plan.
   *
   * @param gap its answer is at most this share above the best there may be; null where that is not
   *     known
   */
  record SearchView(SearchState state, Instant askedAt, @Nullable Double gap) {}

  /** How far a search is. */
  enum SearchState {
    ASKED("waits"),
    RUNNING("at work"),
    DONE("done"),
    STOPPED("stopped"),
    FAILED("failed");

    private final String words;

    SearchState(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Plans as they stand.
   *
   * @param version of what is agreed on
   * @param agreed what was agreed on, as it would go now; null where nothing is
   * @param proposal what would be best, with as little as possible of what was agreed on changed
   * @param changed the proposal is worth agreeing on instead of what is agreed on
   * @param formulas what can be brewed
   */
  record PlansView(
      LocalDate today,
      Instant now,
      LocalDate to,
      long version,
      PlanSettings settings,
      List<EveningView> evenings,
      @Nullable PlanView agreed,
      PlanView proposal,
      boolean changed,
      List<DemandView> demands,
      List<FormulaChoice> formulas,
      @Nullable SearchView search) {}

  /** Something that can be brewed. */
  record FormulaChoice(String id, String name, double mostMl) {}

  /** What the plan needs of a formula next. */
  record NextBrew(LocalDate day, double millilitres, String words) {}

  /** What a search found, as it is kept. */
  record Found(List<BrewForm> brews, @Nullable Double gap) {
    static Found of(BrewPlan plan) {
      return new Found(
          plan.brews().stream()
              .map(
                  brew ->
                      new BrewForm(brew.day(), brew.formula(), brew.millilitres(), brew.pinned()))
              .toList(),
          plan.gap().isPresent() ? plan.gap().getAsDouble() : null);
    }
  }
}
