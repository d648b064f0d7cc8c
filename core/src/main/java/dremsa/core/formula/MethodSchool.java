package dremsa.core.formula;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * A question on which makers disagree, with the ways they go. Each way says what it changes; one is
 * ours, with the reason. Common practice throughout.
 *
 * @param id stable, e.g. {@code "gel-straining"}
 * @param question as a maker would ask it
 * @param methods where it comes up
 * @param choices 2 or more, one of them ours
 */
public record MethodSchool(String id, String question, Set<Method> methods, List<Choice> choices) {
  public MethodSchool {
    methods = Set.copyOf(methods);
    choices = List.copyOf(choices);
    if (choices.stream().filter(Choice::ours).count() != 1) {
      throw new IllegalArgumentException("exactly one choice of '" + id + "' is ours");
    }
  }

  /**
   * One way to do it.
   *
   * @param id stable within its question
   * @param name a few words
   * @param says what it changes in the pot, in the bottle or on the head
   * @param ours whether it is our default
   * @param why why it is ours; empty for the others
   * @param changes what it changes in a formula; empty where it changes only the use, or where the
   *     formula has it so already
   */
  public record Choice(
      String id,
      String name,
      String says,
      boolean ours,
      String why,
      Function<Formula, List<Change>> changes) {

    /**
     * The formula done this way.
     *
     * @throws InvalidFormulaException when a change does not fit it
     */
    public Formula of(Formula formula) {
      Formula changed = formula;
      for (Change change : changes.apply(formula)) {
        changed = change.apply(changed);
      }
      return changed;
    }
  }

  /** The choice with this id, if there is one. */
  public Optional<Choice> choice(String choiceId) {
    return choices.stream().filter(choice -> choice.id().equals(choiceId)).findFirst();
  }

  /** Whether any of its choices would change this formula. */
  public boolean touches(Formula formula) {
    return methods.contains(formula.method())
        && choices.stream().anyMatch(choice -> !choice.changes().apply(formula).isEmpty());
  }
}
