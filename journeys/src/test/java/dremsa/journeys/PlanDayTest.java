package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** On the sofa: what the kitchen taught, and the plan; then the evening at the hob. */
class PlanDayTest {
  /** Seconds until the evening of the first brew that is agreed on. */
  private static final String UNTIL_THE_EVENING =
      "const plan = await (await fetch('/api/plan')).json();"
          + "const day = plan.agreed.brews[0].day;"
          + "return Math.round((Date.parse(day + 'T19:00:00Z') - Date.parse(plan.now)) / 1000);";

  private static final String DAYS =
      "const plan = await (await fetch('/api/plan')).json();"
          + "return plan.agreed.brews.map((b) => b.day + ' ' + b.formula).join();";

  /** How far right of the first pot the next evening with time is, px. */
  private static final String NEXT_FREE =
      "const left = (e) => e.getBoundingClientRect().left;"
          + "const pot = document.querySelector('.pot-mark');"
          + "const free = [...document.querySelectorAll('.pots-day.free')]"
          + ".find((d) => left(d) > left(pot) + 5);"
          + "return Math.round(left(free) - left(pot));";

  @Test
  void whatIsPlannedIsBrewed() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser laptop = Browser.laptop(server.address());
        Browser phone = Browser.phone(server.address())) {
      for (Browser browser : new Browser[] {laptop, phone}) {
        browser.go("/");
        browser.tap("Look around the demo kitchen");
        browser.see("Fridge");
      }
      taught(laptop, phone);
      moved(laptop);
      wanted(laptop);
      searched(laptop);
      phone.moveClock(((Long) phone.script(UNTIL_THE_EVENING)).longValue());
      brewed(phone);
    }
  }

  /** A figure is put back, and used again. */
  private static void taught(Browser laptop, Browser phone) {
    laptop.tap("Learn");
    laptop.tap("Your kitchen");
    laptop.see("What your kitchen taught");
    laptop.see("came out within");
    laptop.isAccessible("what the kitchen taught");
    laptop.tap("Put it back");
    laptop.see("put back, not used");
    laptop.tap("Undo");
    laptop.seeNot("put back, not used");
    phone.go("/learn/kitchen");
    phone.see("Figure by figure");
    phone.isAccessible("what the kitchen taught, on a phone");
    phone.fitsTheWidth("what the kitchen taught, on a phone");
  }

  /** A pot goes to another evening, one sees what that does, and it comes back. */
  private static void moved(Browser laptop) {
    laptop.go("/use");
    laptop.see("The plan");
    laptop.isAccessible("the plan on its line");
    String before = (String) laptop.script(DAYS);
    laptop.script("document.querySelector('.pot-mark').focus()");
    laptop.press(Keys.ARROW_RIGHT);
    laptop.see("What if");
    laptop.tap("As agreed");
    laptop.see("The plan");
    laptop.drag(".pot-mark", ((Long) laptop.script(NEXT_FREE)).intValue());
    laptop.see("What if");
    laptop.tap("Take it");
    laptop.see("Agreed on");
    assertThat(laptop.script(DAYS)).isNotEqualTo(before);
    laptop.tap("Undo");
    laptop.until(() -> before.equals(laptop.script(DAYS)));
  }

  private static void wanted(Browser laptop) {
    laptop.go("/use#more-wanted");
    laptop.choose("Of what", "Calendula water");
    laptop.type("How much, mL", "9000");
    laptop.type("What for", "A jar for a friend");
    laptop.tap("Put it down");
    laptop.see("Above 0 and up to 5 L.");
    laptop.type("How much, mL", "200");
    laptop.tap("Put it down");
    laptop.see("A jar for a friend: 200 mL of Calendula water");
    laptop.see("Take that");
    laptop.tap("Take that");
    laptop.see("For A jar for a friend");
    laptop.isAccessible("a plan with a jar for a friend");
  }

  private static void searched(Browser laptop) {
    laptop.tap("Look longer for a better one");
    laptop.see("Looked.");
  }

  private static void brewed(Browser phone) {
    phone.go("/keep");
    phone.see("Brew ");
    phone.go("/use");
    phone.see("The plan");
    phone.isAccessible("the plan on a phone");
    phone.fitsTheWidth("the plan on a phone");
    phone.tap("Brew it");
    phone.see("In this order");
    phone.isAccessible("an evening of brews");
    phone.fitsTheWidth("an evening of brews");
    phone.tap("Lay it on the bench");
    phone.until(() -> phone.path().startsWith("/brew/"));
    phone.go("/use");
    phone.see("The plan");
    phone.seeNot("Brew it");
  }
}
