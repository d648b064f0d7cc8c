package dremsa.server.accounts;

import static org.springframework.http.HttpMethod.DELETE;
import static org.springframework.http.HttpMethod.GET;
import static org.springframework.http.HttpMethod.POST;
import static org.springframework.http.HttpMethod.PUT;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.security.access.hierarchicalroles.RoleHierarchy;
import org.springframework.security.access.hierarchicalroles.RoleHierarchyImpl;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;

/**
 * Who may ask what, by method and path. What stands nowhere is a keeper's, so that a new door is
 * shut until somebody thought about it; a test holds the whole list.
 */
final class Rights {
  /** Open to everybody: the doors themselves. */
  private static final String[] DOORS = {
    "/api/session",
    "/api/session/demo",
    "/api/session/recovery",
    "/api/session/passkey",
    "/api/session/passkey/options",
    "/api/joining",
    "/api/joining/look"
  };

  /** What somebody does about themself, whatever they may do else. */
  private static final String[] OWN = {"/api/session/**", "/api/members/me", "/api/members/me/**"};

  /** The bench, to look at. */
  private static final String[] BENCH = {
    "/api/household",
    "/api/changes",
    "/api/batches/running",
    "/api/batches/{id}",
    "/api/batches/{id}/cooling",
    "/api/batches/{id}/photos/{photo}"
  };

  /** Of what can be looked at, a keeper's alone: the household whole, and who has its keys. */
  private static final String[] KEYS = {
    "/api/backup.zip",
    "/api/backups",
    "/api/tables/**",
    "/api/imports",
    "/api/people/{id}/export",
    "/api/feed",
    "/api/invitations/**",
    "/api/audit"
  };

  /** Brewing: the bench and what leads to it. */
  private static final String[] BREWING = {
    "/api/batches",
    "/api/batches/**",
    "/api/predictions",
    "/api/stores/check",
    "/api/lots/{id}/take",
    "/api/lots/{id}/weigh",
    "/api/lots/{id}/dry",
    "/api/lots/{id}/end",
    "/api/lots/{id}/undo",
    "/api/containers/{id}/sterilised",
    "/api/leftovers/**",
    "/api/plan/days/{day}",
    "/api/plan/what-if",
    "/api/practices",
    "/api/practices/**",
    // There in tests only.
    "/api/test/clock"
  };

  /** Using: bottles, heads, what was noticed. */
  private static final String[] USING = {
    "/api/bottles/**",
    "/api/fridge",
    "/api/fridge/**",
    "/api/labels",
    "/api/sheets",
    "/api/sheets/print",
    "/api/wash-days/**",
    "/api/wash-runs",
    "/api/wash-runs/**",
    "/api/people/{id}/reactions",
    "/api/people/{id}/days/{day}/photos",
    "/api/trials/{id}/scores",
    "/api/journal",
    "/api/messages/**",
    "/api/push/**"
  };

  /** They look like writing, and only ask. */
  private static final String[] ASKING = {
    "/api/formulas/measured",
    "/api/formulas/with",
    "/api/formulas/read",
    "/api/notes/read",
    "/api/repeats"
  };

  private Rights() {}

  static RoleHierarchy hierarchy() {
    return RoleHierarchyImpl.withDefaultRolePrefix()
        .role(Role.KEEPER.name())
        .implies(Role.HELPER.name())
        .role(Role.HELPER.name())
        .implies(Role.GUEST.name())
        .build();
  }

  static void of(
      AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry
          requests) {
    String keeper = Role.KEEPER.name();
    String helper = Role.HELPER.name();
    String guest = Role.GUEST.name();
    requests
        .dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR, DispatcherType.ASYNC)
        .permitAll()
        .requestMatchers(DOORS)
        .permitAll()
        .requestMatchers(POST, "/api/households")
        .permitAll()
        .requestMatchers(OWN)
        .hasRole(guest)
        .requestMatchers(GET, BENCH)
        .hasRole(guest)
        .requestMatchers(GET, KEYS)
        .hasRole(keeper)
        .requestMatchers(GET, "/api/**")
        .hasRole(helper)
        .requestMatchers(POST, BREWING)
        .hasRole(helper)
        .requestMatchers(POST, USING)
        .hasRole(helper)
        .requestMatchers(POST, ASKING)
        .hasRole(helper)
        .requestMatchers(
            PUT, "/api/practices/{id}/pace", "/api/wash-runs/{id}", "/api/journal/{id}")
        .hasRole(helper)
        .requestMatchers(PUT, "/api/trials/{id}/scores", "/api/shopping/{id}")
        .hasRole(helper)
        .requestMatchers(
            DELETE,
            "/api/batches/{id}/entries/{entry}",
            "/api/batches/{id}/following",
            "/api/batches/{id}/photos/{photo}",
            "/api/fridge/{id}",
            "/api/wash-runs/{id}",
            "/api/practices/{id}",
            "/api/journal/{id}",
            "/api/journal/photos/{id}",
            "/api/push/devices/{id}",
            "/api/people/{id}/reactions/{reaction}")
        .hasRole(helper)
        .requestMatchers("/api/**")
        .hasRole(keeper)
        .requestMatchers("/actuator/health/**", "/actuator/health")
        .permitAll()
        .requestMatchers("/actuator/**")
        .access((who, context) -> new AuthorizationDecision(here(context.getRequest())))
        .anyRequest()
        .permitAll();
  }

  /** Asked on this machine, and by no proxy that stands before others. */
  private static boolean here(HttpServletRequest request) {
    String from = request.getRemoteAddr();
    boolean loopback =
        from.startsWith("127.") || from.equals("::1") || from.equals("0:0:0:0:0:0:0:1");
    return loopback
        && request.getHeader("X-Forwarded-For") == null
        && request.getHeader("Forwarded") == null;
  }
}
