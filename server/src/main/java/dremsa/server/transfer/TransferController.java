package dremsa.server.transfer;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Method;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.notes.Notes;
import dremsa.server.predictions.Planner;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

@RestController
class TransferController {
  private final Formulas formulas;
  private final FormulaReader reader;
  private final Planner planner;
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;
  private final Households households;
  private final Notes notes;
  private final JsonMapper json;

  TransferController(
      Formulas formulas,
      FormulaReader reader,
      Planner planner,
      Kitchens kitchens,
      HouseholdMaterials materials,
      Households households,
      Notes notes,
      JsonMapper json) {
    this.formulas = formulas;
    this.reader = reader;
    this.planner = planner;
    this.kitchens = kitchens;
    this.materials = materials;
    this.households = households;
    this.notes = notes;
    this.json = json;
  }

  /**
   * A text to read.
   *
   * @param text of the file
   * @param method no longer asked for: the steps of a recipe are read
   */
  record Text(@NotNull(message = "There is no text.") String text, @Nullable Method method) {}

  @Operation(
      summary = "Read a text as formulas, and say exactly what could not be read; keeps nothing",
      description = "Our own file, or schema.org Recipe or HowTo as JSON-LD.")
  @WithoutTurn
  @PostMapping("/api/formulas/read")
  FormulaReader.Reading read(
      @AuthenticationPrincipal Member member, @Valid @RequestBody Text text) {
    Household household = households.of(member.household());
    return reader.read(
        text.text(),
        notes.reader(household),
        materials.of(household.id()),
        formulas.all(household.id()).stream().map(Formula::id).collect(Collectors.toSet()));
  }

  @Operation(summary = "A formula as a file of our own form")
  @GetMapping("/api/formulas/{id}/file")
  ResponseEntity<FormulaFile> file(
      @AuthenticationPrincipal Member member, @PathVariable String id) {
    Formula formula = formulas.get(member.household(), id);
    return named(formula, "json", MediaType.APPLICATION_JSON, FormulaFile.of(List.of(formula)));
  }

  @Operation(summary = "A formula as schema.org HowTo (JSON-LD), for a batch of one size")
  @GetMapping("/api/formulas/{id}/howto")
  ResponseEntity<Map<String, Object>> howTo(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @RequestParam(defaultValue = "500") double millilitres) {
    if (!(millilitres >= Target.LEAST_ML && millilitres <= Target.MOST_ML)) {
      throw Problem.invalid(
          FieldProblem.range(
              "millilitres",
              String.valueOf(millilitres),
              "10 to 20000 mL can be asked for.",
              Target.LEAST_ML,
              Target.MOST_ML));
    }
    UUID household = member.household();
    Formula formula = formulas.get(household, id);
    Brew brew = planner.resolve(household, formula, kitchens.of(household));
    Solution solution = Scaling.solve(brew, new Target.Volume(millilitres), Facts.NONE);
    if (!(solution instanceof Solution.Reached reached)) {
      throw Problem.invalid(
          FieldProblem.of("millilitres", millilitres, "This kitchen cannot brew so much at once."));
    }
    return named(
        formula,
        "jsonld",
        MediaType.parseMediaType("application/ld+json"),
        HowTo.of(brew, reached.prediction(), json));
  }

  private static <T> ResponseEntity<T> named(
      Formula formula, String ending, MediaType type, T body) {
    String name = formula.name().replaceAll("[^\\p{L}\\p{N} ._-]", "").strip();
    return ResponseEntity.ok()
        .contentType(type)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(
                    (name.isEmpty() ? "formula" : name) + "." + ending,
                    java.nio.charset.StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(body);
  }
}
