package dremsa.server.catalogue;

import dremsa.core.formula.Method;
import dremsa.core.formula.MethodSchool;
import java.util.List;

/** A question on which makers disagree, with the ways they go. */
record SchoolJson(String id, String question, List<Method> methods, List<ChoiceJson> choices) {
  /**
   * One way.
   *
   * @param says what it changes in the pot, in the bottle or on the head
   * @param ours whether it is our default
   * @param why why it is ours; empty for the others
   */
  record ChoiceJson(String id, String name, String says, boolean ours, String why) {}

  static SchoolJson of(MethodSchool school) {
    return new SchoolJson(
        school.id(),
        school.question(),
        school.methods().stream().sorted().toList(),
        school.choices().stream()
            .map(c -> new ChoiceJson(c.id(), c.name(), c.says(), c.ours(), c.why()))
            .toList());
  }
}
