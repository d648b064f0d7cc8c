package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.VesselChoice;
import dremsa.core.check.Wearer;
import dremsa.core.fill.ContainerSet;
import dremsa.core.fill.Filling;
import dremsa.core.formula.Branch;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.outlook.Outlook;
import dremsa.core.scale.Cost;
import dremsa.core.scale.Target;
import dremsa.server.wire.PredictionJson;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Judges a predicted batch and gathers everything that a screen shows of it. */
@Service
public class Predictions {
  private final WarmRuns warm;

  Predictions(WarmRuns warm) {
    this.warm = warm;
  }

  /**
   * A batch: what is brewed, in which size and vessels, with what is known of it.
   *
   * @param planned as it was measured out, where it runs; empty while it is only measured
   */
  public record Batched(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Prediction prediction,
      Facts facts,
      Optional<Prediction> planned) {
    public Batched(
        Brew brew, double scale, VesselChoice vessels, Prediction prediction, Facts facts) {
      this(brew, scale, vessels, prediction, facts, Optional.empty());
    }
  }

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
      Keeping kept = Keeping.inFridge(start, zone, school, climates);
      return (fill.target() instanceof Target.Bottles bottles
              ? kept.filledInto(bottles.sizeMl())
              : kept)
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

    private PredictionJson.FillingJson of(Batched batch) {
      return PredictionJson.FillingJson.of(
          Filling.of(
              batch.brew().formula().container(), batch.prediction().finished(), target, own, now));
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
    Outlook outlook =
        asked.withRanges()
            ? Outlook.of(batch.brew(), batch.prediction(), asked.keeping(), warm.runs(batch))
            : Outlook.none();
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
            outlook,
            Assumption.dearest(
                batch.brew(),
                batch.prediction(),
                asked.keeping(),
                bottled(batch.prediction(), asked.start())),
            cost(batch.prediction(), asked),
            fill.of(batch),
            ways,
            batch.facts(),
            batch.planned()));
  }

  /** How long a batch keeps, each way of a divided one on its own. */
  public Verdict verdict(Batched batch, Asked asked) {
    return asked
        .keeping()
        .judge(batch.brew(), batch.prediction(), bottled(batch.prediction(), asked.start()));
  }

  private static Instant bottled(Prediction prediction, Instant start) {
    return start.plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
  }

  private static PredictionJson.@Nullable BatchCostJson cost(Prediction prediction, Asked asked) {
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
}
