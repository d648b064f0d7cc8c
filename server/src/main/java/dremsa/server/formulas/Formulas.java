package dremsa.server.formulas;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.server.http.Problem;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Finds the formulas that a household can brew. */
@Service
public class Formulas {
  public List<Formula> all(UUID household) {
    return BuiltInFormulas.all();
  }

  public Optional<Formula> find(UUID household, String id) {
    return BuiltInFormulas.find(id);
  }

  public Formula get(UUID household, String id) {
    return find(household, id).orElseThrow(() -> Problem.notFound("formula"));
  }
}
