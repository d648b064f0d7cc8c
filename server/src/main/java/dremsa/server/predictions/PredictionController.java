package dremsa.server.predictions;

import dremsa.core.check.Wearer;
import dremsa.core.formula.Formula;
import dremsa.core.keep.School;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.PriceJson;
import dremsa.server.wire.TargetJson;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.ExampleObject;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PredictionController {
  private static final String BOTTLES =
      """
      {"formulaId": "lemon-balm-spray",
       "target": {"kind": "BOTTLES", "count": 2, "size": {"value": 250, "unit": "ml"}}}
      """;

  private static final String THICK =
      """
      {"formulaId": "linseed-gel", "choices": {"gel-straining": "hot-sieved"},
       "target": {"kind": "VOLUME", "amount": {"value": 12, "unit": "us-floz"}},
       "make": {"kind": "THICKNESS", "value": 400}, "school": "PRACTICE", "cleanWorking": true}
      """;

  private final Answering answering;
  private final WarmAnswers warm;

  PredictionController(Answering answering, WarmAnswers warm) {
    this.answering = answering;
    this.warm = warm;
  }

  /**
   * What is asked.
   *
   * @param formulaId of a known formula; or give the formula itself
   * @param formula given inline
   * @param variant id of one of the variants offered for the formula
   * @param changes beyond the variant, made in their order
   * @param choices the choice taken in each school of the method, by their ids
   * @param kitchen instead of the household's
   * @param target what is wanted
   * @param make what it is to be like: a ratio, a strength or a thickness
   * @param steps what is planned otherwise than usual; indices count in the changed formula
   * @param pours the bottle of the shelf behind each brew used as an ingredient
   * @param school instead of the household's
   * @param cleanWorking confirmed: sterilised bottle, strained fine, fridge at 5 °C
   * @param wearer for whom it is; an adult scalp when left out
   * @param prices by ingredient key, for the cost; those of the lots on hand when left out
   * @param shopPrice of what it replaces
   * @param startAt when the first step begins; now when left out
   * @param readyBy when the last step is over, instead
   * @param ranges whether ranges and what makes them are wanted; they are when left out
   */
  record Question(
      @Nullable String formulaId,
      @Valid @Nullable FormulaJson formula,
      @Nullable String variant,
      @Size(max = 40, message = "At most 40 changes.") @Nullable List<@Valid ChangeJson> changes,
      @Size(max = 20, message = "At most 20 choices.") @Nullable Map<String, String> choices,
      @Valid @Nullable KitchenJson kitchen,
      @NotNull(message = "Say what is wanted.") @Valid TargetJson target,
      @Valid @Nullable MakeJson make,
      @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
          @Nullable List<@Valid PlannedStep> steps,
      @Size(max = 20, message = "At most 20 bottles.") @Nullable Map<String, UUID> pours,
      @Nullable School school,
      @Nullable Boolean cleanWorking,
      @Nullable Wearer wearer,
      @Size(max = 40, message = "At most 40 prices.")
          @Nullable Map<String, @Valid PriceJson> prices,
      @Valid @Nullable PriceJson shopPrice,
      @Nullable Instant startAt,
      @Nullable Instant readyBy,
      @Nullable Boolean ranges)
      implements Plan {}

  @Operation(
      summary = "How a brew would go, for a target, in a kitchen; keeps nothing",
      description =
          "Takes a formula by id or inline, with a variant, changes or choices of school; the"
              + " household's kitchen or another; and a target. Answers amounts, the water account,"
              + " the trace, thickness, loads, cost, the discard date and its reasons, each with its"
              + " range and what moves it most. A divided formula answers each way too.",
      requestBody =
          @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content =
                  @Content(
                      mediaType = "application/json",
                      examples = {
                        @ExampleObject(name = "two bottles of a known formula", value = BOTTLES),
                        @ExampleObject(name = "a gel of a wanted thickness", value = THICK)
                      })),
      responses =
          @ApiResponse(
              responseCode = "200",
              description = "OK",
              content =
                  @Content(
                      mediaType = "application/json",
                      schema = @Schema(implementation = PredictionJson.class))))
  @WithoutTurn
  @PostMapping(value = "/api/predictions", produces = MediaType.APPLICATION_JSON_VALUE)
  byte[] predict(@AuthenticationPrincipal Member member, @Valid @RequestBody Question question) {
    UUID household = member.household();
    return warm.of(household, question, () -> answering.to(household, question));
  }
}
