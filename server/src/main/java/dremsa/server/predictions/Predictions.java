package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Formula;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.TargetJson;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Resolves, solves and judges; turns what cannot be reached into a problem with its numbers. */
@Service
public class Predictions {

  /** A formula resolved with its surroundings. */
  public Brew resolve(Formula formula, Kitchen kitchen, String formulaField) {
    try {
      return Brew.of(formula, kitchen, Materials.standard());
    } catch (UnknownMaterialException e) {
      for (int i = 0; i < formula.ingredients().size(); i++) {
        if (formula.ingredients().get(i).material().equals(e.id())) {
          throw Problem.invalid(
              FieldProblem.of(
                  formulaField + ".ingredients[" + i + "].material", e.id(), e.getMessage()));
        }
      }
      throw e;
    }
  }

  /** The batch that meets a target. */
  public Solution.Reached solve(Brew brew, TargetJson wanted, Facts facts) {
    Target target = wanted.toCore(brew);
    Solution solution = Scaling.solve(brew, target, facts);
    if (solution instanceof Solution.Reached reached) {
      return reached;
    }
    Solution.Unreachable no = (Solution.Unreachable) solution;
    String why = no.troubles().isEmpty() ? "It cannot be reached." : no.troubles().get(0).words();
    String most =
        no.mostMl() >= Target.LEAST_ML
            ? " At most about %.0f mL can be had at once in this kitchen.".formatted(no.mostMl())
            : "";
    throw new Problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "unreachable",
        why + most,
        List.of(
            new FieldProblem(
                wanted.amountField(),
                value(wanted, no),
                why + most,
                no.mostMl() >= Target.LEAST_ML ? Target.LEAST_ML : null,
                no.mostMl() >= Target.LEAST_ML ? no.mostMl() : null)));
  }

  private static Object value(TargetJson wanted, Solution.Unreachable no) {
    return switch (wanted.kind()) {
      case BOTTLES -> wanted.count();
      case PEOPLE_USES -> wanted.uses();
      case FULL_POT -> null;
      default -> wanted.amount().value();
    };
  }

  /** Everything a screen shows of one predicted batch, with ranges. */
  public PredictionJson describe(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Prediction prediction,
      Facts facts,
      School school,
      Instant start,
      ZoneId zone,
      boolean withRanges) {
    Map<String, Range> ranges =
        withRanges ? Ranges.of(brew, scale, vessels, facts, RANGED) : Map.of();
    Instant bottled = start.plusMillis(Math.round(prediction.heat().bottledMinute() * 60_000));
    Verdict verdict = Keeping.inFridge(start, zone, school).judge(brew, prediction, bottled);
    return PredictionJson.of(brew, scale, vessels, prediction, ranges, bottled, verdict);
  }

  private static final Map<String, ToDoubleFunction<Prediction>> RANGED = ranged();

  private static Map<String, ToDoubleFunction<Prediction>> ranged() {
    Map<String, ToDoubleFunction<Prediction>> results = new LinkedHashMap<>();
    results.put(PredictionJson.BOTTLED, p -> p.finished().millilitres());
    results.put(
        PredictionJson.STRENGTH,
        p -> p.strengths().isEmpty() ? 0 : p.strengths().get(0).extracted() * 100);
    return results;
  }
}
