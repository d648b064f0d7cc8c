package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The bench on a phone, with the server killed in the middle of a steep. */
class PhoneBenchTest {
  @Test
  void aKilledServerLosesNothing() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser phone = Browser.phone(server.address());
        Browser second = Browser.laptop(server.address())) {
      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      phone.fitsTheWidth("the shelf");
      phone.isAccessible("the shelf on a phone");
      phone.tap("Choose");
      phone.fitsTheWidth("formulas");
      phone.tap("Measure Lemon balm spray");
      phone.see("Two bottles of 250 mL");
      phone.see("keeps till");
      phone.fitsTheWidth("measure");
      phone.tap("Brew it now");
      phone.see("Pour just-boiled water over");
      phone.tap("Done");
      phone.see("until it may be right");
      phone.fitsTheWidth("the bench");
      phone.isAccessible("the bench on a phone");
      String run = phone.path();
      Object window = right(phone, run);

      server.kill();
      phone.see("No line to Dremsa just now");
      assertThat(phone.text()).contains("Steep, covered");
      server.again();
      phone.seeNot("No line to Dremsa just now");
      assertThat(right(phone, run)).isEqualTo(window);
      phone.reload();
      phone.see("until it may be right");
      assertThat(right(phone, run)).isEqualTo(window);

      second.go("/");
      second.tap("Look around the demo kitchen");
      second.see("Fridge");
      second.go(run);
      second.see("until it may be right");
      assertThat(right(second, run)).isEqualTo(window);

      phone.moveClock(3 * 3600);
      phone.see("right; over the usual time");
      phone.tap("I see it: done");
      // The headline stands in the list of steps too; what to do stands only at the present one.
      phone.see("Pour through a cloth over a bowl");
      second.see("Pour through a cloth over a bowl");
      phone.tap("Take back: Done: Steep, covered");
      phone.see("right; over the usual time");
      assertThat(right(phone, run)).isEqualTo(window);

      // The session ends behind the page's back: the tap waits for somebody to sign in again. Both
      // in
      // one breath: the page finds out by itself within a second or two, and shows the door then.
      phone.see("I see it: done");
      phone.script(
          "const t = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];"
              + "const button = [...document.querySelectorAll('button')]"
              + ".find(b => b.textContent.includes('I see it: done'));"
              + "await fetch('/api/session', {method: 'DELETE', headers: {'X-XSRF-TOKEN': t}});"
              + "button.click()");
      phone.see("One tap waits on this device");
      phone.fitsTheWidth("the door with a tap that waits");
      phone.isAccessible("the door with a tap that waits");
      phone.tap("Look around the demo kitchen");
      phone.see("Pour through a cloth over a bowl");
    }
  }

  private static Object right(Browser browser, String run) {
    return browser.script(
        "const r = await fetch('/api/batches/"
            + run.substring("/brew/".length())
            + "');"
            + "return (await r.json()).window.rightFrom");
  }
}
