package dremsa.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Around everything else: a failure that no controller sees (of the session's own reading, say) is
 * told as a problem like any other, and while the database is away nobody waits for it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LastResort extends OncePerRequestFilter {
  private final JsonMapper json;
  private final Outage outage;

  LastResort(JsonMapper json, Outage outage) {
    this.json = json;
    this.outage = outage;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (outage.lasts() && asksTheDatabase(request)) {
      write(response, Outage.answer());
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException e) {
      if (response.isCommitted()) {
        // Half an answer is out: the connection is cut, so that it cannot look whole.
        throw e;
      }
      response.reset();
      write(response, told(e, request));
    }
  }

  private ResponseEntity<ProblemDetail> told(Exception e, HttpServletRequest request) {
    if (e instanceof InvalidParameterException) {
      return ProblemHandler.unreadable();
    }
    return outage.isOne(e)
        ? outage.began()
        : ProblemHandler.unexpected(e, request.getMethod() + " " + request.getRequestURI());
  }

  private static boolean asksTheDatabase(HttpServletRequest request) {
    String path = request.getRequestURI();
    return path.startsWith("/api/") || path.startsWith("/feed/");
  }

  private void write(HttpServletResponse response, ResponseEntity<ProblemDetail> answer)
      throws IOException {
    response.setStatus(answer.getStatusCode().value());
    answer.getHeaders().forEach((name, values) -> response.setHeader(name, values.get(0)));
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    json.writeValue(response.getOutputStream(), answer.getBody());
  }
}
