package dremsa.server.people;

import dremsa.core.people.AgeBand;
import dremsa.core.people.Condition;
import dremsa.core.people.Family;
import dremsa.core.people.Hair;
import dremsa.core.people.Limit;
import dremsa.core.people.Occasion;
import dremsa.core.people.PatchTest;
import dremsa.core.people.Porosity;
import dremsa.core.people.Reaction;
import dremsa.core.people.SlotKind;
import dremsa.core.people.Worn;
import dremsa.core.scale.Dose;
import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of people. */
@Configuration(proxyBeanMethods = false)
class PeopleWords {
  @Bean("words.ages")
  Words ages() {
    return Words.of("ages", AgeBand.class, AgeBand::words);
  }

  @Bean("words.reaches")
  Words reaches() {
    return Words.of("reaches", Hair.Reach.class, Hair.Reach::words);
  }

  @Bean("words.densities")
  Words densities() {
    return Words.of("densities", Dose.Density.class, Dose.Density::words);
  }

  @Bean("words.strands")
  Words strands() {
    return Words.of("strands", Hair.Strand.class, Hair.Strand::words);
  }

  @Bean("words.porosities")
  Words porosities() {
    return Words.of("porosities", Porosity.class, Porosity::words);
  }

  @Bean("words.porositySprays")
  Words sprays() {
    return Words.of("porositySprays", Porosity.Spray.class, Porosity.Spray::words);
  }

  @Bean("words.porosityDryings")
  Words dryings() {
    return Words.of("porosityDryings", Porosity.Drying.class, Porosity.Drying::words);
  }

  @Bean("words.porosityProducts")
  Words products() {
    return Words.of("porosityProducts", Porosity.Products.class, Porosity.Products::words);
  }

  @Bean("words.patterns")
  Words patterns() {
    return Words.of("patterns", Hair.Pattern.class, Hair.Pattern::words);
  }

  @Bean("words.scalps")
  Words scalps() {
    return Words.of("scalps", Hair.Scalp.class, Hair.Scalp::words);
  }

  @Bean("words.wornStyles")
  Words wornStyles() {
    return Words.of("wornStyles", Worn.Style.class, Worn.Style::words);
  }

  @Bean("words.conditions")
  Words conditions() {
    return Words.of("conditions", Condition.class, Condition::words);
  }

  @Bean("words.families")
  Words families() {
    return Words.of("families", Family.class, Family::words);
  }

  @Bean("words.occasionKinds")
  Words occasionKinds() {
    return Words.of("occasionKinds", Occasion.Kind.class, Occasion.Kind::words);
  }

  @Bean("words.slotKinds")
  Words slotKinds() {
    return Words.of("slotKinds", SlotKind.class, SlotKind::words);
  }

  @Bean("words.dueStates")
  Words dueStates() {
    return Words.of("dueStates", dremsa.core.people.Due.State.class, s -> s.words());
  }

  @Bean("words.testResults")
  Words testResults() {
    return Words.of("testResults", PatchTest.Result.class, PatchTest.Result::words);
  }

  @Bean("words.signs")
  Words signs() {
    return Words.of("signs", Reaction.Sign.class, Reaction.Sign::words);
  }

  @Bean("words.limitKinds")
  Words limitKinds() {
    return Words.of("limitKinds", Limit.Kind.class, Limit.Kind::words);
  }
}
