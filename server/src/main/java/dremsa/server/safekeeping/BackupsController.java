package dremsa.server.safekeeping;

import dremsa.server.accounts.Member;
import io.swagger.v3.oas.annotations.Operation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is kept of a household by itself. */
@RestController
class BackupsController {
  private final Safekeeping safekeeping;
  private final BackupFolder folder;

  BackupsController(Safekeeping safekeeping, BackupFolder folder) {
    this.safekeeping = safekeeping;
    this.folder = folder;
  }

  /** A file of a day. */
  record KeptFile(LocalDate day, long bytes) {}

  /**
   * How backups stand.
   *
   * @param folder where they are on the server's machine; null where none are kept
   * @param goodAt when the last one read back whole
   * @param why the last try failed
   */
  record BackupsView(
      @Nullable String folder,
      @Nullable Instant goodAt,
      @Nullable String why,
      List<KeptFile> files) {}

  @Operation(summary = "The backups that Dremsa made by itself")
  @GetMapping("/api/backups")
  BackupsView get(@AuthenticationPrincipal Member member) {
    Safekeeping.State state = safekeeping.state(member.household());
    return new BackupsView(
        folder.root().map(Object::toString).orElse(null),
        state.goodAt(),
        state.why(),
        folder.of(member.household()).stream()
            .map(kept -> new KeptFile(kept.day(), kept.bytes()))
            .toList());
  }
}
