package dremsa.server.accounts;

import dremsa.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Begins sessions; they live in the database, so that any instance knows them. */
@Component
class Sessions {
  private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

  /** The attribute of a session that holds what its device is called. */
  private static final String CALLED = "dremsa.device";

  private final FindByIndexNameSessionRepository<? extends Session> kept;
  private final DeviceNames names;

  Sessions(FindByIndexNameSessionRepository<? extends Session> kept, DeviceNames names) {
    this.kept = kept;
    this.names = names;
  }

  /** Ends the sessions of a member on all other devices. */
  void endOthers(Member member, HttpServletRequest request) {
    String own = request.getSession().getId();
    kept.findByPrincipalName(member.getName()).keySet().stream()
        .filter(id -> !id.equals(own))
        .forEach(kept::deleteById);
  }

  /** Ends all sessions of somebody, on all devices. */
  void endAll(UUID account) {
    kept.findByPrincipalName(account.toString()).keySet().forEach(kept::deleteById);
  }

  /**
   * A device on which somebody is signed in.
   *
   * @param id tells it apart from others, and opens nothing
   * @param called the browser and what it runs on
   * @param used to the minute
   * @param here whether it is the one that asks
   */
  record SignedIn(String id, String called, Instant since, Instant used, boolean here) {}

  /** The devices on which a member is signed in, the last used first. */
  List<SignedIn> of(Member member, HttpServletRequest request) {
    String own = request.getSession().getId();
    return kept.findByPrincipalName(member.getName()).values().stream()
        .map(
            session ->
                new SignedIn(
                    idOf(session),
                    session.getAttributeOrDefault(CALLED, "A device"),
                    session.getCreationTime(),
                    session.getLastAccessedTime(),
                    session.getId().equals(own)))
        .sorted(Comparator.comparing(SignedIn::used).reversed())
        .toList();
  }

  /**
   * Signs a member out on one device.
   *
   * @throws Problem 404 when they are not signed in there
   */
  void end(Member member, String device) {
    String session =
        kept.findByPrincipalName(member.getName()).values().stream()
            .filter(one -> idOf(one).equals(device))
            .map(Session::getId)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("device"));
    kept.deleteById(session);
  }

  /** A session's own id is the key to it, and is never shown. */
  private static String idOf(Session session) {
    return DigestUtils.sha256Hex(session.getId()).substring(0, 16);
  }

  void begin(Member member, HttpServletRequest request, HttpServletResponse response) {
    HttpSession before = request.getSession(false);
    if (before != null) {
      // What was handed out before the sign-in must not stay valid after it, nor its age count.
      before.invalidate();
    }
    request.getSession(true).setAttribute(CALLED, names.of(request.getHeader("User-Agent")));
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(member, null, List.of()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }
}
