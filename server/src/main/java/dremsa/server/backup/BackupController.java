package dremsa.server.backup;

import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.audit.Audit;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** A household whole, out and in. */
@RestController
@Hidden
class BackupController {
  private final Backup backup;
  private final Restore restore;
  private final Audit audit;

  BackupController(Backup backup, Restore restore, Audit audit) {
    this.backup = backup;
    this.restore = restore;
    this.audit = audit;
  }

  /** The file is sent with its length, so that whoever fetches it knows when it is not whole. */
  @GetMapping("/api/backup.zip")
  void write(
      @AuthenticationPrincipal Member member,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    Path file = backup.write(member.household());
    tell(Audit.What.BACKUP_FETCHED, member, request);
    try {
      response.setContentType("application/zip");
      response.setContentLengthLong(Files.size(file));
      response.setHeader("Content-Disposition", "attachment; filename=\"dremsa-backup.zip\"");
      response.setHeader("Cache-Control", "private, no-store");
      try (OutputStream out = response.getOutputStream()) {
        Files.copy(file, out);
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }

  @WithoutTurn
  @PostMapping(path = "/api/restore", consumes = "application/zip")
  void read(@AuthenticationPrincipal Member member, HttpServletRequest request, InputStream file)
      throws IOException {
    try {
      restore.read(member.household(), file);
      tell(Audit.What.RESTORED, member, request);
    } catch (Problem e) {
      // What is still on its way is read to its end, or the sender would not hear why.
      file.skip(Long.MAX_VALUE);
      throw e;
    }
  }

  private void tell(Audit.What what, Member member, HttpServletRequest request) {
    audit.tell(what, member.household(), member.signIn(), request.getRemoteAddr(), "");
  }
}
