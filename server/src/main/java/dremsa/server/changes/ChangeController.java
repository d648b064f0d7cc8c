package dremsa.server.changes;

import dremsa.server.accounts.Member;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
@Hidden
class ChangeController {
  private final ChangeStream stream;

  ChangeController(ChangeStream stream) {
    this.stream = stream;
  }

  @GetMapping(path = "/api/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter changes(@AuthenticationPrincipal Member member, HttpServletRequest request) {
    return stream.open(member.household(), request.getSession(false).getId());
  }
}
