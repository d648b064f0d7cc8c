package dremsa.server.accounts;

import dremsa.server.audit.Audit;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Changes the password of whoever is signed in. */
@RestController
class PasswordController {
  private final Accounts accounts;
  private final Sessions sessions;
  private final Audit audit;

  PasswordController(Accounts accounts, Sessions sessions, Audit audit) {
    this.accounts = accounts;
    this.sessions = sessions;
    this.audit = audit;
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
    accounts.prove(member, "old", form.old(), request);
    accounts.requireGood(form.password(), member.signIn(), member.household());
    accounts.renew(member.accountId(), form.password());
    audit.tell(
        Audit.What.PASSWORD_CHANGED,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "");
    sessions.begin(member, request, response);
  }
}
