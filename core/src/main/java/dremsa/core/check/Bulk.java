package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.formula.StepKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether plant and liquid fit together: by the plant's bulk, and by what steams off. */
final class Bulk {
  /** Wetted and pressed down, dried plant takes this share of its bulk; our estimate. */
  private static final double WET = 0.45;

  /** A pot of half a litre boils about so much of it away; our estimate. */
  private static final double USUAL_STEAM = 0.15;

  /** From this share on it is told. */
  private static final double MUCH_STEAM = 0.25;

  private Bulk() {}

  static List<Finding> of(Brew brew, Prediction prediction) {
    List<Finding> all = new ArrayList<>();
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i).kind() == StepKind.COMBINE) {
        covered(brew, prediction, i).ifPresent(all::add);
      }
    }
    boilsDown(brew, prediction).ifPresent(all::add);
    return all;
  }

  private static Optional<Finding> covered(Brew brew, Prediction prediction, int index) {
    double bulk = 0;
    for (String key : brew.formula().steps().get(index).ingredients()) {
      Material material = brew.materialOf(key).orElseThrow();
      if (material.kind().isPlant() && !material.kind().isPowder() && !material.kind().isFresh()) {
        bulk += prediction.amounts().getOrDefault(key, 0.0) / material.density();
      }
    }
    double liquid = prediction.steps().get(index).millilitres();
    double needed = bulk * WET;
    if (liquid <= 0 || needed <= liquid) {
      return Optional.empty();
    }
    return Optional.of(
        new Finding(
            Code.NOT_COVERED,
            Severity.WARNING,
            Said.of("steps[%d]", index),
            Said.of("%.0f mL do not cover the plants: dry they take %.1f L.", liquid, bulk / 1000),
            "What is not under the liquid gives nothing, and what is wet in the air spoils.",
            Said.of(
                "Take at least %.0f mL of liquid and a vessel of %.1f L, or less plant.",
                needed, Math.max(bulk, needed / 0.9) / 1000)));
  }

  private static Optional<Finding> boilsDown(Brew brew, Prediction prediction) {
    double in = prediction.account().in();
    double steam = prediction.account().steam();
    boolean gels =
        brew.materials().stream()
            .anyMatch(m -> m.kind() == MaterialKind.GUM_SEED || m.kind() == MaterialKind.SEAWEED);
    if (!gels || in <= 0 || steam / in < MUCH_STEAM) {
      return Optional.empty();
    }
    double more = (steam - USUAL_STEAM * in) / (1 - USUAL_STEAM);
    return Optional.of(
        new Finding(
            Code.BOILS_DOWN,
            Severity.NOTE,
            "steps",
            Said.of(
                "This small, the pot boils it thicker: %.0f %% of it steams off.",
                100 * steam / in),
            "A pot loses by its width and its minutes, not by how much is in it.",
            Said.of("Stir in about %.0f mL of water at the end, or keep the lid on.", more)));
  }
}
