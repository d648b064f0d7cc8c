package dremsa.server.backup;

import dremsa.server.accounts.Member;
import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
@Hidden
class BackupController {
  private final Backup backup;

  BackupController(Backup backup) {
    this.backup = backup;
  }

  @GetMapping("/api/backup.zip")
  ResponseEntity<StreamingResponseBody> write(@AuthenticationPrincipal Member member) {
    return ResponseEntity.ok()
        .header("Content-Type", "application/zip")
        .header("Content-Disposition", "attachment; filename=\"dremsa-backup.zip\"")
        .body(out -> backup.write(member.household(), out));
  }

  @PostMapping(path = "/api/restore", consumes = "application/zip")
  void read(@AuthenticationPrincipal Member member, InputStream file) throws IOException {
    backup.read(member.household(), file);
  }
}
