package dremsa.server.http;

import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that cannot be carried out; becomes an RFC 9457 problem detail. */
public final class Problem extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final HttpStatus status;
  private final String type;
  private final transient List<FieldProblem> errors;

  /**
   * @param type stable word after {@code urn:dremsa:problem:}
   * @param message one sentence for the person
   */
  public Problem(HttpStatus status, String type, String message, List<FieldProblem> errors) {
    super(message);
    this.status = status;
    this.type = type;
    this.errors = List.copyOf(errors);
  }

  /** A field outside what is allowed. */
  public static Problem invalid(FieldProblem error) {
    return new Problem(HttpStatus.BAD_REQUEST, "invalid", error.message(), List.of(error));
  }

  /** Nothing there, or not this household's. */
  public static Problem notFound(String what) {
    return new Problem(
        HttpStatus.NOT_FOUND, "not-found", "There is no such " + what + ".", List.of());
  }

  /** Not now; the same request may succeed in a moment. */
  public static Problem busy() {
    return new Problem(
        HttpStatus.SERVICE_UNAVAILABLE,
        "busy",
        "Dremsa has much to do at this moment. Try again in a few seconds; nothing was changed.",
        List.of());
  }

  /** Somebody else was quicker. */
  public static Problem conflict(String message) {
    return new Problem(HttpStatus.CONFLICT, "conflict", message, List.of());
  }

  /** What an exception says; never nothing. */
  public static String why(Throwable e) {
    return e.getMessage() == null ? "That cannot be." : e.getMessage();
  }

  public HttpStatus status() {
    return status;
  }

  public String type() {
    return type;
  }

  public List<FieldProblem> errors() {
    return errors;
  }
}
