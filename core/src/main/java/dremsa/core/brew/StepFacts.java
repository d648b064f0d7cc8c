package dremsa.core.brew;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Consumer;

/**
 * What is known of one step: planned otherwise than usual, or as it really was. What is empty is
 * predicted.
 *
 * @param minutes how long it took or shall take, 0 or more
 * @param readings taken at its end, each in the unit of its kind
 * @param weighed grams of an ingredient that was really put in, by its key; 0 for left out
 * @param waterMl plain water poured in beside the formula, mL; negative is not allowed
 * @param waterC how warm that water was, °C
 * @param temperatures read while it lasted, in the order of their minutes
 * @param cooling how it really cools, found from the temperatures by {@link Cooling#fitted}
 * @param skipped it was left out
 * @param seen the maker saw at its end what the step waits for: that it boils, that it is so cool
 * @param tended what a hand did at the hob; empty where it was heated as the step says
 */
public record StepFacts(
    OptionalDouble minutes,
    Map<Reading, Double> readings,
    Map<String, Double> weighed,
    double waterMl,
    double waterC,
    List<Temperature> temperatures,
    Optional<Cooling.Fit> cooling,
    boolean skipped,
    boolean seen,
    Optional<Tending> tended) {
  public static final StepFacts NONE =
      new StepFacts(
          OptionalDouble.empty(),
          Map.of(),
          Map.of(),
          0,
          20,
          List.of(),
          Optional.empty(),
          false,
          false,
          Optional.empty());

  /**
   * A temperature read while a step lasted.
   *
   * @param minute since the step began, 0 or more
   * @param celsius read
   */
  public record Temperature(double minute, double celsius) {}

  public StepFacts {
    readings = Map.copyOf(readings);
    weighed = Map.copyOf(weighed);
    temperatures = List.copyOf(temperatures);
    if (!(waterMl >= 0)) {
      throw new IllegalArgumentException("water poured in is 0 mL or more, not " + waterMl);
    }
  }

  public static StepFacts lasting(double minutes) {
    return NONE.withMinutes(minutes);
  }

  public StepFacts withMinutes(double value) {
    return changed(draft -> draft.minutes = OptionalDouble.of(value));
  }

  /** The same, as long as it usually takes. */
  public StepFacts untimed() {
    return changed(draft -> draft.minutes = OptionalDouble.empty());
  }

  /** What was read at its end; empty where it was not. */
  public OptionalDouble read(Reading kind) {
    Double value = readings.get(kind);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** The same with a reading at its end; an earlier one of its kind is replaced. */
  public StepFacts with(Reading kind, double value) {
    return changed(draft -> draft.readings.put(kind, value));
  }

  /** The same without what was read at its end. */
  public StepFacts unread() {
    return changed(draft -> draft.readings.clear());
  }

  /** The same with what was really put in of an ingredient, g. */
  public StepFacts withWeighed(String ingredient, double value) {
    return changed(draft -> draft.weighed.put(ingredient, value));
  }

  /** The same with more water poured in; the temperatures of several pourings are averaged. */
  public StepFacts withWater(double moreMl, double atC) {
    return changed(
        draft -> {
          double sum = waterMl + moreMl;
          draft.waterC = sum > 0 ? (waterMl * waterC + moreMl * atC) / sum : atC;
          draft.waterMl = sum;
        });
  }

  /** The same with one more temperature read. */
  public StepFacts withTemperature(double minute, double value) {
    return changed(
        draft -> {
          draft.temperatures.add(new Temperature(minute, value));
          draft.temperatures.sort(Comparator.comparingDouble(Temperature::minute));
        });
  }

  /** The same with the way in which it was found to cool. */
  public StepFacts withCooling(Cooling.Fit fit) {
    return changed(draft -> draft.cooling = Optional.of(fit));
  }

  /** The same, left out. */
  public StepFacts left() {
    return changed(draft -> draft.skipped = true);
  }

  /** The same, with what it waits for seen at its end. */
  public StepFacts asSeen() {
    return changed(draft -> draft.seen = true);
  }

  /** The same with what a hand did at the hob; it counts only with the minutes that it lasted. */
  public StepFacts withTending(Tending tending) {
    return changed(draft -> draft.tended = Optional.of(tending));
  }

  private StepFacts changed(Consumer<Draft> change) {
    Draft draft = new Draft(this);
    change.accept(draft);
    return draft.facts();
  }

  private static final class Draft {
    private OptionalDouble minutes;
    private final Map<Reading, Double> readings = new EnumMap<>(Reading.class);
    private final Map<String, Double> weighed;
    private double waterMl;
    private double waterC;
    private final List<Temperature> temperatures;
    private Optional<Cooling.Fit> cooling;
    private boolean skipped;
    private boolean seen;
    private Optional<Tending> tended;

    private Draft(StepFacts from) {
      minutes = from.minutes;
      readings.putAll(from.readings);
      weighed = new TreeMap<>(from.weighed);
      waterMl = from.waterMl;
      waterC = from.waterC;
      temperatures = new ArrayList<>(from.temperatures);
      cooling = from.cooling;
      skipped = from.skipped;
      seen = from.seen;
      tended = from.tended;
    }

    private StepFacts facts() {
      return new StepFacts(
          minutes,
          readings,
          weighed,
          waterMl,
          waterC,
          temperatures,
          cooling,
          skipped,
          seen,
          tended);
    }
  }
}
