package dremsa.server.faults;

import dremsa.core.fault.Brewed;
import dremsa.core.fault.Explanation;
import dremsa.core.fault.Symptom;
import dremsa.core.fault.WhatWentWrong;
import dremsa.core.formula.Formula;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.Runs;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.http.Words;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Planner;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What may have caused what somebody finds wrong with a batch, or with a formula not recorded. */
@RestController
class FaultController {
  private final Runs runs;
  private final Formulas formulas;
  private final Kitchens kitchens;
  private final Planner planner;
  private final Households households;

  FaultController(
      Runs runs, Formulas formulas, Kitchens kitchens, Planner planner, Households households) {
    this.runs = runs;
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.planner = planner;
    this.households = households;
  }

  /**
   * What may have caused it.
   *
   * @param step headline of the step at which it was; empty where it was at none
   * @param recorded whether it was written down, not only supposed
   */
  record CauseView(String step, String words, boolean recorded, String now, String next) {}

  /**
   * What may have caused something, the best first.
   *
   * @param usual what makers of this method commonly get wrong
   */
  record CausesView(Symptom symptom, String name, List<CauseView> causes, List<String> usual) {}

  @Operation(summary = "What may have caused what is wrong with a batch or a formula")
  @GetMapping("/api/causes")
  @Transactional(readOnly = true)
  public CausesView causes(
      @AuthenticationPrincipal Member member,
      @RequestParam Symptom symptom,
      @RequestParam(required = false) @Nullable UUID batch,
      @RequestParam(required = false) @Nullable String formula) {
    Household household = households.of(member.household());
    Brewed brewed = brewed(household, batch, formula);
    return new CausesView(
        symptom,
        brewed.brew().formula().name(),
        WhatWentWrong.of(brewed, symptom).stream().map(each -> view(brewed, each)).toList(),
        WhatWentWrong.usual(brewed));
  }

  private Brewed brewed(Household household, @Nullable UUID batch, @Nullable String formula) {
    if (batch != null) {
      return runs.asItWent(household.id(), batch, households.now(household));
    }
    if (formula == null) {
      throw Problem.invalid(FieldProblem.of("batch", null, "Say which batch, or which formula."));
    }
    Formula unrecorded = formulas.get(household.id(), formula);
    return Brewed.unrecorded(
        planner.resolve(household.id(), unrecorded, kitchens.of(household.id())));
  }

  private static CauseView view(Brewed brewed, Explanation each) {
    return new CauseView(
        each.step() < 0 ? "" : brewed.brew().formula().steps().get(each.step()).headline(),
        each.words(),
        each.recorded(),
        each.now(),
        each.next());
  }

  /** The list of symptoms. */
  @Configuration(proxyBeanMethods = false)
  static class FaultWords {
    @Bean("words.symptoms")
    Words symptoms() {
      return Words.of("symptoms", Symptom.class, Symptom::words);
    }
  }
}
