package dremsa.server.materials;

import dremsa.core.check.AmountSlips;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.material.Substitution;
import dremsa.core.material.Weighed;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.Figure;
import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.TypedAmount;
import dremsa.core.measure.UnreadableAmountException;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.FindingJson;
import dremsa.server.wire.MaterialJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Materials, and amounts of them. */
@RestController
class MaterialController {
  private final HouseholdMaterials materials;
  private final Households households;
  private final Kitchens kitchens;

  MaterialController(HouseholdMaterials materials, Households households, Kitchens kitchens) {
    this.materials = materials;
    this.households = households;
    this.kitchens = kitchens;
  }

  @Operation(
      summary = "All materials, the household's own included",
      description = "Each figure has its unit, range and provenance; own figures override.")
  @GetMapping("/api/materials")
  List<MaterialJson> list(@AuthenticationPrincipal Member member) {
    Map<String, Long> own = materials.own(member.household());
    return materials.of(member.household()).all().stream()
        .map(
            material ->
                MaterialJson.of(material, own.containsKey(material.id()))
                    .withOtherNames()
                    .withVersion(own.get(material.id())))
        .toList();
  }

  /** A kind of material, with the figures that may be known of one. */
  record KindJson(MaterialKind kind, String words, List<PropertyJson> figures) {
    static KindJson of(MaterialKind kind) {
      return new KindJson(kind, kind.words(), kind.asked().stream().map(PropertyJson::of).toList());
    }
  }

  /**
   * A figure that may be known.
   *
   * @param ranged whether it is a span by its nature, such as a dose
   */
  record PropertyJson(
      Property property, String words, String unit, double least, double most, boolean ranged) {
    static PropertyJson of(Property property) {
      return new PropertyJson(
          property,
          property.words(),
          property.unit(),
          property.least(),
          property.most(),
          property.isSpan());
    }
  }

  @Operation(summary = "The kinds of materials, with what may be known of one of each")
  @GetMapping("/api/material-kinds")
  List<KindJson> kinds() {
    return Arrays.stream(MaterialKind.values())
        .filter(kind -> !kind.asked().isEmpty())
        .map(KindJson::of)
        .toList();
  }

  @Operation(summary = "Add a material, or say what the household knows better of one")
  @PutMapping("/api/materials/{id}")
  MaterialJson put(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @Valid @RequestBody MaterialJson material) {
    if (!material.id().equals(id)) {
      throw Problem.invalid(FieldProblem.of("id", material.id(), "The address says '" + id + "'."));
    }
    materials.put(member.household(), material);
    return MaterialJson.of(get(member.household(), id), true)
        .withVersion(materials.own(member.household()).get(id));
  }

  @Operation(summary = "Forget the household's own figures; the catalogue's hold again")
  @DeleteMapping("/api/materials/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forget(@AuthenticationPrincipal Member member, @PathVariable String id) {
    materials.forget(member.household(), id);
  }

  /**
   * What may stand in.
   *
   * @param grams of it for the grams asked about
   * @param how what the figure goes by
   */
  record SubstituteJson(String material, String name, double grams, String how) {}

  @Operation(
      summary = "What stands in for an amount of a material",
      description =
          "Fresh, dried and powder by the water in them; gums by gelling power; oils by lightness.")
  @GetMapping("/api/materials/{id}/substitutes")
  List<SubstituteJson> substitutes(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @RequestParam(defaultValue = "100") double grams) {
    if (!(grams >= 0 && grams <= 100_000)) {
      throw Problem.invalid(
          FieldProblem.range(
              "grams", String.valueOf(grams), "0 to 100000 g can be asked about.", 0, 100_000));
    }
    Materials all = materials.of(member.household());
    return Substitution.offers(get(member.household(), id), grams, all).stream()
        .map(
            offer ->
                new SubstituteJson(
                    offer.material().id(), offer.material().name(), offer.grams(), offer.how()))
        .toList();
  }

  /**
   * A typed amount, read and weighed.
   *
   * @param read as it was understood
   * @param grams with its range: for the smaller number and the lighter measure, and the reverse
   * @param millilitres of a dry herb its bulk
   * @param drops where drops were counted
   * @param beside the same in other measures
   * @param slips what there is to ask back
   */
  record AmountRead(
      String read,
      double lowGrams,
      double grams,
      double highGrams,
      double millilitres,
      @Nullable Double drops,
      List<String> beside,
      List<FindingJson> slips) {}

  @Operation(
      summary = "Read and weigh an amount as a maker types it",
      description = "For example '1 1/2 tbsp', '¼ c', '2-3 sprigs', 'a glass', '100 mL of buds'.")
  @GetMapping("/api/amounts")
  AmountRead read(
      @AuthenticationPrincipal Member member,
      @RequestParam String text,
      @RequestParam String material) {
    Household household = households.of(member.household());
    Material of = get(household.id(), material);
    Kitchen kitchen = kitchens.of(household.id());
    try {
      TypedAmount typed = AmountReader.of(household.measureSystem(), kitchen.counts()).read(text);
      Weighed weighed = Weighed.of(typed, of, household.measureSystem());
      return new AmountRead(
          typed.words(),
          weighed.lowGrams(),
          weighed.grams(),
          weighed.highGrams(),
          weighed.millilitres(),
          typed.measure().equals(KitchenMeasures.DROP) ? typed.value() : null,
          weighed.beside(),
          AmountSlips.of(typed, of).stream().map(FindingJson::of).toList());
    } catch (UnreadableAmountException e) {
      throw Problem.invalid(
          FieldProblem.of(
              "text", text, e.getMessage() + " (at character " + (e.position() + 1) + ")"));
    } catch (Weighed.UnknownPieceException e) {
      throw Problem.invalid(FieldProblem.of("text", text, Problem.why(e)));
    }
  }

  /** A spoon or cup of a material, weighed. */
  record SpoonForm(
      @NotNull(message = "Say what was measured, such as 1 tbsp.") String text,
      @NotNull(message = "Say what it weighed.")
          @Range(min = 0, max = 5000, message = "Above 0 and up to 5000 g.")
          Double grams) {}

  @Operation(summary = "Keep what a spoon of a material weighs in this household")
  @PostMapping("/api/materials/{id}/spoon")
  MaterialJson spoon(
      @AuthenticationPrincipal Member member,
      @PathVariable String id,
      @Valid @RequestBody SpoonForm form) {
    Household household = households.of(member.household());
    Material of = get(household.id(), id);
    Kitchen kitchen = kitchens.of(household.id());
    try {
      TypedAmount typed =
          AmountReader.of(household.measureSystem(), kitchen.counts()).read(form.text());
      Figure density = Weighed.densityOf(typed, form.grams(), kitchen.scaleStep());
      materials.put(
          household.id(), MaterialJson.of(of.ownFigures().with(Property.DENSITY, density), true));
    } catch (UnreadableAmountException e) {
      throw Problem.invalid(FieldProblem.of("text", form.text(), Problem.why(e)));
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(FieldProblem.of("grams", form.grams(), Problem.why(e)));
    }
    return MaterialJson.of(get(household.id(), id), true);
  }

  private Material get(UUID household, String id) {
    return materials.of(household).find(id).orElseThrow(() -> Problem.notFound("material"));
  }
}
