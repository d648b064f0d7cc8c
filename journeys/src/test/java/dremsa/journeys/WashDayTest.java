package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * Using, with wet hands at phone size: somebody new, a wash day with its timers, what was taken.
 */
class WashDayTest {
  private static final String POSTED =
      "headers: {'Content-Type': 'application/json',"
          + " 'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]}";

  /** Una washes every day, so that the journey does not hang on the day of the week. */
  private static final String EVERY_DAY =
      "const all = await (await fetch('/api/people')).json();"
          + "const una = all.people.find((p) => p.name === 'Una');"
          + "const occasion = {key: 'wash', kind: 'WASH_DAY', name: 'Wash day', time: '00:10:00',"
          + " repeat: {first: all.today, rule: 'FREQ=DAILY'},"
          + " slots: [{kind: 'DETANGLE'}, {kind: 'LEAVE_IN'}, {kind: 'STYLER'}]};"
          + "const answer = await fetch('/api/people/' + una.id + '/routine', {method: 'PUT', "
          + POSTED
          + ", body: JSON.stringify({version: una.version, routine: {occasions: [occasion]}})});"
          + "return answer.status;";

  private static final String ONLY_UNA =
      "for (;;) { const b = [...document.querySelectorAll('button[aria-pressed=true]')]"
          + ".find((e) => e.textContent.startsWith('✓') && !e.textContent.includes('Una'));"
          + " if (!b) return; b.click(); await new Promise((r) => setTimeout(r, 50)); }";

  @Test
  void aHeadIsWashedByItsSheet() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser phone = Browser.phone(server.address());
        Browser laptop = Browser.laptop(server.address())) {
      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      somebodyNew(phone);
      assertThat(phone.script(EVERY_DAY)).isEqualTo(200L);
      looked(phone, "/use", "What will be short");
      looked(phone, "/use/people", "Whose hair");
      looked(phone, "/use/sheet", "until everybody is done");
      phone.script(ONLY_UNA);
      phone.see("Today: Una");
      washed(phone);
      takenBack(phone);
      takenAway(phone);
      // The same views with room beside each other.
      laptop.go("/");
      laptop.tap("Look around the demo kitchen");
      laptop.see("Fridge");
      laptop.tap("Use");
      laptop.see("What will be short");
      laptop.isAccessible("the weeks");
      laptop.tap("Wash day");
      laptop.see("In this order");
      laptop.isAccessible("the sheet");
      laptop.go("/choose/linseed-gel/measure");
      laptop.see("For whom, on which day");
      laptop.isAccessible("Measure, for heads");
    }
  }

  private static void looked(Browser phone, String path, String sees) {
    phone.go(path);
    phone.see(sees);
    phone.isAccessible(path);
    phone.fitsTheWidth(path);
  }

  private static void somebodyNew(Browser phone) {
    phone.go("/use/people/new");
    phone.type("Name", "Una");
    phone.choose("How far does it come", "To the shoulders");
    phone.choose("How does it fall?", "Curly");
    phone.tap("Find the porosity out");
    phone.choose("Spray water on", "The beads stay");
    phone.choose("In the air it dries in", "More than 6 hours");
    phone.choose("Creams and oils", "They sit on top");
    phone.see("Low: water beads and stays");
    phone.tap("Take it");
    phone.isAccessible("somebody new");
    phone.fitsTheWidth("somebody new");
    phone.tap("Make the page");
    phone.see("What this head bears now");
    phone.isAccessible("a person");
    phone.fitsTheWidth("a person");
  }

  private static void washed(Browser phone) {
    phone.tap("Begin, with timers");
    phone.see("Detangle in sections");
    phone.isAccessible("a wash day under way");
    phone.fitsTheWidth("a wash day under way");
    phone.tap("Done");
    phone.see("Spray ");
    // The line is lost: the tap waits on the phone, and the next step comes all the same.
    phone.offline(true);
    phone.tap("Done");
    phone.see("One tap waits");
    phone.see("scrunch");
    phone.offline(false);
    phone.seeNot("One tap waits");
    phone.tap("Done");
    phone.see("What was taken");
    phone.tap("Write it down");
    phone.see("Day by day");
    phone.see("· done");
  }

  private static void takenBack(Browser phone) {
    phone.go("/use");
    phone.see("Take it back");
    assertThat(phone.script(usesOfUna())).as("what was taken").isEqualTo(2L);
    phone.tap("Take it back");
    phone.seeNot("Take it back");
    assertThat(phone.script(usesOfUna())).as("in its bottles again").isEqualTo(0L);
  }

  private static String usesOfUna() {
    return "const all = await (await fetch('/api/people')).json();"
        + "const una = all.people.find((p) => p.name === 'Una');"
        + "const page = await (await fetch('/api/people/' + una.id)).json();"
        + "return page.uses.filter((u) => !u.undone).length;";
  }

  private static void takenAway(Browser phone) {
    phone.go("/use/people");
    phone.see("Una");
    phone.script(
        "[...document.querySelectorAll('.heads a')].find((a) => a.textContent.includes('Una')).click();");
    phone.tap("Take Una away");
    phone.tap("Delete all of it");
    phone.see("Whose hair");
    phone.seeNot("Una");
  }
}
