package dremsa.server.members;

import dremsa.server.accounts.Member;
import dremsa.server.audit.Audit;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who came in and who was let in, for the keepers. */
@RestController
class AuditController {
  private static final int SIZE = 40;

  private final Audit audit;

  AuditController(Audit audit) {
    this.audit = audit;
  }

  @Operation(summary = "Sign-ins, invitations, restores and deletions, the newest first")
  @GetMapping("/api/audit")
  List<Audit.AuditLine> lines(
      @AuthenticationPrincipal Member member,
      @RequestParam(required = false) @Nullable Long before) {
    return audit.of(member.household(), before == null ? Long.MAX_VALUE : before, SIZE);
  }
}
