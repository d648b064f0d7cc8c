package dremsa.server.http;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;

/**
 * What is wrong with one field of a request.
 *
 * @param field path within the body, e.g. {@code "target.amount.value"}
 * @param value as given; null when it was missing
 * @param message one sentence for the person
 * @param low the least allowed, where there is a range
 * @param high the most allowed, where there is a range
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record FieldProblem(
    String field,
    @Nullable Object value,
    String message,
    @Nullable Double low,
    @Nullable Double high) {
  public static FieldProblem of(String field, @Nullable Object value, String message) {
    return new FieldProblem(field, value, message, null, null);
  }

  public static FieldProblem range(
      String field, @Nullable Object value, String message, double low, double high) {
    return new FieldProblem(field, value, message, low, high);
  }
}
