package dremsa.core.formula;

import java.util.Objects;

/**
 * What a maker is told at a step; every part may be empty.
 *
 * @param how what to do, beyond the step's own headline
 * @param cue what to see, smell or feel when it is done
 * @param early what goes wrong when it is cut short
 * @param late what goes wrong when it goes on too long
 */
public record Guide(String how, String cue, String early, String late) {
  public static final Guide NONE = new Guide("", "", "", "");

  public Guide {
    Objects.requireNonNull(how, "how");
    Objects.requireNonNull(cue, "cue");
    Objects.requireNonNull(early, "early");
    Objects.requireNonNull(late, "late");
  }

  public static Guide how(String how) {
    return new Guide(how, "", "", "");
  }

  public static Guide cue(String how, String cue) {
    return new Guide(how, cue, "", "");
  }
}
