package dremsa.server.wire;

import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import jakarta.validation.Validator;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads and writes the JSON columns. Each row carries the schema version it was written with; an
 * older row is lifted to the present form on reading.
 */
@Component
public class Stored {
  /** The present form of formulas, kitchens and targets. */
  public static final int VERSION = 1;

  private final JsonMapper json;
  private final Validator constraints;

  Stored(JsonMapper json, Validator constraints) {
    this.json = json;
    this.constraints = constraints;
  }

  public String write(Object form) {
    return json.writeValueAsString(form);
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
    check(version);
    Map<Integer, Double> minutes =
        json.readValue(column, new TypeReference<Map<Integer, Double>>() {});
    Facts facts = Facts.NONE;
    for (Map.Entry<Integer, Double> entry : minutes.entrySet()) {
      facts = facts.with(entry.getKey(), StepFacts.lasting(entry.getValue()));
    }
    return facts;
  }

  /** Reads what {@link #write} wrote and this version alone reads. */
  public <T> T read(String column, Class<T> type) {
    return json.readValue(column, type);
  }

  /**
   * Reads what came from outside, and holds it against the same constraints as a request.
   *
   * @throws IllegalArgumentException when it is not allowed
   */
  public <T> T checked(String text, Class<T> form) {
    T read = json.readValue(text, form);
    if (read == null) {
      throw new IllegalArgumentException("it is empty");
    }
    constraints.validate(read).stream()
        .findFirst()
        .ifPresent(
            wrong -> {
              throw new IllegalArgumentException(
                  wrong.getPropertyPath() + ": " + wrong.getMessage());
            });
    return read;
  }

  /** Reads a formula that came from outside. */
  public Formula checkedFormula(String text) {
    return checked(text, FormulaJson.class).toCore("");
  }

  /** Reads minutes planned otherwise that came from outside. */
  public Facts checkedPlan(String text) {
    Facts plan = plan(text, VERSION);
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

  private <T> T read(String column, int version, Class<T> type) {
    check(version);
    return json.readValue(column, type);
  }

  private static void check(int version) {
    if (version != VERSION) {
      throw new IllegalStateException(
          "a row of schema version " + version + " is newer than this program (" + VERSION + ")");
    }
  }
}
