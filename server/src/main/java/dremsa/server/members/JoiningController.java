package dremsa.server.members;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Arrivals;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.Role;
import dremsa.server.audit.Audit;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Somebody who was invited comes in. */
@RestController
class JoiningController {
  private final Invitations invitations;
  private final Accounts accounts;
  private final Arrivals arrivals;
  private final Audit audit;

  JoiningController(Invitations invitations, Accounts accounts, Arrivals arrivals, Audit audit) {
    this.invitations = invitations;
    this.accounts = accounts;
    this.arrivals = arrivals;
    this.audit = audit;
  }

  /** A code, as it was typed or scanned. */
  record CodeForm(
      @NotBlank(message = "Type the code.") @Size(max = 40, message = "At most 40 characters.")
          String code) {}

  /** What a code opens, before anybody goes in. */
  record InvitedView(String household, String by, Role role, Instant until) {}

  /** Who comes in. */
  record JoinForm(
      @NotBlank(message = "Type the code.") @Size(max = 40, message = "At most 40 characters.")
          String code,
      @NotBlank(message = "Say what the others call you.")
          @Size(max = 40, message = "A name has 1 to 40 characters.")
          String called,
      @NotNull(message = "Choose a sign-in name.")
          @Pattern(
              regexp = "[A-Za-z0-9._-]{2,40}",
              message = "2 to 40 letters, digits, dots, dashes or underscores.")
          String signIn,
      @NotNull(message = "Choose a password.")
          @Size(min = 8, max = 100, message = "A password has 8 to 100 characters.")
          String password) {}

  @Operation(summary = "What an invitation's code opens")
  @PostMapping("/api/joining/look")
  InvitedView look(@Valid @RequestBody CodeForm form, HttpServletRequest request) {
    Invitations.Into into = opened(form.code(), request);
    return new InvitedView(into.name(), into.by(), into.role(), into.until());
  }

  @Operation(summary = "Come in with an invitation's code, under a name of one's own")
  @PostMapping("/api/joining")
  @ResponseStatus(HttpStatus.CREATED)
  void join(
      @Valid @RequestBody JoinForm form, HttpServletRequest request, HttpServletResponse response) {
    Invitations.Into into = opened(form.code(), request);
    accounts.requireGood(form.password(), form.signIn(), into.household());
    Member member = invitations.use(form.code(), form.called(), form.signIn(), form.password());
    arrivals.arrive(member, request, response);
    audit.tell(
        Audit.What.JOINED,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        form.called().strip() + " as " + MemberController.word(into.role()));
  }

  /** Guesses at codes are counted like guesses at passwords. */
  private Invitations.Into opened(String code, HttpServletRequest request) {
    arrivals.countTry(request);
    Invitations.Into into = invitations.look(code);
    arrivals.wasRight(request);
    return into;
  }
}
