package dremsa.server.history;

import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class HistoryController {
  private static final int SIZE = 40;

  private final HappeningRepository repository;

  HistoryController(HappeningRepository repository) {
    this.repository = repository;
  }

  /**
   * One line of the record.
   *
   * @param doneBy as the household called them then; null where nobody is known
   */
  record HistoryLine(
      long id,
      Instant at,
      Happening.Kind kind,
      String code,
      String name,
      @Nullable Double millilitres,
      String detail,
      boolean undone,
      @Nullable String doneBy,
      UUID batchId,
      @Nullable UUID bottleId) {}

  /** A page of the record, the newest first. */
  record HistoryPage(List<HistoryLine> lines, int page, boolean more) {}

  @GetMapping("/api/history")
  HistoryPage page(
      @AuthenticationPrincipal Member member, @RequestParam(defaultValue = "0") int page) {
    if (page < 0 || page > 100_000) {
      throw Problem.invalid(FieldProblem.range("page", page, "There is no such page.", 0, 100_000));
    }
    List<HistoryLine> lines =
        repository.page(member.household(), PageRequest.of(page, SIZE)).stream()
            .map(
                line ->
                    new HistoryLine(
                        line.getId(),
                        line.getHappenedAt(),
                        line.getKind(),
                        line.getCode(),
                        line.getName(),
                        line.getMillilitres(),
                        line.getDetail(),
                        line.getUndone(),
                        line.getDoneBy(),
                        line.getBatchId(),
                        line.getBottleId()))
            .toList();
    return new HistoryPage(lines, page, lines.size() == SIZE);
  }
}
