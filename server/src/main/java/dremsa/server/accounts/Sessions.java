package dremsa.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
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

  private final FindByIndexNameSessionRepository<? extends Session> kept;

  Sessions(FindByIndexNameSessionRepository<? extends Session> kept) {
    this.kept = kept;
  }

  /** Ends the sessions of a member on all other devices. */
  void endOthers(Member member, HttpServletRequest request) {
    String own = request.getSession().getId();
    kept.findByPrincipalName(member.getName()).keySet().stream()
        .filter(id -> !id.equals(own))
        .forEach(kept::deleteById);
  }

  void begin(Member member, HttpServletRequest request, HttpServletResponse response) {
    if (request.getSession(false) != null) {
      // A session id handed out before the sign-in must not stay valid after it.
      request.changeSessionId();
    }
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(member, null, List.of()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }
}
