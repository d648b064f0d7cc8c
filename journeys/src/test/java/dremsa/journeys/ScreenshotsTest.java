package dremsa.journeys;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Makes docs/screenshots anew from the demo household; run by ./dremsa screenshots. */
@EnabledIfSystemProperty(named = "dremsa.screenshots", matches = "true")
class ScreenshotsTest {
  private final Path folder = Path.of(System.getProperty("dremsa.root"), "docs", "screenshots");

  @Test
  void ofEachMainView() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser laptop = Browser.laptop(server.address());
        Browser phone = Browser.phone(server.address())) {
      laptop.go("/");
      laptop.see("Look around the demo kitchen");
      laptop.tap("Look around the demo kitchen");
      laptop.see("Fridge");
      laptop.picture(folder.resolve("shelf.png"));
      laptop.tap("Choose");
      laptop.see("What shall it be?");
      laptop.picture(folder.resolve("formulas.png"));
      laptop.go("/choose/linseed-gel");
      laptop.see("LSG-");
      laptop.picture(folder.resolve("formula.png"));
      laptop.go("/choose");
      laptop.tap("Shed-door spray");
      laptop.tap("Change");
      laptop.see("Nothing to say against it.");
      laptop.see("How it goes: ");
      laptop.picture(folder.resolve("editor.png"));
      laptop.go("/choose/note");
      laptop.write(
          "The note",
          "Nan's rosemary water\n2 T dried sage, a handful of rosemary\n500 ml water\nBring the water to a"
              + " boil, add the herbs, cover and simmer 12 min. Let it cool, strain through muslin into a"
              + " spray bottle.\nKeeps a month in the fridge. Spray on damp hair.");
      laptop.see("Good through");
      laptop.picture(folder.resolve("note.png"));
      laptop.go("/learn?find=strain+gel");
      laptop.see("entries");
      laptop.picture(folder.resolve("handbook.png"));
      laptop.go("/learn/kitchen");
      laptop.see("Figure by figure");
      laptop.picture(folder.resolve("taught.png"));
      laptop.go("/learn/journal");
      laptop.see("Write something down");
      laptop.picture(folder.resolve("journal.png"));
      laptop.go("/choose");
      laptop.tap("Measure Lemon balm spray");
      laptop.see("keeps till");
      laptop.picture(folder.resolve("measure.png"));
      laptop.tap("Brew");
      laptop.see("Look for");
      laptop.picture(folder.resolve("bench.png"));
      laptop.script(
          "[...document.querySelectorAll('.lane-doors a')].find(a => a.textContent.includes('Fennel')).click()");
      laptop.see("until it may be right");
      laptop.picture(folder.resolve("run.png"));
      laptop.tap("Keep");
      laptop.see("mL left");
      laptop.script("document.querySelectorAll('.standing')[1].click()");
      laptop.see("What happened to it");
      laptop.picture(folder.resolve("bottle.png"));
      laptop.tap("Use");
      laptop.see("What will be short");
      laptop.see("The plan");
      laptop.script("document.querySelector('.pots').scrollIntoView({block: 'center'})");
      laptop.picture(folder.resolve("weeks.png"));
      laptop.tap("The evening");
      laptop.see("In this order");
      laptop.picture(folder.resolve("evening.png"));
      laptop.go("/kitchen");
      laptop.see("Pots, bowls and jars");
      laptop.picture(folder.resolve("kitchen.png"));

      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      phone.go("/choose/nettle-powder-spray/measure");
      phone.see("keeps till");
      phone.picture(folder.resolve("measure-phone.png"));
      phone.go("/use/sheet");
      phone.see("until everybody is done");
      phone.picture(folder.resolve("sheet-phone.png"));
      phone.go("/brew");
      phone.script(
          "[...document.querySelectorAll('.lane-doors a')].find(a => a.textContent.includes('Fennel')).click()");
      phone.see("until it may be right");
      phone.picture(folder.resolve("run-phone.png"));
      practice(phone);
      phone.picture(folder.resolve("practice-phone.png"));
    }
  }

  /** A gel at the boil on full heat: it froths up. */
  private static void practice(Browser phone) {
    phone.go("/learn/practice");
    phone.tap("Begin: To the bottom of the pot");
    phone.see("Step 1 of");
    phone.tap("Done: heat, stirring");
    phone.see("Step 2 of");
    phone.tap("Full");
    phone.see("hob at 100 %");
    phone.moveClock(255);
    phone.tap("Stir to the bottom");
    phone.tap("Done: boil gently, stirring");
    phone.see("Step 3 of");
    phone.moveClock(45);
    phone.tap("held");
    phone.see("roth");
    phone.script("window.scrollTo(0, 0)");
  }
}
