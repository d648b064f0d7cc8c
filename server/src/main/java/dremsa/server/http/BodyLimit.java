package dremsa.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Refuses bodies larger than any brew needs, whether they say their length or not, and those that
 * do not say what they are.
 */
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
      refuse(response, new ProblemHandler.TooLarge(most).answer());
      return;
    }
    if (!isCertain(request.getContentType())) {
      refuse(
          response,
          ProblemHandler.answer(
              HttpStatus.UNSUPPORTED_MEDIA_TYPE,
              "unsupported-type",
              "Say of what type the body is: application/json, for one.",
              List.of()));
      return;
    }
    chain.doFilter(new Bounded(request, most), response);
  }

  private void refuse(HttpServletResponse response, ResponseEntity<ProblemDetail> answer)
      throws IOException {
    response.setStatus(answer.getStatusCode().value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    // The body stays unread: the connection cannot serve another request.
    response.setHeader("Connection", "close");
    json.writeValue(response.getOutputStream(), answer.getBody());
  }

  /** "Anything" is what somebody may ask for, not what a body can be. */
  private static boolean isCertain(@Nullable String type) {
    if (type == null) {
      return true;
    }
    try {
      return MediaType.parseMediaType(type).isConcrete();
    } catch (InvalidMediaTypeException e) {
      return false;
    }
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
