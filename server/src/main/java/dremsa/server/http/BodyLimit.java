package dremsa.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses bodies larger than any brew needs, whether they say their length or not. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {
  static final long MOST_BYTES = 1024 * 1024;

  private final JsonMapper json;

  BodyLimit(JsonMapper json) {
    this.json = json;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() > MOST_BYTES) {
      var answer = ProblemHandler.TooLarge.answer();
      response.setStatus(answer.getStatusCode().value());
      response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
      // The body stays unread: the connection cannot serve another request.
      response.setHeader("Connection", "close");
      json.writeValue(response.getOutputStream(), answer.getBody());
      return;
    }
    chain.doFilter(new Bounded(request), response);
  }

  private static final class Bounded extends HttpServletRequestWrapper {
    Bounded(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new Counting(super.getInputStream());
    }
  }

  private static final class Counting extends ServletInputStream {
    private final ServletInputStream in;
    private long read;

    Counting(ServletInputStream in) {
      this.in = in;
    }

    @Override
    public int read() throws IOException {
      int b = in.read();
      count(b < 0 ? 0 : 1);
      return b;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
      int n = in.read(buffer, offset, length);
      count(Math.max(0, n));
      return n;
    }

    private void count(int n) throws IOException {
      read += n;
      if (read > MOST_BYTES) {
        throw new ProblemHandler.TooLarge();
      }
    }

    @Override
    public boolean isFinished() {
      return in.isFinished();
    }

    @Override
    public boolean isReady() {
      return in.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      in.setReadListener(listener);
    }
  }
}
