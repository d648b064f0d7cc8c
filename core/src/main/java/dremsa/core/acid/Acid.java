package dremsa.core.acid;

import dremsa.core.measure.Said;

/**
 * A weak acid that a brew may hold, by itself or as its salt, with its constants at 25 °C in ideal
 * solution.
 *
 * <p>Source of the constants: CRC Handbook of Chemistry and Physics, from memory.
 */
public enum Acid {
  ACETIC("acetic acid", 60.05, 4.756),
  CITRIC("citric acid", 192.12, 3.128, 4.761, 6.396),
  MALIC("malic acid", 134.09, 3.40, 5.11),
  LACTIC("lactic acid", 90.08, 3.86),
  ASCORBIC("ascorbic acid", 176.12, 4.17, 11.57),
  SORBIC("sorbic acid", 112.13, 4.76),
  BENZOIC("benzoic acid", 122.12, 4.204),
  DEHYDROACETIC("dehydroacetic acid", 168.15, 5.27),
  /** Dissolved carbon dioxide and what hard water holds. */
  CARBONIC("carbonic acid", 62.03, 6.352, 10.329);

  /** Where the constants are from. */
  public static final String SOURCE = "CRC Handbook of Chemistry and Physics (from memory)";

  private final String words;
  private final double molarMass;
  private final double[] pkas;

  Acid(String words, double molarMass, double... pkas) {
    this.words = words;
    this.molarMass = molarMass;
    this.pkas = pkas;
  }

  public String words() {
    return words;
  }

  /** g/mol of the free acid. */
  public double molarMass() {
    return molarMass;
  }

  /** The constants of its steps, strongest first. */
  double[] pkas() {
    return pkas;
  }

  /** {@code "pKa 3.128, 4.761, 6.396"}. */
  public String constants() {
    StringBuilder text = new StringBuilder("pKa ");
    for (int i = 0; i < pkas.length; i++) {
      text.append(i == 0 ? "" : ", ").append(Said.of("%.2f", pkas[i]));
    }
    return text.toString();
  }

  /** Mean negative charge of one molecule at a pH, 0 to the number of its steps. */
  double charge(double ph) {
    double term = 1;
    double sum = 1;
    double charged = 0;
    for (int i = 0; i < pkas.length; i++) {
      term *= Math.pow(10, ph - pkas[i]);
      sum += term;
      charged += (i + 1) * term;
    }
    return charged / sum;
  }
}
