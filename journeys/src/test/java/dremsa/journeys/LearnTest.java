package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * Learning, by touch at phone size: three exercises, a trial on a head, a length, a page of the
 * journal; and every view of it with axe, small and large.
 */
class LearnTest {
  private static final int MINUTE = 60;

  private static final String DONE =
      "const b = [...document.querySelectorAll('button')]"
          + ".find((e) => e.textContent.startsWith('Done') && !e.disabled);"
          + "if (b) b.click(); return b ? b.textContent : '';";

  private static final String HEADLINE = "return document.querySelector('h1').textContent;";

  @Test
  void aMakerPractisesJudgesAndMeasures() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser phone = Browser.phone(server.address());
        Browser laptop = Browser.laptop(server.address())) {
      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      hotGlass(phone);
      yellowSap(phone);
      underTheLid(phone);
      trial(phone);
      length(phone);
      page(phone);
      phone.go("/learn/causes");
      phone.choose("Or with which formula, nothing written down", "Linseed styling gel");
      phone.tap("Too thin");
      phone.see("The model then gives");
      looked(phone, "what went wrong");
      laptop.go("/");
      laptop.tap("Look around the demo kitchen");
      laptop.see("Fridge");
      at(laptop, "/learn/journal", "Write something down");
      at(laptop, "/learn/practice", "A pot that nothing spoils in");
      at(laptop, "/learn/courses", "Begin a course");
      at(laptop, "/learn/kitchen", "Your kitchen");
      at(laptop, "/learn/trials", "Draw lots and begin");
      at(laptop, "/learn/lengths", "cm a month");
      versus(laptop);
    }
  }

  private static void at(Browser browser, String path, String sees) {
    browser.go(path);
    browser.see(sees);
    browser.isAccessible(path);
  }

  private static void looked(Browser phone, String view) {
    phone.isAccessible(view);
    phone.fitsTheWidth(view);
  }

  private static void begin(Browser phone, String exercise) {
    phone.go("/learn/practice");
    phone.tap("Begin: " + exercise);
    phone.see("Step 1 of");
  }

  /** Ends the step, after so much of the pot's time, and waits for what comes after. */
  private static void done(Browser phone, int seconds) {
    phone.moveClock(seconds);
    Object before = phone.script(HEADLINE);
    phone.until(() -> !"".equals(phone.script(DONE)));
    phone.until(() -> !before.equals(phone.script(HEADLINE)));
  }

  private static void hotGlass(Browser phone) {
    phone.go("/learn/practice");
    looked(phone, "the exercises");
    begin(phone, "Boiling water, cold glass");
    // Nothing is poured before a jar is chosen.
    phone.script(DONE);
    phone.see("Choose first how you do it.");
    phone.tap("The jar from the shelf");
    looked(phone, "a pot to practise at");
    done(phone, 3 * MINUTE);
    phone.tap("6 h");
    done(phone, 0);
    done(phone, 5 * MINUTE);
    done(phone, 5 * MINUTE);
    phone.see("not reached");
    phone.see("The jar from the shelf.");
    looked(phone, "a debrief");
  }

  private static void yellowSap(Browser phone) {
    begin(phone, "The yellow sap");
    done(phone, 20 * MINUTE);
    for (int i = 0; i < 6; i++) {
      done(phone, 3 * MINUTE);
    }
    phone.see("All that was asked is there");
  }

  private static void underTheLid(Browser phone) {
    begin(phone, "Under the lid");
    done(phone, MINUTE);
    phone.tap("Full");
    phone.tap("Lid is off");
    phone.see("Lid is on");
    phone.moveClock(100);
    phone.tap("Measure");
    phone.see("by thermometer and strip");
    done(phone, 0);
    phone.tap("Low");
    looked(phone, "a pot at the boil");
    done(phone, 15 * MINUTE);
    phone.tap("1 h");
    done(phone, 0);
    done(phone, 5 * MINUTE);
    done(phone, 5 * MINUTE);
    phone.see("What each difference cost");
    phone.see("All that was asked is there");
  }

  private static void trial(Browser phone) {
    phone.go("/learn/trials");
    phone.type("Product 1", "Gel with quince");
    phone.type("Product 2", "Gel with carrageen");
    phone.tap("Draw lots and begin");
    phone.see("End it: what is in the jars?");
    phone.choose("Score something more", "Hold");
    looked(phone, "trials");
  }

  private static void length(Browser phone) {
    phone.go("/learn/lengths");
    phone.choose("Where", "Left");
    phone.type("Stretched, cm", "31.5");
    phone.tap("Write it down");
    phone.see("Written down");
    looked(phone, "lengths");
  }

  private static void page(Browser phone) {
    phone.go("/learn/journal");
    phone.type("In your words", "Slippery, and no flakes");
    phone.choose("Score something", "Slip");
    phone.tap("4");
    phone.tap("stress");
    phone.tap("Write it down");
    phone.see("Written down");
    phone.see("Slippery, and no flakes");
    looked(phone, "the journal");
    phone.type("Find", "no flakes");
    phone.until(() -> phone.text().contains("note") && !phone.text().contains("batch "));
  }

  private static void versus(Browser laptop) {
    laptop.go("/learn/versus");
    laptop.choose("This", "Linseed styling gel");
    laptop.choose("And this", "Quince-seed gel");
    laptop.see("What can be told");
    laptop.isAccessible("two side by side");
    laptop.go("/learn/journal");
    laptop.tap("Linseed styling gel");
    laptop.see("Step by step");
    laptop.isAccessible("the story of a batch");
    assertThat(laptop.path()).startsWith("/learn/journal/");
  }
}
