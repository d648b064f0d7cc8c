package dremsa.server.transfer;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Step;
import dremsa.core.measure.Said;
import dremsa.core.scale.Portion;
import dremsa.core.scale.Scaling;
import dremsa.server.wire.FormulaJson;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** A formula as schema.org HowTo (JSON-LD), for a batch of one size. */
final class HowTo {
  /** Name of the property in which our own formula is carried along. */
  static final String FORMULA = "dremsa-formula";

  private HowTo() {}

  static Map<String, Object> of(Brew brew, Prediction prediction, JsonMapper json) {
    Map<String, Object> howTo = new LinkedHashMap<>();
    howTo.put("@context", "https://schema.org");
    howTo.put("@type", "HowTo");
    howTo.put("name", brew.formula().name());
    howTo.put("description", brew.formula().about());
    double minutes = prediction.steps().get(prediction.steps().size() - 1).endMinute();
    howTo.put("totalTime", Duration.ofSeconds(Math.round(minutes * 60)).toString());
    howTo.put("yield", Said.of("%.0f mL", prediction.finished().millilitres()));
    List<Object> supplies = new ArrayList<>();
    for (Portion portion : Scaling.portions(brew, prediction)) {
      Map<String, Object> supply = new LinkedHashMap<>();
      supply.put("@type", "HowToSupply");
      supply.put("name", portion.material().name());
      supply.put("requiredQuantity", amount(portion));
      supplies.add(supply);
    }
    howTo.put("supply", supplies);
    List<Object> steps = new ArrayList<>();
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      Step step = brew.formula().steps().get(i);
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("@type", "HowToStep");
      one.put("position", i + 1);
      one.put("name", step.headline());
      one.put("text", text(step, prediction.steps().get(i).minutes()));
      steps.add(one);
    }
    howTo.put("step", steps);
    // So that what goes out comes back in whole; others pass it over.
    Map<String, Object> ours = new LinkedHashMap<>();
    ours.put("@type", "PropertyValue");
    ours.put("name", FORMULA);
    ours.put("value", json.writeValueAsString(FormulaJson.of(brew.formula())));
    howTo.put("additionalProperty", ours);
    return howTo;
  }

  private static String amount(Portion portion) {
    return portion
        .drops()
        .map(drops -> drops + " drops")
        .orElseGet(() -> Said.of(portion.grams() < 10 ? "%.1f g" : "%.0f g", portion.grams()));
  }

  private static String text(Step step, double minutes) {
    StringBuilder text = new StringBuilder(step.headline()).append('.');
    if (step.window().isPresent()) {
      text.append(Said.of(" %s.", time(minutes)));
    }
    if (!step.guide().how().isEmpty()) {
      text.append(' ').append(step.guide().how());
    }
    if (!step.guide().cue().isEmpty()) {
      text.append(" Until: ").append(step.guide().cue());
    }
    return text.toString();
  }

  private static String time(double minutes) {
    if (minutes >= 3 * 24 * 60) {
      return Said.of("About %.0f days", minutes / 1440);
    }
    return minutes >= 180
        ? Said.of("About %.1f hours", minutes / 60)
        : Said.of("About %.0f minutes", minutes);
  }
}
