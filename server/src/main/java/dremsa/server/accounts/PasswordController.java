package dremsa.server.accounts;

import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Changes the password of whoever is signed in. */
@RestController
class PasswordController {
  private final AccountRepository accounts;
  private final Households households;
  private final PasswordEncoder encoder;
  private final Passwords passwords;
  private final SignInThrottle throttle;
  private final KnownDevices devices;
  private final Sessions sessions;

  PasswordController(
      AccountRepository accounts,
      Households households,
      PasswordEncoder encoder,
      Passwords passwords,
      SignInThrottle throttle,
      KnownDevices devices,
      Sessions sessions) {
    this.accounts = accounts;
    this.households = households;
    this.encoder = encoder;
    this.passwords = passwords;
    this.throttle = throttle;
    this.devices = devices;
    this.sessions = sessions;
  }

  /**
   * The change of a password.
   *
   * @param old as it is now
   * @param password as it shall be
   */
  record PasswordForm(
      @NotNull(message = "Type the password as it is now.")
          @Size(max = 100, message = "At most 100 characters.")
          String old,
      @NotNull(message = "Choose a password.")
          @Size(min = 8, max = 100, message = "A password has 8 to 100 characters.")
          String password) {}

  @Operation(summary = "Change the password; whoever is signed in elsewhere is signed out there")
  @PutMapping("/api/session/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody PasswordForm form,
      HttpServletRequest request,
      HttpServletResponse response) {
    Account account =
        accounts.findById(member.accountId()).orElseThrow(() -> Problem.notFound("account"));
    if (households.demo().filter(demo -> demo.accountId().equals(account.id())).isPresent()) {
      throw Problem.conflict("The demo kitchen is open to all: it has no password to change.");
    }
    String device = devices.of(account, request);
    throttle.count(account.signIn(), request.getRemoteAddr(), device);
    if (!encoder.matches(form.old(), account.passwordHash())) {
      throw Problem.invalid(FieldProblem.of("old", null, "This is not the password as it is now."));
    }
    throttle.succeeded(account.signIn(), request.getRemoteAddr(), device);
    passwords.check(
        form.password(), List.of(account.signIn(), households.of(account.householdId()).name()));
    accounts.renewHash(account.id(), Objects.requireNonNull(encoder.encode(form.password())));
    sessions.endOthers(member, request);
    sessions.begin(member, request, response);
  }
}
