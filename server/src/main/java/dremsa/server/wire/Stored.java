package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import jakarta.validation.Validator;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes the JSON columns. What is written says the version of its form; rows from before
 * that have it in a column beside. An older form is lifted to the present one on reading ({@link
 * Lift}), what it has too many is passed over, and a newer one is refused. The mapper is one of its
 * own: how requests are read can change without a row becoming unreadable.
 */
@Component
public class Stored {
  /** The present version of all forms. */
  public static final int VERSION = 3;

  /** Rows that say no version, in themselves or beside, are of this one. */
  private static final int FIRST = 1;

  private static final String VERSION_FIELD = "schemaVersion";

  private final JsonMapper json =
      JsonMapper.builder()
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .changeDefaultNullHandling(
              present -> present.withOverrides(JsonSetter.Value.forContentNulls(Nulls.FAIL)))
          .build();

  private final Validator constraints;
  private final List<Lift> lifts;

  /**
   * @param others lifts of forms that other packages keep
   */
  public Stored(Validator constraints, List<Lift> others) {
    this.constraints = constraints;
    this.lifts =
        Stream.concat(Lifts.OF_WIRE.stream(), others.stream())
            .sorted(Comparator.comparingInt(Lift::from))
            .toList();
  }

  /** A form as it is kept, with its version. */
  public String write(Object form) {
    ObjectNode written = json.createObjectNode();
    written.put(VERSION_FIELD, VERSION);
    written.setAll((ObjectNode) json.valueToTree(form));
    return json.writeValueAsString(written);
  }

  public Formula formula(String column, int version) {
    return read(column, version, FormulaJson.class).toCore("");
  }

  public Kitchen kitchen(String column, int version) {
    return read(column, version, KitchenJson.class).toCore();
  }

  public KitchenJson kitchenJson(String column, int version) {
    return read(column, version, KitchenJson.class);
  }

  public TargetJson target(String column, int version) {
    return read(column, version, TargetJson.class);
  }

  public Material material(String column, int version) {
    return read(column, version, MaterialJson.class).toCore("");
  }

  public SurroundingsJson surroundings(String column, int version) {
    return read(column, version, SurroundingsJson.class);
  }

  /** Minutes planned otherwise than usual, by step index. */
  public Facts plan(String column, int version) {
    Map<Integer, Double> minutes =
        json.treeToValue(
            lifted(column, version, Map.class), new TypeReference<Map<Integer, Double>>() {});
    Facts facts = Facts.NONE;
    for (Map.Entry<Integer, Double> entry : minutes.entrySet()) {
      facts = facts.with(entry.getKey(), StepFacts.lasting(entry.getValue()));
    }
    return facts;
  }

  /** Readings of a brew, each in the unit of its kind. */
  public Map<Reading, Double> readings(String column) {
    return json.treeToValue(
        lifted(column, FIRST, Map.class), new TypeReference<Map<Reading, Double>>() {});
  }

  /** Reads a column with no version beside it. */
  public <T> T read(String column, Class<T> form) {
    return read(column, FIRST, form);
  }

  /**
   * Reads what came from outside, and holds it against the same constraints as a request.
   *
   * @throws IllegalArgumentException when it is not allowed
   */
  public <T> T checked(String text, Class<T> form) {
    T read = read(text, form);
    constraints.validate(read).stream()
        .findFirst()
        .ifPresent(
            wrong -> {
              throw new IllegalArgumentException(
                  wrong.getPropertyPath() + ": " + wrong.getMessage());
            });
    return read;
  }

  /** Whether a text that came from outside says what was poured into a bottle. */
  public boolean saysPouredIn(String text) {
    try {
      read(text, PouredInJson.class).toCore();
      return true;
    } catch (RuntimeException e) {
      return false;
    }
  }

  /** Reads a formula that came from outside. */
  public Formula checkedFormula(String text) {
    return checked(text, FormulaJson.class).toCore("");
  }

  /** Reads minutes planned otherwise that came from outside. */
  public Facts checkedPlan(String text) {
    Facts plan = plan(text, FIRST);
    plan.steps()
        .forEach(
            (index, known) -> {
              double minutes = known.minutes().orElse(0);
              if (index < 0 || index >= Formula.MOST_STEPS * 2) {
                throw new IllegalArgumentException("there is no step " + index);
              }
              if (!(minutes >= 0 && minutes <= Window.MOST_MINUTES)) {
                throw new IllegalArgumentException(minutes + " minutes are not planned");
              }
            });
    return plan;
  }

  private <T> T read(String column, int version, Class<T> form) {
    return json.treeToValue(lifted(column, version, form), form);
  }

  /** The row in the present version of its form. */
  private ObjectNode lifted(String column, int beside, Class<?> form) {
    if (!(json.readTree(column) instanceof ObjectNode row)) {
      throw new IllegalArgumentException("it is no form of ours");
    }
    JsonNode own = row.remove(VERSION_FIELD);
    int version = own == null ? beside : own.asInt();
    if (version > VERSION || version < FIRST) {
      throw new IllegalStateException(
          "a row of version " + version + " is not one that this program knows (" + VERSION + ")");
    }
    lifts.stream()
        .filter(lift -> lift.form() == form && lift.from() >= version)
        .forEach(lift -> lift.change().accept(row));
    return row;
  }
}
