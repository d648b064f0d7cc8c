package dremsa.server.predictions;

import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.TargetJson;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What somebody means to brew; the requests that ask about it and that start it say it in the same
 * words.
 */
public interface Plan {
  /** Id of a known formula; or the formula itself is given. */
  @Nullable String formulaId();

  default @Nullable FormulaJson formula() {
    return null;
  }

  /** Id of one of the variants offered for the formula. */
  default @Nullable String variant() {
    return null;
  }

  /** Changes beyond the variant. */
  default @Nullable List<ChangeJson> changes() {
    return null;
  }

  /** The choice taken in each school of the method, by their ids. */
  default @Nullable Map<String, String> choices() {
    return null;
  }

  TargetJson target();

  default @Nullable MakeJson make() {
    return null;
  }

  /** Minutes planned otherwise than usual; indices count in the changed formula. */
  default @Nullable List<PlannedStep> steps() {
    return null;
  }

  /** The bottle behind each {@code brew:} ingredient; without one it is reckoned as fresh. */
  default @Nullable Map<String, UUID> pours() {
    return null;
  }

  /**
   * Why it is brewed although the self-check calls it dangerous; null where it need not be said.
   */
  default @Nullable String override() {
    return null;
  }
}
