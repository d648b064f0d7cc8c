package dremsa.server.accounts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What somebody may do is asked with every request, not remembered from their sign-in: who was
 * taken away is out, and who became a guest is one, whatever sessions there still are and on
 * whichever instance. A session ends for good so long after it began.
 */
class StandingFilter extends OncePerRequestFilter {
  /** However often it is used: after this long somebody has to sign in again. */
  static final Duration LONGEST_SESSION = Duration.ofDays(180);

  private final JdbcTemplate jdbc;
  private final Doors doors;
  private final Clock clock;

  StandingFilter(JdbcTemplate jdbc, Doors doors, Clock clock) {
    this.jdbc = jdbc;
    this.doors = doors;
    this.clock = clock;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getServletPath().startsWith("/api/");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Authentication known = SecurityContextHolder.getContext().getAuthentication();
    if (known != null && known.getPrincipal() instanceof Member member) {
      HttpSession session = request.getSession(false);
      Optional<Role> role = session == null || old(session) ? Optional.empty() : role(member);
      SecurityContext now = SecurityContextHolder.createEmptyContext();
      role.ifPresent(
          found ->
              now.setAuthentication(
                  UsernamePasswordAuthenticationToken.authenticated(
                      member, null, List.of(new SimpleGrantedAuthority("ROLE_" + found.name())))));
      if (role.isEmpty() && session != null) {
        session.invalidate();
      }
      SecurityContextHolder.setContext(now);
    }
    chain.doFilter(request, response);
  }

  private boolean old(HttpSession session) {
    Instant began = Instant.ofEpochMilli(session.getCreationTime());
    return clock.instant().isAfter(began.plus(LONGEST_SESSION));
  }

  private Optional<Role> role(Member member) {
    return jdbc
        .query(
            "select a.role, h.demo from account a join household h on h.id = a.household_id"
                + " where a.id = ? and a.household_id = ?",
            (row, n) ->
                row.getBoolean(2) && !doors.demoOpen()
                    ? Optional.<Role>empty()
                    : Optional.of(Role.valueOf(row.getString(1))),
            member.accountId().toString(),
            member.household().toString())
        .stream()
        .findFirst()
        .flatMap(found -> found);
  }
}
