package dremsa.server.transfer;

import dremsa.core.brew.Stock;
import dremsa.core.formula.Formula;
import dremsa.core.material.Materials;
import dremsa.core.measure.Said;
import dremsa.core.reading.Answers;
import dremsa.core.reading.NoteReader;
import dremsa.core.reading.Stretch;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.FormulaJson;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
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
 * what it says is read as a note in plain words, and what is a guess or is not read is told.
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

  /**
   * @param notes reads what anybody else wrote
   * @param ids of the formulas that there are
   */
  Reading read(String text, NoteReader notes, Materials materials, Set<String> ids) {
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
      return linked(root, notes, materials);
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

  private Reading linked(JsonNode root, NoteReader notes, Materials materials) {
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
        recipes.stream().limit(MOST).map(r -> recipe(r, notes, materials)).toList(), List.of());
  }

  /** A line of a recipe, where it stands in the text that is read. */
  private record Placed(String place, int from, int to) {}

  /** A recipe of anybody's is read as a note: its ingredients and its steps, a line each. */
  private ReadFormula recipe(JsonNode recipe, NoteReader notes, Materials materials) {
    String name = plain(recipe.path("name").asString("A formula"));
    Optional<JsonNode> ours = ours(recipe.path("additionalProperty"));
    if (ours.isPresent()) {
      return own(ours.get(), materials, Set.of(), "");
    }
    StringBuilder text = new StringBuilder();
    List<Placed> lines = new ArrayList<>();
    String supplies = recipe.has("recipeIngredient") ? "recipeIngredient" : "supply";
    String steps = recipe.has("recipeInstructions") ? "recipeInstructions" : "step";
    add(recipe.path(supplies), supplies, text, lines);
    add(recipe.path(steps), steps, text, lines);
    if (text.length() > NoteReader.LONGEST) {
      return new ReadFormula(
          name, null, List.of(new Fault(supplies, "It is longer than a note may be.")), List.of());
    }
    dremsa.core.reading.Reading read = notes.read(text.toString(), Answers.NONE);
    Answers known = withoutNew(read);
    if (!known.here().isEmpty()) {
      read = notes.read(text.toString(), known);
    }
    List<Fault> unread = new ArrayList<>();
    for (Placed line : lines) {
      told(line, text, read, unread);
    }
    if (read.formula().isEmpty()) {
      return new ReadFormula(
          name, null, List.of(new Fault(supplies, "No ingredient of it could be read.")), unread);
    }
    Formula formula =
        read.formula().get().named(name.length() > 120 ? name.substring(0, 120) : name);
    return new ReadFormula(name, FormulaJson.of(formula), List.of(), unread);
  }

  private static void add(JsonNode nodes, String at, StringBuilder text, List<Placed> lines) {
    List<JsonNode> all = new ArrayList<>();
    if (nodes.isArray()) {
      nodes.forEach(all::add);
    } else if (!nodes.isMissingNode()) {
      all.add(nodes);
    }
    for (int i = 0; i < all.size(); i++) {
      int from = text.length();
      text.append(plain(words(all.get(i))).replace('\n', ' ')).append('\n');
      lines.add(new Placed(at + "[" + i + "]", from, text.length() - 1));
    }
  }

  /** What would be a new material of the household is left out: a file makes none. */
  private static Answers withoutNew(dremsa.core.reading.Reading read) {
    Map<String, String> none = new HashMap<>();
    for (Stretch stretch : read.doubtful()) {
      if (!stretch.options().isEmpty() && NoteReader.isNew(stretch.options().get(0).value())) {
        none.put(stretch.key(), NoteReader.NOT_AN_INGREDIENT);
      }
    }
    return new Answers(none, Map.of());
  }

  /** What of a line is a guess, and what is not read. */
  private static void told(
      Placed line, StringBuilder text, dremsa.core.reading.Reading read, List<Fault> unread) {
    List<Stretch> within =
        read.stretches().stream()
            .filter(s -> s.from() < line.to() && s.to() > line.from())
            .toList();
    String written = text.substring(line.from(), line.to());
    if (within.isEmpty() && !written.isBlank()) {
      unread.add(new Fault(line.place(), "'" + written + "': not read."));
    }
    for (Stretch stretch : within) {
      if (stretch.certainty() == Stretch.Certainty.UNREAD) {
        unread.add(new Fault(line.place(), "'" + said(text, stretch) + "': not read."));
      } else if (stretch.certainty() == Stretch.Certainty.GUESS) {
        unread.add(
            new Fault(
                line.place(), "'" + said(text, stretch) + "': a guess, " + stretch.taken() + "."));
      } else if (stretch.options().stream().anyMatch(o -> NoteReader.isNew(o.value()))) {
        unread.add(
            new Fault(
                line.place(),
                "'"
                    + said(text, stretch)
                    + "': no material of that name here. Paste the recipe as a note to keep it."));
      }
    }
  }

  private static String said(StringBuilder text, Stretch stretch) {
    return text.substring(stretch.from(), stretch.to()).replace('\n', ' ');
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
