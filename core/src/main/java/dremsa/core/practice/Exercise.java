package dremsa.core.practice;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is practised.
 *
 * @param id stable; {@code free} for a formula without a task
 * @param title a few words
 * @param task what to do, in a sentence or two
 * @param lesson what it is about; told in the end
 * @param formula that is brewed
 * @param scale of it
 * @param kitchen it is brewed in
 * @param card grams as somebody's card says them, by ingredient, where it is wrong or unclear; the
 *     others go in as the formula says
 * @param choices what steps leave to the maker
 * @param bells what calls the maker away
 * @param good how a good brew departs from the usual, such as standing longer in a cold room
 * @param aims what is asked for
 */
public record Exercise(
    String id,
    String title,
    String task,
    String lesson,
    Formula formula,
    double scale,
    Kitchen kitchen,
    Map<String, Double> card,
    List<Choice> choices,
    List<Bell> bells,
    Facts good,
    List<Aim> aims) {
  /** The id of a formula brewed without a task. */
  public static final String FREE = "free";

  public Exercise {
    card = Map.copyOf(card);
    choices = List.copyOf(choices);
    bells = List.copyOf(bells);
    aims = List.copyOf(aims);
  }

  Optional<Choice> choiceAt(int step) {
    return choices.stream().filter(choice -> choice.step() == step).findFirst();
  }

  /** The brew as it is when these ways were chosen, by step; where none was, the good one. */
  Brew brew(Materials materials, Map<Integer, Choice.Option> chosen) {
    List<Step> steps = new ArrayList<>(formula.steps());
    for (Choice choice : choices) {
      chosen
          .getOrDefault(choice.step(), choice.good())
          .instead()
          .ifPresent(step -> steps.set(choice.step(), step));
    }
    return Brew.of(formula.withSteps(steps), kitchen, materials);
  }
}
