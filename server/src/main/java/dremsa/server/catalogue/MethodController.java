package dremsa.server.catalogue;

import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuide;
import dremsa.core.formula.MethodGuides;
import dremsa.core.formula.MethodSchools;
import dremsa.core.formula.Step;
import dremsa.server.wire.FigureJson;
import dremsa.server.wire.StepJson;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The methods of the craft, to read. */
@RestController
class MethodController {
  /**
   * What there is to know of a method.
   *
   * @param model id of the formula whose steps show it
   * @param waterToHerb g of liquid for each g of plant; null where thickness or juice decides
   * @param handsMinutes in which hands are needed, by the usual times
   */
  record MethodView(
      Method method,
      String name,
      String about,
      String model,
      List<MethodStep> steps,
      @Nullable FigureJson waterToHerb,
      List<String> mistakes,
      List<String> equipment,
      double handsMinutes,
      String leftovers,
      List<SchoolJson> schools) {}

  /** A typed step with its window, cue and mistakes. */
  record MethodStep(String headline, boolean needsHands, StepJson step) {
    static MethodStep of(Step step) {
      return new MethodStep(step.headline(), step.needsHands(), StepJson.of(step));
    }
  }

  @Operation(
      summary = "The methods of the craft",
      description =
          "Each with typed steps, their windows and cues, what goes wrong, equipment, hands, the"
              + " second use of what is left, and the schools on which makers disagree.")
  @GetMapping("/api/methods")
  List<MethodView> methods() {
    return MethodGuides.all().stream().map(MethodController::view).toList();
  }

  private static MethodView view(MethodGuide guide) {
    return new MethodView(
        guide.method(),
        guide.method().words(),
        guide.about(),
        guide.model().id(),
        guide.model().steps().stream().map(MethodStep::of).toList(),
        guide.waterToHerb().map(FigureJson::of).orElse(null),
        guide.mistakes(),
        MethodGuide.equipment(guide.model()).stream().map(e -> e.words()).toList(),
        MethodGuide.handsMinutes(guide.model()),
        guide.leftovers(),
        MethodSchools.of(guide.method()).stream().map(SchoolJson::of).toList());
  }
}
