package dremsa.server.formulas;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.server.http.Problem;
import java.util.List;
import org.springframework.stereotype.Service;

/** Finds formulas by id. */
@Service
public class Formulas {
  public List<Formula> all() {
    return BuiltInFormulas.all();
  }

  public Formula get(String id) {
    return BuiltInFormulas.find(id).orElseThrow(() -> Problem.notFound("formula"));
  }
}
