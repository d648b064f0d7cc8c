package dremsa.server.wire;

import dremsa.core.people.Limit;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What is to be minded where something is used on a head.
 *
 * @param title the kind in words
 * @param fineFrom the first day on which it is fine again
 * @param source where the limit comes from
 * @param own it is the household's own figure
 */
public record LimitJson(
    Limit.Kind kind,
    Limit.Weight weight,
    String title,
    String what,
    String why,
    String instead,
    @Nullable LocalDate fineFrom,
    String source,
    boolean own) {
  public static LimitJson of(Limit limit) {
    return new LimitJson(
        limit.kind(),
        limit.weight(),
        limit.weight() == Limit.Weight.MIND ? limit.kind().words() : limit.weight().words(),
        limit.what(),
        limit.why(),
        limit.instead(),
        limit.fineFrom().orElse(null),
        limit.source(),
        limit.own());
  }
}
