package dremsa.server.transfer;

import dremsa.core.brew.Stock;
import dremsa.core.check.AmountSlips;
import dremsa.core.check.Finding;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuides;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.material.Named;
import dremsa.core.material.Weighed;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Said;
import dremsa.core.measure.TypedAmount;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.FormulaJson;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a text as formulas and says exactly what of it could not be read. It takes nothing in.
 *
 * <p>Two forms are known: our own file, and schema.org's Recipe or HowTo as JSON-LD. Of the latter
 * the ingredients are read; its steps are prose, so the formula takes the steps of a method as a
 * first draft and the prose is told as not read.
 */
@Component
class FormulaReader {
  private static final int MOST = 100;
  private static final Pattern MARKUP = Pattern.compile("<[^>]{0,200}>");

  private final JsonMapper json;
  private final Validator validator;

  FormulaReader(JsonMapper json, Validator validator) {
    this.json = json;
    this.validator = validator;
  }

  /**
   * What a text holds.
   *
   * @param formulas each with what is wrong with it; only those without a fault can be taken in
   * @param faults of the text as a whole
   */
  record Reading(List<ReadFormula> formulas, List<Fault> faults) {}

  /**
   * A formula of a text.
   *
   * @param formula null when it could not be read
   * @param faults why it cannot be taken in
   * @param unread what was left out of it, and why
   */
  record ReadFormula(
      String name, @Nullable FormulaJson formula, List<Fault> faults, List<Fault> unread) {}

  /** Something that could not be read, and where. */
  record Fault(String place, String words) {}

  Reading read(
      String text, Method draft, Materials materials, MeasureSystem system, Set<String> ids) {
    JsonNode root;
    try {
      root = json.readTree(text);
    } catch (JacksonException e) {
      TokenStreamLocation at = e.getLocation();
      String where =
          at == null ? "" : Said.of(" Line %d, column %d.", at.getLineNr(), at.getColumnNr());
      return nothing("", "This is not well-formed JSON, or it is cut off." + where);
    }
    if (root.isObject() && (root.has("@type") || root.has("@graph") || root.has("@context"))) {
      return linked(root, draft, materials, system);
    }
    JsonNode list = root.isObject() && root.has("formulas") ? root.get("formulas") : root;
    if (root.isObject()
        && root.has("version")
        && root.path("version").asInt(0) > FormulaFile.VERSION) {
      return nothing("version", "This file is of a later version than this program reads.");
    }
    List<JsonNode> nodes = new ArrayList<>();
    if (list.isArray()) {
      list.forEach(nodes::add);
    } else if (list.isObject() && list.has("steps")) {
      nodes.add(list);
    }
    if (nodes.isEmpty()) {
      return nothing("", "There is no formula in it.");
    }
    if (nodes.size() > MOST) {
      return nothing("formulas", "There are more than " + MOST + " formulas in it.");
    }
    List<ReadFormula> read = new ArrayList<>();
    for (int i = 0; i < nodes.size(); i++) {
      read.add(own(nodes.get(i), materials, ids, list.isArray() ? "formulas[" + i + "]" : ""));
    }
    return new Reading(read, List.of());
  }

  private static Reading nothing(String place, String words) {
    return new Reading(List.of(), List.of(new Fault(place, words)));
  }

  private ReadFormula own(JsonNode node, Materials materials, Set<String> ids, String at) {
    String name = node.path("name").isString() ? node.path("name").asString() : "(no name)";
    List<Fault> faults = new ArrayList<>();
    FormulaJson form = null;
    try {
      form = json.treeToValue(node, FormulaJson.class);
    } catch (JacksonException e) {
      faults.add(
          new Fault(join(at, path(e)), "This is missing, unknown here, or of the wrong form."));
    }
    if (form != null) {
      for (ConstraintViolation<FormulaJson> violation : validator.validate(form)) {
        faults.add(
            new Fault(join(at, violation.getPropertyPath().toString()), violation.getMessage()));
      }
    }
    Formula formula = null;
    if (form != null && faults.isEmpty()) {
      try {
        formula = form.toCore("");
      } catch (Problem problem) {
        for (FieldProblem error : problem.errors()) {
          faults.add(new Fault(join(at, error.field()), error.message()));
        }
      }
    }
    if (formula != null) {
      for (int i = 0; i < formula.ingredients().size(); i++) {
        String id = formula.ingredients().get(i).material();
        boolean known =
            Stock.isBrew(id)
                ? ids.contains(id.substring(Stock.PREFIX.length()))
                : materials.find(id).isPresent();
        if (!known) {
          faults.add(
              new Fault(
                  join(at, "ingredients[" + i + "].material"),
                  "There is no material '" + id + "' here. Add it first, or change the file."));
        }
      }
    }
    faults.sort(Comparator.comparing(Fault::place));
    return new ReadFormula(
        name, formula == null ? null : FormulaJson.of(formula), faults, List.of());
  }

  private static String join(String at, String field) {
    return at.isEmpty() ? field : field.isEmpty() ? at : at + "." + field;
  }

  private static String path(JacksonException e) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference reference : e.getPath()) {
      if (reference.getPropertyName() == null) {
        path.append('[').append(reference.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(reference.getPropertyName());
      }
    }
    return path.toString();
  }

  private Reading linked(JsonNode root, Method draft, Materials materials, MeasureSystem system) {
    List<JsonNode> recipes = new ArrayList<>();
    JsonNode graph = root.path("@graph");
    (graph.isArray() ? graph : json.createArrayNode().add(root))
        .forEach(
            node -> {
              String type = node.path("@type").asString("");
              if (type.equals("Recipe") || type.equals("HowTo")) {
                recipes.add(node);
              }
            });
    if (recipes.isEmpty()) {
      return nothing("@type", "There is no Recipe and no HowTo in it.");
    }
    return new Reading(
        recipes.stream().limit(MOST).map(r -> recipe(r, draft, materials, system)).toList(),
        List.of());
  }

  private ReadFormula recipe(
      JsonNode recipe, Method draft, Materials materials, MeasureSystem system) {
    String name = plain(recipe.path("name").asString("A formula"));
    Optional<JsonNode> ours = ours(recipe.path("additionalProperty"));
    if (ours.isPresent()) {
      return own(ours.get(), materials, Set.of(), "");
    }
    List<Fault> unread = new ArrayList<>();
    Formula model = MethodGuides.of(draft).model();
    List<Ingredient> read = new ArrayList<>();
    Set<String> keys = new HashSet<>();
    AmountReader reader = AmountReader.of(system, CountMeasures.usual());
    JsonNode lines =
        recipe.has("recipeIngredient") ? recipe.path("recipeIngredient") : recipe.path("supply");
    String at = recipe.has("recipeIngredient") ? "recipeIngredient" : "supply";
    for (int i = 0; i < lines.size(); i++) {
      String place = at + "[" + i + "]";
      String line = plain(words(lines.get(i)));
      try {
        TypedAmount typed = reader.read(line);
        Named named = Named.of(typed.rest(), materials);
        Optional<Finding> slip =
            named.found() == null
                ? Optional.empty()
                : AmountSlips.of(typed, named.found()).stream()
                    .filter(f -> f.severity() == Finding.Severity.ERROR)
                    .findFirst();
        if (named.found() == null) {
          unread.add(new Fault(place, "'" + line + "': " + whichOne(named)));
        } else if (slip.isPresent()) {
          unread.add(new Fault(place, "'" + line + "': " + slip.get().what()));
        } else if (keys.add(named.found().id())) {
          double grams = Weighed.of(typed, named.found(), system).grams();
          read.add(Ingredient.parts(named.found().id(), grams));
        } else {
          unread.add(new Fault(place, "'" + line + "': stands twice."));
        }
      } catch (IllegalArgumentException e) {
        // No amount, a piece of unknown weight, or more than a formula takes.
        unread.add(new Fault(place, "'" + line + "': " + e.getMessage()));
      }
    }
    JsonNode steps =
        recipe.has("recipeInstructions") ? recipe.path("recipeInstructions") : recipe.path("step");
    for (int i = 0; i < steps.size(); i++) {
      unread.add(
          new Fault(
              "step[" + i + "]",
              "'" + plain(words(steps.get(i))) + "': prose; the steps are those of the method."));
    }
    if (read.isEmpty()) {
      return new ReadFormula(
          name, null, List.of(new Fault(at, "No ingredient of it could be read.")), unread);
    }
    try {
      Formula formula = drafted(name, plain(recipe.path("description").asString("")), model, read);
      return new ReadFormula(name, FormulaJson.of(formula), List.of(), unread);
    } catch (IllegalArgumentException e) {
      return new ReadFormula(name, null, List.of(new Fault(at, Problem.why(e))), unread);
    }
  }

  /** The formula that our own file carries along; what anybody else wrote has none. */
  private Optional<JsonNode> ours(JsonNode property) {
    if (!property.path("name").asString("").equals(HowTo.FORMULA)) {
      return Optional.empty();
    }
    try {
      return Optional.of(json.readTree(property.path("value").asString("")));
    } catch (JacksonException e) {
      // Broken: what anybody can read of the file is still read.
      return Optional.empty();
    }
  }

  /** The method's steps, with the ingredients read in place of the model's. */
  private static Formula drafted(String name, String about, Formula model, List<Ingredient> read) {
    List<Step> steps = new ArrayList<>();
    List<String> keys = read.stream().map(Ingredient::key).toList();
    boolean into = false;
    for (Step step : model.steps()) {
      if (step instanceof Step.Naming naming && step.kind() == StepKind.COMBINE) {
        if (!into) {
          steps.add(naming.naming(keys));
        }
        into = true;
      } else if (step.ingredients().isEmpty()) {
        steps.add(step);
      }
    }
    return new Formula(
        "",
        name.length() > 120 ? name.substring(0, 120) : name,
        model.method(),
        model.purposes(),
        about.length() > 2000 ? about.substring(0, 2000) : about,
        read,
        steps);
  }

  private static String whichOne(Named named) {
    return named.meant().isEmpty()
        ? "no material of that name here."
        : "which is meant? "
            + named.meant().stream().map(Material::name).collect(Collectors.joining("; "))
            + ".";
  }

  private static String words(JsonNode node) {
    if (node.isString()) {
      return node.asString();
    }
    String amount = node.path("requiredQuantity").asString("");
    String text =
        node.has("text") ? node.path("text").asString("") : node.path("name").asString("");
    return (amount + " " + text).strip();
  }

  private static String plain(String text) {
    String clean = MARKUP.matcher(text).replaceAll("").strip();
    return clean.length() > 300 ? clean.substring(0, 300) + "…" : clean;
  }
}
