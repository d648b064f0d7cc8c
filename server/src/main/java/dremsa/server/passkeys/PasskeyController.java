package dremsa.server.passkeys;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.DeviceNames;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.audit.Audit;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The passkeys of whoever is signed in. */
@RestController
class PasskeyController {
  /** The attribute of a session that holds what its device was asked. */
  private static final String ASKED = "dremsa.passkey.asked";

  private final Passkeys passkeys;
  private final Accounts accounts;
  private final DeviceNames devices;
  private final Audit audit;

  PasskeyController(Passkeys passkeys, Accounts accounts, DeviceNames devices, Audit audit) {
    this.passkeys = passkeys;
    this.accounts = accounts;
    this.devices = devices;
    this.audit = audit;
  }

  /**
   * A passkey.
   *
   * @param id tells it apart from others, and opens nothing
   * @param label the browser and system that it was made with, and the name that it is for
   */
  record PasskeyView(String id, String label, Instant madeAt, Instant usedAt) {}

  /** Proof that whoever asks is who they are. */
  record PasskeyForm(
      @NotNull(message = "Type your password.")
          @Size(max = 100, message = "At most 100 characters.")
          String password) {}

  /** What a device made or answered, as its browser writes it down. */
  record DeviceAnswer(
      @NotNull(message = "The answer of the device is missing.") Map<String, Object> credential) {}

  @Operation(summary = "The passkeys of whoever asks")
  @GetMapping("/api/session/passkeys")
  List<PasskeyView> all(@AuthenticationPrincipal Member member) {
    return passkeys.of(member).stream().map(PasskeyController::view).toList();
  }

  private static PasskeyView view(CredentialRecord one) {
    return new PasskeyView(
        one.getCredentialId().toBase64UrlString(),
        one.getLabel(),
        one.getCreated(),
        one.getLastUsed());
  }

  @Operation(summary = "What the device has to be asked to make a passkey")
  @WithoutTurn
  @PostMapping("/api/session/passkeys/options")
  Map<String, Object> ask(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody PasskeyForm form,
      HttpServletRequest request) {
    accounts.prove(member, "password", form.password(), request);
    PublicKeyCredentialCreationOptions options = passkeys.ask(member, request);
    request.getSession().setAttribute(ASKED, options);
    return passkeys.asJson(options);
  }

  @Operation(summary = "Keep the passkey that the device made")
  @WithoutTurn
  @PostMapping("/api/session/passkeys")
  @ResponseStatus(HttpStatus.CREATED)
  List<PasskeyView> add(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody DeviceAnswer made,
      HttpServletRequest request) {
    if (!(request.getSession().getAttribute(ASKED)
        instanceof PublicKeyCredentialCreationOptions asked)) {
      throw Problem.conflict("No passkey was asked for. Begin again.");
    }
    // Good for one answer.
    request.getSession().removeAttribute(ASKED);
    String label = devices.of(request.getHeader("User-Agent")) + ", " + request.getServerName();
    passkeys.add(asked, made.credential(), label, request);
    tell(Audit.What.PASSKEY_ADDED, member, label, request);
    return all(member);
  }

  @Operation(summary = "Take a passkey away; it opens nothing any more")
  @WithoutTurn
  @DeleteMapping("/api/session/passkeys/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @AuthenticationPrincipal Member member, @PathVariable String id, HttpServletRequest request) {
    tell(Audit.What.PASSKEY_TAKEN_AWAY, member, passkeys.remove(member, id), request);
  }

  private void tell(Audit.What what, Member member, String label, HttpServletRequest request) {
    audit.tell(what, member.household(), member.signIn(), request.getRemoteAddr(), label);
  }
}
