package dremsa.server.transfer;

import com.fasterxml.jackson.annotation.JsonProperty;
import dremsa.core.formula.Formula;
import dremsa.server.wire.FormulaJson;
import java.util.List;

/**
 * Formulas in a file of their own; {@code /schemas/formulas-1.json} describes it.
 *
 * @param schema where the description stands
 * @param format always {@value #FORMAT}
 * @param version {@value #VERSION}
 */
record FormulaFile(
    @JsonProperty("$schema") String schema,
    String format,
    int version,
    List<FormulaJson> formulas) {
  static final String FORMAT = "dremsa-formulas";
  static final int VERSION = 1;
  static final String SCHEMA = "/schemas/formulas-1.json";

  static FormulaFile of(List<Formula> formulas) {
    return new FormulaFile(
        SCHEMA, FORMAT, VERSION, formulas.stream().map(FormulaJson::of).toList());
  }
}
