package dremsa.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
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

  /** A photo, or a file that is read in: what a phone or a logger makes, not more. */
  static final long MOST_FILE_BYTES = 12 * MOST_BYTES;

  /** A household whole, with its photos. */
  static final long MOST_BACKUP_BYTES = 8L * 1024 * MOST_BYTES;

  private static final Map<String, Long> LARGER =
      Map.of(
          "photos", MOST_FILE_BYTES,
          "fridge-log", MOST_FILE_BYTES,
          "restore", MOST_BACKUP_BYTES);

  private final JsonMapper json;

  BodyLimit(JsonMapper json) {
    this.json = json;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI();
    long most = LARGER.getOrDefault(path.substring(path.lastIndexOf('/') + 1), MOST_BYTES);
    if (request.getContentLengthLong() > most) {
      var answer = new ProblemHandler.TooLarge(most).answer();
      response.setStatus(answer.getStatusCode().value());
      response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
      // The body stays unread: the connection cannot serve another request.
      response.setHeader("Connection", "close");
      json.writeValue(response.getOutputStream(), answer.getBody());
      return;
    }
    chain.doFilter(new Bounded(request, most), response);
  }

  private static final class Bounded extends HttpServletRequestWrapper {
    private final long most;

    Bounded(HttpServletRequest request, long most) {
      super(request);
      this.most = most;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new Counting(super.getInputStream(), most);
    }
  }

  private static final class Counting extends ServletInputStream {
    private final ServletInputStream in;
    private final long most;
    private long read;

    Counting(ServletInputStream in, long most) {
      this.in = in;
      this.most = most;
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
      if (read > most) {
        throw new ProblemHandler.TooLarge(most);
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
