package dremsa.server.accounts;

import dremsa.server.audit.Audit;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Where somebody is signed in. */
@RestController
class SignedInController {
  private final Sessions sessions;
  private final Audit audit;

  SignedInController(Sessions sessions, Audit audit) {
    this.sessions = sessions;
    this.audit = audit;
  }

  @Operation(summary = "The devices on which whoever asks is signed in")
  @GetMapping("/api/session/devices")
  List<Sessions.SignedIn> devices(
      @AuthenticationPrincipal Member member, HttpServletRequest request) {
    return sessions.of(member, request);
  }

  @Operation(summary = "Sign out on one device")
  @WithoutTurn
  @DeleteMapping("/api/session/devices/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(
      @AuthenticationPrincipal Member member, @PathVariable String id, HttpServletRequest request) {
    sessions.end(member, id);
    audit.tell(
        Audit.What.SIGNED_OUT_ELSEWHERE,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "");
  }

  @Operation(summary = "Sign out on all other devices")
  @WithoutTurn
  @DeleteMapping("/api/session/devices")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endOthers(@AuthenticationPrincipal Member member, HttpServletRequest request) {
    sessions.endOthers(member, request);
    audit.tell(
        Audit.What.SIGNED_OUT_ELSEWHERE,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "on all other devices");
  }
}
