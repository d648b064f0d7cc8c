package dremsa.server.passkeys;

import dremsa.server.accounts.Arrivals;
import dremsa.server.accounts.Member;
import dremsa.server.audit.Audit;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Coming in with a passkey. */
@RestController
class PasskeyDoorController {
  /** The attribute of a session that holds what a device was asked at the door. */
  private static final String ASKED = "dremsa.passkey.door";

  /** A stranger's session holds the question alone, and is kept as long as an answer takes. */
  private static final Duration PATIENCE = Duration.ofMinutes(5);

  private final Passkeys passkeys;
  private final Arrivals arrivals;
  private final Audit audit;

  PasskeyDoorController(Passkeys passkeys, Arrivals arrivals, Audit audit) {
    this.passkeys = passkeys;
    this.arrivals = arrivals;
    this.audit = audit;
  }

  @Operation(summary = "What the device has to be asked to come in with a passkey")
  @PostMapping("/api/session/passkey/options")
  Map<String, Object> ask(HttpServletRequest request) {
    PublicKeyCredentialRequestOptions options = passkeys.ask(request);
    HttpSession session = request.getSession(false);
    if (session == null) {
      session = request.getSession(true);
      session.setMaxInactiveInterval((int) PATIENCE.toSeconds());
    }
    session.setAttribute(ASKED, options);
    return passkeys.asJson(options);
  }

  @Operation(summary = "Come in with a passkey")
  @PostMapping("/api/session/passkey")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void comeIn(
      @Valid @RequestBody PasskeyController.DeviceAnswer answer,
      HttpServletRequest request,
      HttpServletResponse response) {
    arrivals.countTry(request);
    Member member =
        passkeys
            .owner(asked(request), answer.credential(), request)
            .orElseThrow(
                () ->
                    new Problem(
                        HttpStatus.UNAUTHORIZED,
                        "wrong-passkey",
                        "This passkey is not known here. Come in with your password.",
                        List.of()));
    arrivals.wasRight(request);
    arrivals.arrive(member, request, response);
    audit.tell(
        Audit.What.SIGNED_IN,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "with a passkey");
  }

  /** Good for one answer. */
  private static @Nullable PublicKeyCredentialRequestOptions asked(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session == null) {
      return null;
    }
    Object asked = session.getAttribute(ASKED);
    session.removeAttribute(ASKED);
    return asked instanceof PublicKeyCredentialRequestOptions options ? options : null;
  }
}
