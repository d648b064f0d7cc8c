package dremsa.server.leftovers;

import dremsa.core.keep.Leftover;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is left over, and what became of it. */
@RestController
@RequestMapping("/api/leftovers")
@Transactional
class LeftoverController {
  static final int MOST_OPEN = 50;
  private static final int MOST_ENDED = 10;

  private final Leftovers leftovers;
  private final SpentPlantRepository repository;
  private final Households households;

  LeftoverController(Leftovers leftovers, SpentPlantRepository repository, Households households) {
    this.leftovers = leftovers;
    this.repository = repository;
    this.households = households;
  }

  /**
   * A leftover.
   *
   * @param words what it is good for
   * @param lastDay for that; from the next day on it is compost
   * @param over that day is past
   * @param single whether it is one plant, which can go into the stores dried
   */
  record LeftoverLine(
      UUID id,
      long version,
      UUID batchId,
      String code,
      String name,
      Leftover.Use use,
      String words,
      String why,
      double dryGrams,
      double wetGrams,
      Instant strainedAt,
      LocalDate lastDay,
      boolean over,
      boolean single,
      SpentPlant.Outcome outcome,
      @Nullable Instant endedAt) {}

  /**
   * What became of it.
   *
   * @param driedGrams DRIED: what it weighs dry
   */
  record LeftoverEnd(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say what became of it.") SpentPlant.Outcome outcome,
      @Nullable Double driedGrams) {}

  /** Which version was seen. */
  record SeenLeftover(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Those that wait first, then the last ones that came to an end. */
  @GetMapping
  List<LeftoverLine> list(@AuthenticationPrincipal Member member) {
    Household household = households.of(member.household());
    LocalDate today = households.today(household);
    return Stream.concat(
            repository
                .findByHouseholdIdAndOutcomeOrderByLastDayAscStrainedAtAsc(
                    household.id(), SpentPlant.Outcome.OPEN, PageRequest.of(0, MOST_OPEN))
                .stream(),
            repository
                .findByHouseholdIdAndOutcomeNotOrderByEndedAtDesc(
                    household.id(), SpentPlant.Outcome.OPEN, PageRequest.of(0, MOST_ENDED))
                .stream())
        .map(
            s ->
                new LeftoverLine(
                    s.id(),
                    s.version(),
                    s.batchId(),
                    s.code(),
                    s.name(),
                    s.purpose(),
                    s.purpose().words(),
                    s.why(),
                    s.dryGrams(),
                    s.wetGrams(),
                    s.strainedAt(),
                    s.lastDay(),
                    Leftovers.over(s, today),
                    s.materialId() != null,
                    s.outcome(),
                    s.endedAt()))
        .toList();
  }

  @PostMapping("/{id}/end")
  List<LeftoverLine> end(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LeftoverEnd form) {
    if (form.outcome() == SpentPlant.Outcome.OPEN) {
      throw Problem.invalid(FieldProblem.of("outcome", "OPEN", "Say what became of it."));
    }
    leftovers.end(
        member.household(),
        id,
        form.version(),
        form.outcome(),
        form.driedGrams(),
        households.now(member.household()));
    return list(member);
  }

  @PostMapping("/{id}/undo")
  List<LeftoverLine> undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenLeftover seen) {
    leftovers.undo(member.household(), id, seen.version(), households.now(member.household()));
    return list(member);
  }
}
