package dremsa.server.accounts;

import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Whose hands are at work in this request. */
@Component
public class Acting {
  private final JdbcTemplate jdbc;

  Acting(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** How the household calls them; null where Dremsa works by itself. */
  public @Nullable String called() {
    Authentication known = SecurityContextHolder.getContext().getAuthentication();
    if (known == null || !(known.getPrincipal() instanceof Member member)) {
      return null;
    }
    return jdbc
        .queryForList(
            "select called from account where id = ?", String.class, member.accountId().toString())
        .stream()
        .findFirst()
        .orElse(null);
  }
}
