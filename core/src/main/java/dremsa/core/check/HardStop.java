package dremsa.core.check;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import java.util.Arrays;
import java.util.List;

/** Signs at which a brew is thrown away at any age, whatever its date says. */
public enum HardStop {
  MOULD("Mould: furry, spotted, a skin", false),
  GAS("Gas, bulging, a hiss on opening", true),
  SLIME("Slime that was not there before", false),
  SEPARATED("Parts that do not shake together again", false),
  SMELL("A putrid or new sour smell", true),
  COLOUR("A changed colour", false);

  private final String words;
  private final boolean normalForFerment;

  HardStop(String words, boolean normalForFerment) {
    this.words = words;
    this.normalForFerment = normalForFerment;
  }

  /** The signs that count for a brew, as words. */
  public static List<String> of(Formula formula) {
    boolean ferment = formula.steps().stream().anyMatch(Step.Ferment.class::isInstance);
    return Arrays.stream(values())
        .filter(stop -> !(ferment && stop.normalForFerment))
        .map(HardStop::words)
        .toList();
  }

  public String words() {
    return words;
  }

  /** A ferment bubbles a little and smells sourish; putrid, pink or furry is a stop there too. */
  public boolean normalForFerment() {
    return normalForFerment;
  }
}
