package dremsa.devices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Four devices in one kitchen, with scatter, drift and faults. */
final class StandIn {
  /** How a device can fail. */
  enum Failure {
    NONE,
    /** It does not answer with a number. */
    NO_READING,
    /** It says the last number again and again. */
    STUCK,
    BATTERY_LOW,
    /** It says 400. */
    WILD,
    /** It answers after five seconds. */
    SLOW
  }

  /** A simulated device. */
  enum Device {
    SCALE("scale-1", "SCALE", "Kitchen scale", "g", 1.5, 0.02),
    PROBE("probe-1", "THERMOMETER", "Probe", "°C", 0.35, 0.004),
    METER("ph-1", "PH_METER", "pH meter", "pH", 0.04, 0.0002),
    LOGGER("fridge-1", "FRIDGE_LOGGER", "Fridge logger", "°C", 0.2, 0);

    final String id;
    final String kind;
    final String title;
    final String unit;

    /** Standard deviation of a reading. */
    final double scatter;

    /** What it wanders off in an hour. */
    final double driftPerHour;

    Device(String id, String kind, String title, String unit, double scatter, double driftPerHour) {
      this.id = id;
      this.kind = kind;
      this.title = title;
      this.unit = unit;
      this.scatter = scatter;
      this.driftPerHour = driftPerHour;
    }
  }

  /** A reading, as the protocol has it. */
  record Reading(
      String device, String kind, double value, String unit, Instant at, double battery) {}

  /** One line of a logger. */
  record Logged(Instant at, double value) {}

  private static final Duration LOG_EVERY = Duration.ofMinutes(10);

  private final Clock clock;
  private final Random dice;
  private final Instant started;
  private final TruePot truth = new TruePot();
  private final Map<Device, Failure> failures = new EnumMap<>(Device.class);
  private final Map<Device, Double> last = new EnumMap<>(Device.class);
  private @Nullable PotState pot;
  private @Nullable Instant told;

  StandIn(Clock clock, long seed) {
    this.clock = clock;
    this.dice = new Random(seed);
    this.started = clock.instant();
  }

  synchronized void tell(PotState state) {
    pot = state;
    told = clock.instant();
  }

  synchronized void fail(Device device, Failure failure) {
    failures.put(device, failure);
  }

  synchronized Failure failureOf(Device device) {
    return failures.getOrDefault(device, Failure.NONE);
  }

  double battery(Device device) {
    return failureOf(device) == Failure.BATTERY_LOW ? 0.04 : 0.8;
  }

  /** A reading of a device that gives one. */
  synchronized Reading read(Device device) {
    Instant now = clock.instant();
    double value;
    if (failureOf(device) == Failure.WILD) {
      value = 400;
    } else if (failureOf(device) == Failure.STUCK && last.containsKey(device)) {
      value = last.get(device);
    } else {
      double hours = Duration.between(started, now).toMillis() / 3_600_000.0;
      value =
          trueValue(device, now)
              + dice.nextGaussian() * device.scatter
              + device.driftPerHour * hours;
      value = Math.round(value * 10) / 10.0;
    }
    last.put(device, value);
    return new Reading(device.id, device.kind, value, device.unit, now, battery(device));
  }

  private double trueValue(Device device, Instant now) {
    if (device == Device.LOGGER) {
      return fridge(now);
    }
    if (pot == null) {
      // Nothing is on: the devices lie on the worktop.
      return switch (device) {
        case SCALE -> 0;
        case METER -> 7;
        case PROBE, LOGGER -> 21;
      };
    }
    TruePot.Truth now0 = truth.at(pot, Duration.between(told, now).toMillis() / 60_000.0);
    return switch (device) {
      case SCALE -> now0.grams();
      case PROBE -> now0.celsius();
      case METER -> now0.ph();
      case LOGGER -> throw new AssertionError(device);
    };
  }

  /** A household fridge: its compressor comes and goes, and its door is opened at meals. */
  private static double fridge(Instant at) {
    double hour = (at.getEpochSecond() % 86_400) / 3600.0;
    double compressor = 0.6 * Math.sin(2 * Math.PI * at.getEpochSecond() / 2700);
    double door = 0;
    for (double meal : new double[] {7.5, 12.5, 18.5}) {
      double since = hour - meal;
      door += since > 0 && since < 1.5 ? 1.8 * Math.exp(-since * 2) : 0;
    }
    return 4.6 + compressor + door;
  }

  /** What the logger wrote over the last hours. */
  List<Logged> log(int hours) {
    Instant now = clock.instant();
    long every = LOG_EVERY.getSeconds();
    long first = (now.getEpochSecond() - hours * 3600L) / every * every + every;
    List<Logged> lines = new ArrayList<>();
    for (long t = first; t <= now.getEpochSecond(); t += every) {
      Instant at = Instant.ofEpochSecond(t);
      lines.add(new Logged(at, Math.round(fridge(at) * 10) / 10.0));
    }
    return lines;
  }
}
