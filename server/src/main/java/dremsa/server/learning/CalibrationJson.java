package dremsa.server.learning;

import dremsa.core.learn.KitchenFit;
import dremsa.core.learn.Knob;
import dremsa.core.learn.Taught;
import dremsa.core.measure.Figure;
import dremsa.server.wire.FigureJson;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Calibrations on the wire, and as they are kept. */
final class CalibrationJson {
  private CalibrationJson() {}

  /** How far a calibration is. */
  enum CalibrationState {
    ASKED("is about to begin"),
    RUNNING("runs"),
    DONE("is done"),
    FAILED("failed");

    private final String words;

    CalibrationState(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }
  }

  /**
   * A figure as it is kept.
   *
   * @param name of its material; empty for one of the kitchen
   */
  record TaughtJson(
      String knob,
      String name,
      FigureJson before,
      FigureJson after,
      boolean told,
      List<UUID> batches) {
    static TaughtJson of(Taught taught) {
      return new TaughtJson(
          taught.knob().key(),
          taught.knob() instanceof Knob.OfMaterial of ? of.name() : "",
          FigureJson.of(taught.before()),
          FigureJson.of(taught.after()),
          taught.told(),
          taught.batches().stream().map(UUID::fromString).toList());
    }

    Taught toCore() {
      return new Taught(
          Knob.of(knob, name),
          figure(before),
          figure(after),
          told,
          batches.stream().map(UUID::toString).toList());
    }

    private static Figure figure(FigureJson json) {
      return json.toCore("figure", json.unit() == null ? "" : json.unit());
    }
  }

  /** All batches of a calibration, as they are kept. */
  record Foretold(List<ForetoldBatch> batches) {}

  /**
   * A batch as it was foretold from those before it, and as it came out; mL.
   *
   * @param uncalibrated foretold without having learned anything
   * @param low 95 % likely above this
   * @param high 95 % likely below this
   */
  record ForetoldBatch(
      UUID id,
      String code,
      String name,
      Instant at,
      double real,
      double uncalibrated,
      double low,
      double predicted,
      double high,
      KitchenFit.Standing standing) {
    KitchenFit.Foretold toCore() {
      return new KitchenFit.Foretold(
          id.toString(), real, uncalibrated, low, predicted, high, standing);
    }
  }

  /** A batch that said something. */
  record Said(UUID id, String code) {}

  /**
   * A figure of the kitchen.
   *
   * @param told the batches tell it
   * @param inUse the next batches are foretold with it
   */
  record TaughtView(
      String knob,
      String words,
      FigureJson before,
      FigureJson after,
      boolean told,
      boolean inUse,
      List<Said> batches) {}

  /**
   * What a kitchen taught.
   *
   * @param state null where nothing was ever weighed
   * @param done batches looked at
   * @param total batches to be looked at
   * @param words how well the last batches were foretold; empty where too few tell it
   * @param batches the oldest first
   */
  record CalibrationView(
      @Nullable CalibrationState state,
      int done,
      int total,
      @Nullable Instant endedAt,
      String words,
      List<TaughtView> figures,
      List<ForetoldBatch> batches) {}

  /** A figure is used, or put back to what was believed before. */
  record FigureChoice(
      @NotNull(message = "Say which figure.") String knob,
      @NotNull(message = "Say whether it is used.") Boolean inUse) {}

  /** A batch counts, or does not. */
  record BatchChoice(@NotNull(message = "Say whether it counts.") Boolean counts) {}
}
