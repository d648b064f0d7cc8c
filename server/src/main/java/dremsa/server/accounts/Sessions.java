package dremsa.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Begins sessions; they live in the database, so that any instance knows them. */
@Component
class Sessions {
  private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

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
