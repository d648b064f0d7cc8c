package dremsa.core.keep;

import dremsa.core.brew.Prediction;
import dremsa.core.brew.TracePoint;
import dremsa.core.kitchen.Climate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Holds the cooling after straining against FDA Food Code 3-501.14 (from memory): from 57 to 21 °C
 * within 2 h and to 5 °C within 6 h in all; what is at room temperature already, to 5 °C within 4
 * h. It is advice with a cure, no alarm: the warm hours are billed to the budget anyway.
 */
final class CoolingYardstick {
  static final double WARM_C = 21;
  static final double TO_WARM_H = 2;
  static final double TO_COLD_H = 6;
  static final double AMBIENT_TO_COLD_H = 4;

  /** A fridge brings a bottle near its own temperature, hardly to it. */
  private static final double NEAR = 0.6;

  private CoolingYardstick() {}

  /**
   * The advice, where the cooling is slower than the yardstick.
   *
   * @param bottleMl what it is filled into; empty where that is not known
   */
  static Optional<Reason.SlowCooling> of(
      Prediction prediction, Climate climate, OptionalDouble bottleMl) {
    double strained = prediction.heat().strainedMinute();
    List<TracePoint> after = new ArrayList<>();
    prediction.trace().stream().filter(p -> p.minute() >= strained - 1e-6).forEach(after::add);
    after.addAll(
        prediction.chilling().from(prediction.heat().bottledMinute(), climate.fridgeC(), bottleMl));
    double from = Double.NaN;
    double fromC = Double.NaN;
    double warmAt = Double.NaN;
    double coldAt = Double.NaN;
    double warm = Math.max(WARM_C, climate.roomC() + NEAR);
    for (TracePoint p : after) {
      if (Double.isNaN(from) && p.celsius() < Spoilage.HOT_HOLDING_C) {
        from = p.minute();
        fromC = p.celsius();
      }
      if (!Double.isNaN(from)) {
        warmAt = Double.isNaN(warmAt) && p.celsius() <= warm ? p.minute() : warmAt;
        coldAt =
            Double.isNaN(coldAt) && p.celsius() <= Math.max(5, climate.fridgeC()) + NEAR
                ? p.minute()
                : coldAt;
      }
    }
    if (Double.isNaN(from) || Double.isNaN(coldAt)) {
      return Optional.empty();
    }
    boolean hot = fromC > warm;
    double toWarm = hot && !Double.isNaN(warmAt) ? (warmAt - from) / 60 : 0;
    double toCold = (coldAt - from) / 60;
    boolean slow = hot ? toWarm > TO_WARM_H || toCold > TO_COLD_H : toCold > AMBIENT_TO_COLD_H;
    return slow
        ? Optional.of(new Reason.SlowCooling(hot, toWarm, toCold, climate.roomC() > WARM_C))
        : Optional.empty();
  }
}
