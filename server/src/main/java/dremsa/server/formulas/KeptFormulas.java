package dremsa.server.formulas;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A household's own formulas in a backup, those that were taken away too. */
@Component
public class KeptFormulas implements KeptTables {
  private static final String TABLE = "formula";
  private static final int EVER = 20_000;

  private final Formulas formulas;
  private final Stored stored;

  KeptFormulas(Formulas formulas, Stored stored) {
    this.formulas = formulas;
    this.stored = stored;
  }

  /** A formula that something was brewed from: a built-in one, or one of the file. */
  public static Column formulaId(String name) {
    return Column.reference(
        name, TABLE, id -> id.isEmpty() || BuiltInFormulas.find(id).isPresent());
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                TABLE,
                "changed_at, content",
                Column.id("own-"),
                Column.json("content", stored::checkedFormula),
                Column.schema(),
                formulaId("copied_from").orNull(),
                Column.moment("changed_at"),
                Column.moment("gone_at").orNull(),
                Column.version())
            .atMost(EVER),
        KeptTable.of(
            "formula_version",
            "kept_at, number",
            Column.reference("formula_id", TABLE),
            Column.whole("number", 1, 1_000_000),
            Column.json("content", stored::checkedFormula),
            Column.schema(),
            Column.moment("kept_at"),
            Column.text("note", 200)));
  }

  @Override
  public void open(UUID household, Instant now) {
    for (Formula formula : formulas.all(household)) {
      formulas.kept(household, formula.id(), material -> material);
    }
  }
}
