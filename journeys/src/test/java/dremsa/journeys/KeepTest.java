package dremsa.journeys;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Keeping: containers owned, what is left over, a power cut, a list taken in. */
class KeepTest {
  @Test
  void aShelfIsKept(@TempDir Path folder) throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser laptop = Browser.laptop(server.address());
        Browser phone = Browser.phone(server.address())) {
      for (Browser browser : new Browser[] {laptop, phone}) {
        browser.go("/");
        browser.tap("Look around the demo kitchen");
        browser.see("Fridge");
        browser.isAccessible("the shelf");
        browser.fitsTheWidth("the shelf");
      }
      containers(laptop);
      leftOver(phone);
      powerCut(laptop);
      list(laptop, folder);
      phone.go("/kitchen");
      phone.see("Bottles and jars");
      phone.fitsTheWidth("the kitchen");
    }
  }

  private static void containers(Browser browser) {
    browser.go("/kitchen");
    browser.see("Bottles and jars");
    browser.isAccessible("the kitchen");
    browser.tap("Bottles and jars");
    browser.type("One holds, mL", "3");
    browser.tap("Write it down");
    browser.see("One holds 5 to 5000 mL.");
    browser.type("One holds, mL", "75");
    browser.tap("Write it down");
    browser.see("Spray bottle, 75 mL");
    browser.go("/kitchen#containers");
    browser.see("Spray bottle, 75 mL");
    browser.go("/choose/lemon-balm-spray/measure");
    browser.see("Into");
    browser.type("Each, mL", "75");
    browser.see("spray bottle of 75 mL");
    browser.see("Sterilise 1 spray bottle of 75 mL first.");
  }

  private static void leftOver(Browser browser) {
    browser.go("/keep");
    // After midnight the evening's hops are past their day: they may be weighed dry all the same.
    browser.see("Left over");
    browser.see("Hop cones, dried");
    browser.script(
        "[...document.querySelectorAll('li')]"
            + ".filter((li) => li.textContent.startsWith('Hop cones, dried'))"
            + ".flatMap((li) => [...li.querySelectorAll('button')])"
            + ".find((b) => b.textContent === 'It is dry').click();");
    browser.type("It weighs dry, g", "9000");
    browser.tap("To the stores");
    browser.see("Weigh it dry");
    browser.type("It weighs dry, g", "18");
    browser.tap("To the stores");
    browser.until(() -> !browser.text().contains("Hop cones, dried"));
    browser.go("/choose/stores");
    browser.see("Hop cones, dried");
  }

  private static void powerCut(Browser browser) {
    browser.go("/keep/fridge");
    browser.type("For how many hours", "9");
    browser.tap("See what it does");
    // Whether a last day moves depends on the hour at which the demo was laid out.
    browser.see("Power cut, 9 h");
    browser.isAccessible("a power cut, seen before it counts");
    browser.tap("It happened");
    browser.see("Power cut, 9 h: noted");
    browser.tap("Undo");
    browser.go("/keep/fridge");
    browser.see("Something happened to the fridge");
  }

  private static void list(Browser browser, Path folder) throws Exception {
    String day = LocalDate.now(java.time.ZoneOffset.UTC).minusDays(2).toString();
    Path file = folder.resolve("batches.csv");
    Files.writeString(
        file,
        "code,name,started,bottled_ml\nOLD-1,Lemon balm spray,%s 10:00,240\n".formatted(day)
            + "OLD-2,Lemon balm spray,%s 11:00,240\n".formatted(day));
    browser.go("/kitchen#tables");
    browser.see("Tables for a spreadsheet");
    browser.attach("#tables input[type=file]", file);
    browser.see("2 of 2 lines of batches are new.");
    browser.tap("Take 2 in");
    browser.see("2 of 2 lines of batches taken in.");
    Files.writeString(file, "code,name,started\nOLD-3,Lemon balm spray,tomorrow\n");
    browser.attach("#tables input[type=file]", file);
    browser.see("Line 2, started");
    browser.go("/choose/lemon-balm-spray");
    browser.see("OLD-2");
  }
}
