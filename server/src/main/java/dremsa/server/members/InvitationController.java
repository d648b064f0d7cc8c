package dremsa.server.members;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.Role;
import dremsa.server.audit.Audit;
import dremsa.server.http.BaseAddress;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A keeper asks somebody in. */
@RestController
class InvitationController {
  private static final int LONGEST_HOURS = 24 * 14;

  private final Invitations invitations;
  private final Households households;
  private final BaseAddress base;
  private final Audit audit;

  InvitationController(
      Invitations invitations, Households households, BaseAddress base, Audit audit) {
    this.invitations = invitations;
    this.households = households;
    this.base = base;
    this.audit = audit;
  }

  /**
   * An invitation to make.
   *
   * @param hours how long it is good for
   */
  record NewInvitation(
      @NotNull(message = "Say what they may do.") Role role,
      @NotNull(message = "Say how long it is good for.")
          @Range(
              min = 1,
              max = LONGEST_HOURS,
              message = "It is good for 1 hour to " + LONGEST_HOURS + " hours.")
          Integer hours) {}

  /**
   * An invitation just made. Its code is told this once.
   *
   * @param link the page that takes the code, with the code behind its #, where no server sees it
   * @param reachable whether another device can open the link
   * @param size of the code's picture, in modules
   * @param path its dark modules, as an SVG path
   */
  record MadeInvitation(
      UUID id,
      String code,
      String link,
      boolean reachable,
      int size,
      String path,
      Instant until,
      List<Invitations.OpenInvitation> open) {}

  @Operation(summary = "Invitations that stand open, without their codes")
  @GetMapping("/api/invitations")
  List<Invitations.OpenInvitation> open(@AuthenticationPrincipal Member member) {
    return invitations.of(member.household());
  }

  @Operation(summary = "Invite somebody: a code that lets one person in and runs out")
  @PostMapping("/api/invitations")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  MadeInvitation invite(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody NewInvitation wanted,
      HttpServletRequest request) {
    Household household = households.of(member.household());
    if (households.demo().filter(demo -> demo.household().equals(household.id())).isPresent()) {
      throw Problem.conflict("The demo kitchen is open to all: nobody needs to be invited.");
    }
    UUID id = UUID.randomUUID();
    Instant until = households.now(household).plus(Duration.ofHours(wanted.hours()));
    String code = invitations.make(member, id, wanted.role(), until);
    audit.tell(
        Audit.What.INVITED,
        household.id(),
        member.signIn(),
        request.getRemoteAddr(),
        "as " + MemberController.word(wanted.role()));
    String link = base.of(request) + "/join#" + code;
    QrPicture picture = QrPicture.of(link);
    return new MadeInvitation(
        id,
        code,
        link,
        base.reachable(request),
        picture.size(),
        picture.path(),
        until,
        invitations.of(household.id()));
  }

  @Operation(summary = "Take an invitation back")
  @DeleteMapping("/api/invitations/{id}")
  @Transactional
  List<Invitations.OpenInvitation> takeBack(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, HttpServletRequest request) {
    invitations.takeBack(member.household(), id);
    audit.tell(
        Audit.What.INVITATION_TAKEN_BACK,
        member.household(),
        member.signIn(),
        request.getRemoteAddr(),
        "");
    return invitations.of(member.household());
  }
}
