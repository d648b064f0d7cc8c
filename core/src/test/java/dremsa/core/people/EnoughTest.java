package dremsa.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EnoughTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "linseed-gel | 430 | 430 mL is about 8 uses of a gel or mask on medium hair (50 mL). For 2 heads"
            + " measure 100 mL a time.",
        "fennel-seed-rinse | 400 | 400 mL is about 1 use of a rinse poured over on medium hair (350 mL)."
            + " For 2 heads measure 700 mL a time.",
        "fennel-seed-rinse | 100 | 100 mL is less than one rinse poured over on medium hair (350 mL). For"
            + " 2 heads measure 700 mL a time."
      })
  void saysHowFarItGoes(String id, double millilitres, String words) {
    Formula formula = BuiltInFormulas.find(id).orElseThrow();
    assertThat(Enough.words(formula, millilitres)).contains(words);
  }

  @Test
  void saysNothingOfWhatHasNoPurpose() {
    Formula gel = BuiltInFormulas.find("linseed-gel").orElseThrow();
    Formula none = new Formula("", "x", gel.method(), Set.of(), "", gel.ingredients(), gel.steps());
    assertThat(Enough.words(none, 100)).isEmpty();
  }
}
