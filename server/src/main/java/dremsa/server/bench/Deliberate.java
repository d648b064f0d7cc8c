package dremsa.server.bench;

import dremsa.core.check.Finding;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Something dangerous was brewed on purpose.
 *
 * @param what the self-check said, in its words
 * @param reason that the maker gave
 */
public record Deliberate(String what, String reason) {
  private static final int SHORTEST = 3;
  private static final int LONGEST_WHAT = 1000;

  /**
   * What has to be overridden, and is.
   *
   * @param reason that was given; null or blank for none
   * @return null where nothing is dangerous
   */
  static @Nullable Deliberate of(List<Finding> errors, @Nullable String reason) {
    if (errors.isEmpty()) {
      return null;
    }
    String what =
        errors.stream().map(f -> f.what() + " " + f.why()).collect(Collectors.joining(" "));
    if (reason == null || reason.strip().length() < SHORTEST) {
      throw Problem.invalid(
          FieldProblem.of(
              "override", reason, what + " Say why it is brewed all the same, or change it."));
    }
    return new Deliberate(
        what.length() > LONGEST_WHAT ? what.substring(0, LONGEST_WHAT) : what, reason.strip());
  }
}
