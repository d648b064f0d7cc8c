package dremsa.server.kitchens;

import dremsa.core.brew.Calibration;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.measure.Figure;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.AmountJson;
import dremsa.server.wire.FigureJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Trials that calibrate a kitchen. They answer a figure; keeping it is a change of the kitchen. */
@RestController
class TrialController {
  private final Kitchens kitchens;

  TrialController(Kitchens kitchens) {
    this.kitchens = kitchens;
  }

  /**
   * Water timed to the boil, lid on, at the highest setting.
   *
   * @param vessel id of the pot
   * @param fromC temperature of the water at the start
   * @param minutes to a rolling boil
   */
  record BoilTrial(
      @NotNull(message = "Say which pot.") String vessel,
      @NotNull(message = "Say how much water.") @Valid AmountJson water,
      @NotNull(message = "Say how warm the water was.") Double fromC,
      @NotNull(message = "Say how long it took.") Double minutes) {}

  /**
   * A pot weighed before and after boiling open.
   *
   * @param vessel id of the pot
   * @param before water in it before
   * @param after water in it after
   * @param minutes that it boiled
   */
  record WeighTrial(
      @NotNull(message = "Say which pot.") String vessel,
      @NotNull(message = "Say what it weighed before.") @Valid AmountJson before,
      @NotNull(message = "Say what it weighed after.") @Valid AmountJson after,
      @NotNull(message = "Say how long it boiled.") Double minutes) {}

  @Operation(summary = "Net power of a hob, from the time that water took to boil")
  @WithoutTurn
  @PostMapping("/api/kitchen/trials/boil")
  FigureJson boil(@AuthenticationPrincipal Member member, @Valid @RequestBody BoilTrial trial) {
    return answer(
        member.household(),
        trial.vessel(),
        "water.value",
        kitchen ->
            pot ->
                Calibration.power(
                    kitchen, pot, trial.water().grams("water", 1), trial.fromC(), trial.minutes()));
  }

  @Operation(summary = "Heat held at a boil, from what a pot lost in weight")
  @WithoutTurn
  @PostMapping("/api/kitchen/trials/weigh")
  FigureJson weigh(@AuthenticationPrincipal Member member, @Valid @RequestBody WeighTrial trial) {
    return answer(
        member.household(),
        trial.vessel(),
        "before.value",
        kitchen ->
            pot ->
                Calibration.boilHeat(
                    kitchen,
                    pot,
                    trial.before().grams("before", 1),
                    trial.after().grams("after", 1),
                    trial.minutes()));
  }

  private FigureJson answer(
      UUID household,
      String vessel,
      String gramsField,
      Function<Kitchen, Function<Vessel, Figure>> trial) {
    Kitchen kitchen = kitchens.of(household);
    Vessel pot =
        kitchen.vessels().stream()
            .filter(v -> v.id().equals(vessel))
            .findFirst()
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of("vessel", vessel, "There is no such pot here.")));
    try {
      return FigureJson.of(trial.apply(kitchen).apply(pot));
    } catch (Calibration.ImpossibleTrialException e) {
      String field =
          switch (e.field()) {
            case "grams", "beforeGrams" -> gramsField;
            case "afterGrams" -> "after.value";
            default -> e.field();
          };
      throw Problem.invalid(FieldProblem.of(field, null, e.getMessage() + "."));
    }
  }
}
