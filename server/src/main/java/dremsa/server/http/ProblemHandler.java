package dremsa.server.http;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.ConstraintViolation;
import java.lang.annotation.Annotation;
import java.net.URI;
import java.util.List;
import java.util.UUID;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.util.DisconnectedClientHelper;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns every failure into a problem detail that a person can act on. */
@RestControllerAdvice
class ProblemHandler extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

  /** When to ask again what cannot be answered now, s. */
  private static final String RETRY_AFTER_S = "2";

  private final Outage outage;

  ProblemHandler(Outage outage) {
    this.outage = outage;
  }

  @ExceptionHandler(Problem.class)
  ResponseEntity<ProblemDetail> problem(Problem problem) {
    return answer(problem.status(), problem.type(), Problem.why(problem), problem.errors());
  }

  @ExceptionHandler(OptimisticLockingFailureException.class)
  ResponseEntity<ProblemDetail> stale(OptimisticLockingFailureException e) {
    return answer(
        HttpStatus.CONFLICT,
        "conflict",
        "Somebody changed this at the same moment. Look at it again, then repeat.",
        List.of());
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  ResponseEntity<ProblemDetail> badPath(MethodArgumentTypeMismatchException e) {
    return answer(
        HttpStatus.NOT_FOUND, "not-found", "There is nothing at this address.", List.of());
  }

  /** A query, or a form that nobody asks for here, in no writing that can be read. */
  @ExceptionHandler(InvalidParameterException.class)
  ResponseEntity<ProblemDetail> unreadable(InvalidParameterException e) {
    return unreadable();
  }

  static ResponseEntity<ProblemDetail> unreadable() {
    return answer(
        HttpStatus.BAD_REQUEST,
        "malformed",
        "A part of this request is in no writing that can be read.",
        List.of());
  }

  /** Somebody else's work was in the way until patience ended: it may go the next time. */
  @ExceptionHandler(PessimisticLockingFailureException.class)
  ResponseEntity<ProblemDetail> locked(PessimisticLockingFailureException e) {
    return problem(Problem.busy());
  }

  @ExceptionHandler(Exception.class)
  ResponseEntity<ProblemDetail> unexpected(Exception e, HttpServletRequest request) {
    if (outage.isOne(e)) {
      return outage.began();
    }
    return unexpected(e, request.getMethod() + " " + request.getRequestURI());
  }

  /** What nobody foresaw: the person gets a number by which the record tells what it was. */
  static ResponseEntity<ProblemDetail> unexpected(Throwable e, String request) {
    String reference = UUID.randomUUID().toString().substring(0, 8);
    LOG.error("{} failed [{}]", request, reference, e);
    return answer(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "unexpected",
        "Something went wrong on our side (reference " + reference + ").",
        List.of());
  }

  @Override
  protected ResponseEntity<Object> handleMethodArgumentNotValid(
      MethodArgumentNotValidException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    List<FieldProblem> errors =
        e.getFieldErrors().stream().map(ProblemHandler::fieldProblem).toList();
    return widen(
        answer(
            HttpStatus.BAD_REQUEST,
            "invalid",
            errors.isEmpty()
                ? "Something in this request is not allowed."
                : errors.get(0).message(),
            errors));
  }

  private static FieldProblem fieldProblem(FieldError error) {
    Object value = error.getRejectedValue();
    Double low = null;
    Double high = null;
    if (error.contains(ConstraintViolation.class)) {
      ConstraintViolation<?> violation = error.unwrap(ConstraintViolation.class);
      Annotation constraint = violation.getConstraintDescriptor().getAnnotation();
      if (constraint instanceof Range range) {
        low = (double) range.min();
        high = (double) range.max();
      }
    }
    Object shown = value instanceof Number || value instanceof String ? value : null;
    return new FieldProblem(
        error.getField(), shorten(shown), String.valueOf(error.getDefaultMessage()), low, high);
  }

  private static @Nullable Object shorten(@Nullable Object value) {
    return value instanceof String text && text.length() > 80 ? text.substring(0, 80) + "…" : value;
  }

  /** The session is written when the answer begins to go out: the database may be away by then. */
  @Override
  protected @Nullable ResponseEntity<Object> handleHttpMessageNotWritable(
      HttpMessageNotWritableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (DisconnectedClientHelper.isClientDisconnectedException(e) && !outage.isOne(e)) {
      // The page was left before it had its answer: there is nobody to tell, and nothing is wrong.
      return null;
    }
    return widen(outage.isOne(e) ? outage.began() : unexpected(e, request.getDescription(false)));
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    Throwable cause = e.getCause();
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof TooLarge) {
        return widen(((TooLarge) t).answer());
      }
    }
    if (cause instanceof UnrecognizedPropertyException unknown) {
      String field = path(unknown);
      return invalid(FieldProblem.of(field, null, "There is no field '" + field + "' here."));
    }
    if (cause instanceof InvalidFormatException format) {
      Object value = shorten(String.valueOf(format.getValue()));
      Class<?> type = format.getTargetType();
      String wanted =
          type.isEnum()
              ? "one of " + String.join(", ", names(type))
              : Number.class.isAssignableFrom(type) || type.isPrimitive()
                  ? format.getValue() instanceof Number ? "a whole number" : "a number"
                  : "of another form";
      return invalid(
          FieldProblem.of(path(format), value, "'" + value + "' must be " + wanted + "."));
    }
    if (cause instanceof JacksonException wrong && !wrong.getPath().isEmpty()) {
      return invalid(
          FieldProblem.of(
              path(wrong), null, "'" + path(wrong) + "' is missing or of the wrong form."));
    }
    return widen(
        answer(HttpStatus.BAD_REQUEST, "malformed", "This is not well-formed JSON.", List.of()));
  }

  private static List<String> names(Class<?> type) {
    return java.util.Arrays.stream(type.getEnumConstants()).map(c -> ((Enum<?>) c).name()).toList();
  }

  private static ResponseEntity<Object> invalid(FieldProblem error) {
    return widen(answer(HttpStatus.BAD_REQUEST, "invalid", error.message(), List.of(error)));
  }

  private static String path(JacksonException e) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference reference : e.getPath()) {
      if (reference.getPropertyName() == null) {
        path.append('[').append(reference.getIndex()).append(']');
      } else {
        path.append(path.length() == 0 ? "" : ".").append(reference.getPropertyName());
      }
    }
    return path.toString();
  }

  static ResponseEntity<ProblemDetail> answer(
      HttpStatus status, String type, String detail, List<FieldProblem> errors) {
    ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail);
    body.setType(URI.create("urn:dremsa:problem:" + type));
    body.setTitle(status.getReasonPhrase());
    if (!errors.isEmpty()) {
      body.setProperty("errors", errors);
    }
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
    if (status == HttpStatus.SERVICE_UNAVAILABLE) {
      answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_S);
    }
    return answer.body(body);
  }

  private static ResponseEntity<Object> widen(ResponseEntity<ProblemDetail> answer) {
    return ResponseEntity.status(answer.getStatusCode())
        .headers(answer.getHeaders())
        .body(answer.getBody());
  }

  /** A body that grew over the limit while it was read. */
  static final class TooLarge extends java.io.IOException {
    private static final long serialVersionUID = 1L;

    private final long most;

    TooLarge(long most) {
      this.most = most;
    }

    ResponseEntity<ProblemDetail> answer() {
      return ProblemHandler.answer(
          HttpStatus.CONTENT_TOO_LARGE,
          "too-large",
          "This is too large: at most " + most / 1024 + " KiB are taken here.",
          List.of());
    }
  }
}
