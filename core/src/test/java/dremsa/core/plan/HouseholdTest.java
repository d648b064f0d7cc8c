package dremsa.core.plan;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class HouseholdTest {
  @Test
  void look() {
    LocalDate day = LocalDate.of(2026, 3, 2);
    Situation s =
        new LivedHousehold.World(day, List.of(), LivedHousehold.brewables(true), 3000, List.of())
            .situation(42);
    for (int i = 0; i < 5; i++) {
      long t = System.nanoTime();
      BrewPlan p = Planner.first(s);
      System.out.printf(
          "first %.0f ms %s gap %s%n", (System.nanoTime() - t) / 1e6, p.score(), p.gap());
    }
    for (int i = 0; i < 3; i++) {
      long t = System.nanoTime();
      BrewPlan p =
          Planner.best(
              s,
              new Effort(
                  i == 0 ? 60_000 : i == 1 ? 300_000 : 1_500_000,
                  Duration.ofSeconds(60),
                  0.01,
                  () -> false),
              b -> {});
      System.out.printf(
          "best %.0f ms %s gap %s%n", (System.nanoTime() - t) / 1e6, p.score(), p.gap());
      System.out.println(
          p.sessions()
              + " sessions "
              + p.hands(PlanWeights.USUAL)
              + " hands, brews "
              + p.brews().size()
              + " thaws "
              + p.servings().stream().filter(x -> x.thawed()).count()
              + " thrown "
              + p.thrownMl()
              + " brewed "
              + p.brewedMl());
      p.brews()
          .forEach(
              b ->
                  System.out.println(
                      b.day()
                          + " "
                          + b.formula()
                          + " "
                          + Math.round(b.millilitres())
                          + "/"
                          + Math.round(b.frozenMl())));
      System.out.println(
          p.brews().stream()
              .map(
                  b ->
                      b.day()
                          + " "
                          + b.formula()
                          + " "
                          + Math.round(b.millilitres())
                          + "/"
                          + Math.round(b.frozenMl()))
              .toList());
    }
  }
}
