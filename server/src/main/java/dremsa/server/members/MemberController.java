package dremsa.server.members;

import dremsa.server.accounts.Accounts;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.MemberGone;
import dremsa.server.accounts.Role;
import dremsa.server.audit.Audit;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of a household who sign in. */
@RestController
class MemberController {
  private final Accounts accounts;
  private final ApplicationEventPublisher events;
  private final Audit audit;

  MemberController(Accounts accounts, ApplicationEventPublisher events, Audit audit) {
    this.accounts = accounts;
    this.events = events;
    this.audit = audit;
  }

  /** Somebody of the household; whether it is who asks. */
  record MemberView(UUID id, String signIn, String called, Role role, Instant since, boolean me) {}

  /** What somebody may do from now on. */
  record RoleForm(@NotNull(message = "Say what they may do.") Role role) {}

  /** Another name. */
  record NameForm(
      @NotBlank(message = "A name has 1 to 40 characters.")
          @Size(max = 40, message = "A name has 1 to 40 characters.")
          String called) {}

  /** Proof that whoever asks is who they are. */
  record LeaveForm(
      @NotNull(message = "Type your password.")
          @Size(max = 100, message = "At most 100 characters.")
          String password) {}

  /** A role as sentences name it. */
  static String word(Role role) {
    return role.name().toLowerCase(Locale.ROOT);
  }

  @Operation(summary = "Who signs in to this household")
  @GetMapping("/api/members")
  List<MemberView> all(@AuthenticationPrincipal Member member) {
    return accounts.of(member.household()).stream()
        .map(
            person ->
                new MemberView(
                    person.id(),
                    person.signIn(),
                    person.called(),
                    person.role(),
                    person.since(),
                    person.id().equals(member.accountId())))
        .toList();
  }

  @Operation(summary = "Let somebody do more or less")
  @PutMapping("/api/members/{id}")
  @Transactional
  List<MemberView> become(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody RoleForm form,
      HttpServletRequest request) {
    Accounts.Person person = accounts.get(member.household(), id);
    accounts.become(member.household(), id, form.role());
    tell(member, Audit.What.ROLE_CHANGED, person.called() + ": " + word(form.role()), request);
    return all(member);
  }

  @Operation(summary = "Take somebody away; they are signed out everywhere at once")
  @DeleteMapping("/api/members/{id}")
  @Transactional
  List<MemberView> takeAway(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, HttpServletRequest request) {
    if (id.equals(member.accountId())) {
      throw Problem.conflict(
          "To leave the household yourself, choose 'Leave' and prove who you are.");
    }
    Accounts.Person person = accounts.get(member.household(), id);
    accounts.remove(member.household(), id);
    tell(member, Audit.What.TAKEN_AWAY, person.called(), request);
    return all(member);
  }

  @Operation(summary = "Be called something else")
  @PutMapping("/api/members/me")
  @Transactional
  List<MemberView> rename(
      @AuthenticationPrincipal Member member, @Valid @RequestBody NameForm form) {
    accounts.rename(member.household(), member.accountId(), form.called());
    return all(member);
  }

  @Operation(summary = "Leave the household: the sign-in is deleted, and the record names nobody")
  @PostMapping("/api/members/me/leave")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  void leave(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody LeaveForm form,
      HttpServletRequest request) {
    accounts.prove(member, "password", form.password(), request);
    Accounts.Person person = accounts.get(member.household(), member.accountId());
    accounts.remove(member.household(), member.accountId());
    events.publishEvent(new MemberGone(member.household(), person.called()));
    tell(member, Audit.What.LEFT, "", request);
  }

  private void tell(Member by, Audit.What what, String about, HttpServletRequest request) {
    audit.tell(what, by.household(), by.signIn(), request.getRemoteAddr(), about);
  }
}
