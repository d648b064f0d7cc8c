package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges;
import dremsa.core.brew.VesselChoice;
import dremsa.core.check.Wearer;
import dremsa.core.fill.ContainerSet;
import dremsa.core.fill.Filling;
import dremsa.core.formula.Branch;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.scale.Cost;
import dremsa.core.scale.Target;
import dremsa.server.wire.PredictionJson;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Judges a predicted batch and gathers everything that a screen shows of it. */
@Service
public class Predictions {
  private static final double HOUR_MS = 3_600_000;

  /** A batch: what is brewed, in which size and vessels, with what is known of it. */
  public record Batched(
      Brew brew, double scale, VesselChoice vessels, Prediction prediction, Facts facts) {}

  /**
   * For whom and by which rules.
   *
   * @param start when the first step begins or began
   * @param climates of the places where it will stand
   * @param ages of the brews poured in, by the material that names them
   * @param pricePerGram by ingredient key; null when the cost is not asked for
   * @param shopPer100Ml the shop's price; null without one
   * @param fill what it is filled into
   * @param withRanges whether ranges and what makes them are worked out
   */
  public record Asked(
      Instant start,
      ZoneId zone,
      School school,
      boolean cleanWorking,
      Climates climates,
      Map<String, Inherited> ages,
      Wearer wearer,
      MeasureSystem measures,
      @Nullable Map<String, Double> pricePerGram,
      @Nullable Double shopPer100Ml,
      Fill fill,
      boolean withRanges) {
    /** How it keeps in the fridge, in the bottles that it is measured for. */
    Keeping keeping() {
      return Keeping.inFridge(start, zone, school, climates)
          .filledInto(fill.bottleMl())
          .withInherited(List.copyOf(ages.values()))
          .withCleanWorking(cleanWorking);
    }
  }

  /**
   * What a brew is filled into.
   *
   * @param own containers of the household
   */
  public record Fill(Target target, List<ContainerSet> own, Instant now) {
    /** A way of a divided batch takes what is free; nothing was measured for it alone. */
    Fill ofWay() {
      return new Fill(new Target.FullPot(), own, now);
    }

    /** The size of the bottles that were asked for; NaN where only an amount was. */
    private double bottleMl() {
      return target instanceof Target.Bottles bottles ? bottles.sizeMl() : Double.NaN;
    }

    private PredictionJson.FillingJson of(Batched batch) {
      return PredictionJson.FillingJson.of(
          Filling.of(
              Filling.wanted(batch.brew().formula()),
              batch.prediction().finished(),
              target,
              own,
              now));
    }
  }

  /** Everything there is to say of a batch; of a divided one also of each way. */
  public PredictionJson describe(Batched batch, Asked asked) {
    List<PredictionJson.WayJson> ways = new ArrayList<>();
    List<Branch> branches = batch.brew().formula().branches();
    List<Brew> brews = batch.brew().ways();
    Optional<Verdict> first = Optional.empty();
    for (int i = 0; i < brews.size(); i++) {
      Prediction part = brews.get(i).predict(batch.scale(), batch.vessels(), batch.facts());
      Batched way = new Batched(brews.get(i), batch.scale(), batch.vessels(), part, batch.facts());
      Verdict verdict = verdict(way, asked);
      if (first.isEmpty() || verdict.runsOut().isBefore(first.get().runsOut())) {
        first = Optional.of(verdict);
      }
      ways.add(
          new PredictionJson.WayJson(
              branches.get(i).name(),
              branches.get(i).share(),
              describe(way, asked, asked.fill().ofWay(), verdict, List.of())));
    }
    // What is divided keeps, as a whole, as long as its first part.
    return describe(batch, asked, asked.fill(), first.orElseGet(() -> verdict(batch, asked)), ways);
  }

  private PredictionJson describe(
      Batched batch, Asked asked, Fill fill, Verdict verdict, List<PredictionJson.WayJson> ways) {
    Ranges.Study study =
        asked.withRanges()
            ? Ranges.study(
                batch.brew(), batch.scale(), batch.vessels(), batch.facts(), ranged(batch, asked))
            : new Ranges.Study(Map.of(), List.of());
    return PredictionJson.of(
        batch.brew(),
        batch.scale(),
        batch.vessels(),
        batch.prediction(),
        new PredictionJson.Beside(
            bottled(batch.prediction(), asked.start()),
            verdict,
            asked.wearer(),
            asked.measures(),
            study.ranges(),
            study.influences(),
            cost(batch.prediction(), asked),
            fill.of(batch),
            ways));
  }

  private static Verdict verdict(Batched batch, Asked asked) {
    return asked
        .keeping()
        .judge(batch.brew(), batch.prediction(), bottled(batch.prediction(), asked.start()));
  }

  private static Instant bottled(Prediction prediction, Instant start) {
    return start.plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
  }

  private static PredictionJson.BatchCostJson cost(Prediction prediction, Asked asked) {
    if (asked.pricePerGram() == null) {
      return null;
    }
    Cost cost = Cost.of(prediction, asked.pricePerGram());
    return new PredictionJson.BatchCostJson(
        cost.total(),
        cost.per100Ml(),
        asked.shopPer100Ml() == null ? null : cost.against(asked.shopPer100Ml()),
        cost.unpriced().stream().sorted().toList());
  }

  /** The results that are told with a range. */
  private static Map<String, ToDoubleFunction<Prediction>> ranged(Batched batch, Asked asked) {
    Map<String, ToDoubleFunction<Prediction>> results = new LinkedHashMap<>();
    put(results, PredictionJson.BOTTLED, batch, p -> p.finished().millilitres());
    put(results, PredictionJson.HELD, batch, p -> p.account().held());
    put(results, PredictionJson.STEAM, batch, p -> p.account().steam());
    put(results, PredictionJson.CLOTH, batch, p -> p.account().cloth());
    put(results, PredictionJson.TIME, batch, p -> p.steps().get(p.steps().size() - 1).endMinute());
    put(
        results,
        PredictionJson.STRENGTH,
        batch,
        p -> p.strengths().isEmpty() ? 0 : p.strengths().get(0).extracted() * 100);
    put(results, PredictionJson.THICKNESS, batch, p -> p.finished().thickness());
    Keeping keeping = asked.keeping();
    put(
        results,
        PredictionJson.KEEPS,
        batch,
        p ->
            Duration.between(
                        asked.start(),
                        keeping.judge(batch.brew(), p, bottled(p, asked.start())).runsOut())
                    .toMillis()
                / HOUR_MS);
    return results;
  }

  /**
   * At the edge of what works a result may be no number (a pot that no longer boils); it then
   * counts as unmoved.
   */
  private static void put(
      Map<String, ToDoubleFunction<Prediction>> results,
      String name,
      Batched batch,
      ToDoubleFunction<Prediction> result) {
    double middle = result.applyAsDouble(batch.prediction());
    if (Double.isFinite(middle)) {
      results.put(
          name,
          p -> {
            double value = result.applyAsDouble(p);
            return Double.isFinite(value) ? value : middle;
          });
    }
  }
}
