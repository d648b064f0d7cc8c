package dremsa.core.brew;

import dremsa.core.formula.Step;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * A thing of the kitchen that a brew holds for a while, so that no other can have it.
 *
 * @param kind what it is
 * @param id of the vessel in its kitchen; of a hob or a strainer the word for it
 * @param name as the household calls it
 * @param fromMinute since the first step
 * @param toMinute since the first step
 */
public record Holding(Kind kind, String id, String name, double fromMinute, double toMinute) {
  /** What can be held. */
  public enum Kind {
    VESSEL,
    HOB,
    STRAINER
  }

  /** All that a brew holds from its first step to its bottles, vessels first. */
  public static List<Holding> of(Brew brew, Prediction prediction, VesselChoice vessels) {
    List<Holding> all = new ArrayList<>();
    for (Vessel vessel : vessels.vessels().values()) {
      stretch(prediction, outcome -> stands(brew, outcome, vessel))
          .ifPresent(
              s -> all.add(new Holding(Kind.VESSEL, vessel.id(), vessel.name(), s.from, s.to)));
    }
    stretch(prediction, outcome -> step(brew, outcome).onHob())
        .ifPresent(s -> all.add(new Holding(Kind.HOB, "hob", "a hob", s.from, s.to)));
    for (StepOutcome outcome : prediction.steps()) {
      step(brew, outcome)
          .strainer()
          .ifPresent(
              tool ->
                  all.add(
                      new Holding(
                          Kind.STRAINER,
                          tool.name(),
                          "the " + tool.noun(),
                          outcome.startMinute(),
                          outcome.endMinute())));
    }
    return List.copyOf(all);
  }

  private static Step step(Brew brew, StepOutcome outcome) {
    return brew.formula().steps().get(outcome.index());
  }

  private static boolean stands(Brew brew, StepOutcome outcome, Vessel vessel) {
    boolean worked =
        vessel.kind() == VesselKind.BLENDER
            && step(brew, outcome).worksIn().equals(Optional.of(VesselKind.BLENDER));
    return worked || outcome.vessel().equals(vessel.name());
  }

  private record Stretch(double from, double to) {}

  /** From the first step to the last that asks for it: what stands between is not put away. */
  private static Optional<Stretch> stretch(Prediction prediction, Predicate<StepOutcome> asks) {
    List<StepOutcome> steps = prediction.steps().stream().filter(asks).toList();
    return steps.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Stretch(steps.get(0).startMinute(), steps.get(steps.size() - 1).endMinute()));
  }

  /**
   * A kitchen without the vessels that are held. Of a kind of which none is free all stay: a maker
   * may own more than was told, and is told who holds them.
   */
  public static Kitchen free(Kitchen kitchen, Set<String> heldVessels) {
    Set<VesselKind> free =
        kitchen.vessels().stream()
            .filter(vessel -> !heldVessels.contains(vessel.id()))
            .map(Vessel::kind)
            .collect(Collectors.toSet());
    return kitchen.withVessels(
        kitchen.vessels().stream()
            .filter(v -> !heldVessels.contains(v.id()) || !free.contains(v.kind()))
            .toList());
  }
}
