package dremsa.server.members;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Arrivals;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.audit.Audit;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A forgotten password is replaced with a code from paper. */
@RestController
class RecoveryController {
  private final RecoveryCodes codes;
  private final Accounts accounts;
  private final Arrivals arrivals;
  private final Audit audit;

  RecoveryController(RecoveryCodes codes, Accounts accounts, Arrivals arrivals, Audit audit) {
    this.codes = codes;
    this.accounts = accounts;
    this.arrivals = arrivals;
    this.audit = audit;
  }

  /** Proof that whoever asks is who they are. */
  record CodesForm(
      @NotNull(message = "Type your password.")
          @Size(max = 100, message = "At most 100 characters.")
          String password) {}

  /** Codes just made; they are told this once. */
  record MadeCodes(List<String> codes) {}

  /** How many codes are left. */
  record CodesLeft(int left, @Nullable Instant madeAt) {}

  /**
   * A new password for one that was forgotten.
   *
   * @param code one of the codes on paper
   */
  record RecoveryForm(
      @NotBlank(message = "Type your sign-in name.")
          @Size(max = 40, message = "At most 40 characters.")
          String signIn,
      @NotBlank(message = "Type one of your codes.")
          @Size(max = 40, message = "At most 40 characters.")
          String code,
      @NotNull(message = "Choose a password.")
          @Size(min = 8, max = 100, message = "A password has 8 to 100 characters.")
          String password) {}

  @Operation(summary = "How many recovery codes are left")
  @GetMapping("/api/session/recovery-codes")
  CodesLeft left(@AuthenticationPrincipal Member member) {
    return codes.left(member.accountId());
  }

  @Operation(summary = "Make recovery codes; those made before are worth nothing any more")
  @WithoutTurn
  @PostMapping("/api/session/recovery-codes")
  MadeCodes make(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody CodesForm form,
      HttpServletRequest request) {
    accounts.prove(member, "password", form.password(), request);
    List<String> made = codes.make(member.accountId());
    audit.tell(
        Audit.What.RECOVERY_CODES_MADE,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "");
    return new MadeCodes(made);
  }

  @Operation(summary = "Choose a new password with a recovery code, and come in")
  @PostMapping("/api/session/recovery")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void recover(
      @Valid @RequestBody RecoveryForm form,
      HttpServletRequest request,
      HttpServletResponse response) {
    String key = form.signIn().strip().toLowerCase(Locale.ROOT);
    arrivals.countTry(key, request);
    Member member =
        codes
            .owner(key, form.code())
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            "code",
                            null,
                            "This is no code of this name, or it was used already.")));
    accounts.requireGood(form.password(), key, member.household());
    if (!codes.use(member.accountId(), form.code())) {
      throw Problem.conflict("This code was used a moment ago.");
    }
    arrivals.wasRight(key, request);
    accounts.renew(member.accountId(), form.password());
    arrivals.arrive(member, request, response);
    audit.tell(Audit.What.PASSWORD_RECOVERED, member.household(), key, request.getRemoteAddr(), "");
  }
}
