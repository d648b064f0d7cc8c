package dremsa.server.wire;

import dremsa.core.keep.Assumption;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.Reason;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How long a brew keeps, and why.
 *
 * @param budgetHours life at 5 °C; null when only the cap counts
 * @param spentHours of it up to now
 * @param lostHours of it that warmth took beyond the time that passed anyway
 * @param spent what cost life, the dearest first
 * @param subtraction the life less what was spent of it, in hours at 5 °C; null where only a cap
 *     counts
 * @param hangsOn what the last day takes for granted most; null where nothing moves it, or where it
 *     was not asked for
 */
public record VerdictJson(
    KeepingClass keepingClass,
    String classWords,
    School school,
    LocalDate lastDay,
    boolean useNow,
    Instant runsOut,
    Verdict.Clock clock,
    Instant capEnds,
    boolean marked,
    @Nullable Double budgetHours,
    double spentHours,
    double lostHours,
    List<CostJson> spent,
    @Nullable String subtraction,
    List<ReasonJson> reasons,
    @Nullable AssumptionJson hangsOn) {

  /** What the last day takes for granted: "if the fridge is 7 °C", and the day it has then. */
  public record AssumptionJson(String words, LocalDate lastDay, boolean useNow) {}

  /**
   * What cost life.
   *
   * @param hours it lasted
   * @param spentHours of life at 5 °C
   */
  public record CostJson(String cause, double hours, double spentHours) {}

  /**
   * One reason.
   *
   * @param code stable kind of reason
   * @param words one sentence
   * @param source the published work behind it; empty where there is none
   */
  public record ReasonJson(String code, String words, String source) {}

  public static VerdictJson of(Verdict verdict) {
    return of(verdict, Optional.empty());
  }

  public static VerdictJson of(Verdict verdict, Optional<Assumption> hangsOn) {
    return new VerdictJson(
        verdict.keepingClass(),
        verdict.keepingClass().words(),
        verdict.school(),
        verdict.lastDay(),
        verdict.useNow(),
        verdict.runsOut(),
        verdict.clock(),
        verdict.capEnds(),
        verdict.marked(),
        Double.isInfinite(verdict.budgetHours()) ? null : verdict.budgetHours(),
        verdict.spentHours(),
        verdict.budgetHours() > 1e6 ? 0 : verdict.lostHours(),
        verdict.spent().stream()
            .map(cost -> new CostJson(cost.cause(), cost.hours(), cost.spent()))
            .toList(),
        verdict.subtraction().orElse(null),
        verdict.reasons().stream().map(VerdictJson::reason).toList(),
        hangsOn.map(a -> new AssumptionJson(a.words(), a.lastDay(), a.useNow())).orElse(null));
  }

  private static ReasonJson reason(Reason reason) {
    return new ReasonJson(reason.code(), reason.words(), reason.source());
  }
}
