package dremsa.server.accounts;

import java.net.URI;
import java.time.Clock;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.access.hierarchicalroles.RoleHierarchy;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.savedrequest.NullRequestCache;
import tools.jackson.databind.json.JsonMapper;

/** Who may do what: everything below /api needs a session but the doors themselves. */
@Configuration
class SecurityConfig {
  /** What new passwords are kept by. */
  private static final String ENCODING = "bcrypt-sha256";

  /**
   * Passwords kept by the earlier encoding are matched still, and kept anew at the next sign-in.
   */
  @Bean
  PasswordEncoder passwordEncoder() {
    return new DelegatingPasswordEncoder(
        ENCODING,
        Map.of(
            ENCODING,
            new WholePasswordEncoder(new BCryptPasswordEncoder()),
            "bcrypt",
            new BCryptPasswordEncoder()));
  }

  @Bean
  static RoleHierarchy roles() {
    return Rights.hierarchy();
  }

  /**
   * A page elsewhere whose name was made to lead here must not speak to a Dremsa at home: a name
   * has to be one that this server is known by. Addresses cannot be made to lead elsewhere.
   */
  @Bean
  HttpFirewall firewall(KnownHosts hosts) {
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    firewall.setAllowedHostnames(hosts);
    return firewall;
  }

  @Bean
  SecurityFilterChain security(
      HttpSecurity http, JsonMapper json, JdbcTemplate jdbc, Doors doors, Clock clock)
      throws Exception {
    return http.authorizeHttpRequests(Rights::of)
        .addFilterAfter(new StandingFilter(jdbc, doors, clock), SecurityContextHolderFilter.class)
        .csrf(csrf -> csrf.spa())
        // Nothing is resumed after a sign-in: no session is made for a stranger's request.
        .requestCache(cache -> cache.requestCache(new NullRequestCache()))
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .headers(
            headers ->
                headers.contentSecurityPolicy(
                    policy ->
                        policy.policyDirectives(
                            "default-src 'self'; img-src 'self' data:; style-src 'self'"
                                + " 'unsafe-inline'; base-uri 'self';"
                                + " form-action 'self'; frame-ancestors 'none'")))
        .exceptionHandling(
            handling ->
                handling
                    .authenticationEntryPoint(
                        (request, response, e) ->
                            refuse(
                                json,
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "signed-out",
                                "Sign in first."))
                    .accessDeniedHandler(
                        (request, response, e) ->
                            refuse(
                                json,
                                response,
                                HttpStatus.FORBIDDEN,
                                e instanceof CsrfException ? "forbidden" : "not-yours",
                                e instanceof CsrfException
                                    ? "This page is too old or came from elsewhere. Reload it and try again."
                                    : "A keeper of the household can do this; you cannot.")))
        .build();
  }

  private static void refuse(
      JsonMapper json,
      jakarta.servlet.http.HttpServletResponse response,
      HttpStatus status,
      String type,
      String detail)
      throws java.io.IOException {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setType(URI.create("urn:dremsa:problem:" + type));
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    json.writeValue(response.getOutputStream(), problem);
  }
}
