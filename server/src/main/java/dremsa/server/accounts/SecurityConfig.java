package dremsa.server.accounts;

import jakarta.servlet.DispatcherType;
import java.net.URI;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
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
  SecurityFilterChain security(HttpSecurity http, JsonMapper json) throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    .dispatcherTypeMatchers(
                        DispatcherType.FORWARD, DispatcherType.ERROR, DispatcherType.ASYNC)
                    .permitAll()
                    .requestMatchers("/api/session", "/api/session/demo")
                    .permitAll()
                    .requestMatchers(HttpMethod.POST, "/api/households")
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
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
                                + " 'unsafe-inline'; frame-ancestors 'none'")))
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
                                "forbidden",
                                "This page is too old or came from elsewhere. Reload it and try again.")))
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
