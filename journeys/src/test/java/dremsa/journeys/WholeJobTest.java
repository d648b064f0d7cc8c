package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The whole job as a new user does it, at the size of a laptop. */
class WholeJobTest {
  @Test
  void fromNewHouseholdToDiscard() throws Exception {
    try (ServerProcess server = ServerProcess.start("none");
        Browser browser = Browser.laptop(server.address())) {
      makeHousehold(browser);
      measure(browser);
      brew(browser);
      keep(browser);
      kitchen(browser);
    }
  }

  private static void makeHousehold(Browser browser) {
    browser.go("/");
    browser.see("The workbench of a person");
    browser.isAccessible("the door");
    browser.tap("Make a household");
    browser.type("What is it called?", "Mill kitchen");
    browser.type("Your sign-in name", "n" + System.nanoTime());
    browser.type("A password", "short");
    browser.isAccessible("making a household");
    browser.tap("Make it and choose a brew");
    browser.see("8 to 100 characters");
    assertThat(browser.typed("What is it called?")).isEqualTo("Mill kitchen");
    browser.type("A password", "long enough it is");
    browser.type("Room", "60");
    browser.tap("Make it and choose a brew");
    browser.see("-5 to 45 °C");
    browser.type("Room", "20");
    browser.tap("Make it and choose a brew");
    browser.see("What shall it be?");
    browser.see("Nothing on the worktop");
    browser.isAccessible("formulas");
    browser.tap("Keep");
    browser.see("The shelf is empty.");
    browser.isAccessible("the empty shelf");
    browser.tap("Choose a brew");
  }

  private static void measure(Browser browser) {
    browser.tap("Measure Nettle powder scalp spray");
    browser.see("Two bottles of 250 mL");
    browser.see("Nettle leaf powder");
    browser.see("keeps till");
    browser.isAccessible("measure");

    // Bad input is told beside its field; what was typed stays.
    browser.type("How many", "0");
    browser.see("1 to 50 can be asked for here, not 0.");
    assertThat(browser.typed("How many")).isEqualTo("0");
    browser.type("How many", "40");
    browser.see("is more than the");
    browser.type("How many", "1");
    browser.see("One bottle of 250 mL");
    browser.seeNot("is more than the");

    browser.choose("Measure by", "Herb at hand");
    browser.see("As much as 12 g of nettle leaf powder makes");
    browser.see("12 g");
    browser.choose("Measure by", "Volume");
    browser.type("In the bottle", "300");
    browser.see("300 mL in the bottles");
    browser.slide("Wanted in the bottles", Keys.ARROW_UP);
    browser.until(() -> browser.typed("In the bottle").equals("310"));
    browser.slide("Steep, covered", Keys.ARROW_RIGHT);
    browser.see("2 h 35 min");
    browser.tap("Why this day");
    browser.see("FDA Food Code 3-501.17");
    browser.slide("Steep, covered", Keys.ARROW_LEFT);
    browser.choose("Measure by", "Bottles");
    browser.type("How many", "2");
    browser.see("Two bottles of 250 mL");
    browser.until(() -> browser.text().contains("500 mL"));
  }

  private static void brew(Browser browser) {
    browser.tap("Brew it now");
    browser.see("Pour just-boiled water over");
    browser.see("Warm the glass first");
    browser.isAccessible("the bench");
    browser.tap("Done");
    browser.see("Steep, covered");
    browser.see("until it may be right");
    browser.see("The powder has sunk");
    browser.isAccessible("the bench, steeping");
    browser.tap("Brew");
    browser.isAccessible("the list of pots");
    browser.see("until it may be right");
    browser.moveClock(140 * 60);
    browser.see("right; usually done at");
    browser.tap("I see it: done");
    browser.see("First through a cloth");
    browser.tap("I see it: done");
    browser.see("paper filter");
    browser.see("strain a second time, fine");
    browser.type("How much ran off", "9000");
    browser.tap("I see it: done");
    browser.see("Not more than went in");
    assertThat(browser.typed("How much ran off")).isEqualTo("9000");
    browser.type("How much ran off", "480");
    browser.tap("I see it: done");
    browser.see("Fill the spray bottle");
    browser.see("For hair, not for drinking");
    browser.isAccessible("bottling");
    browser.type("filled, mL", "251");
    browser.tap("Bottled");
    browser.see("This bottle holds 250 mL.");
    browser.type("filled, mL", "235");
    browser.tap("Bottled");
    browser.see("To the shelf");
    browser.isAccessible("a finished run");
  }

  private static void keep(Browser browser) {
    browser.tap("To the shelf");
    browser.see("2 bottles");
    browser.see("mL left");
    browser.isAccessible("the shelf");
    browser.tap("Take some");
    browser.see("What happened to it");
    browser.isAccessible("a bottle");
    browser.type("Take some", "40");
    browser.tap("Take");
    browser.see("40 mL used");
    browser.type("Take some", "4000");
    browser.tap("Take");
    browser.see("mL in it.");
    browser.tap("It is finished");
    browser.see("finished");
    browser.tap("Put it back on the shelf");
    browser.see("It is finished");
    browser.tap("Throw away");
    browser.see("Why?");
    browser.tap("smell");
    browser.see("thrown away");
    browser.tap("The shelf");
    browser.see("1 bottle");
    browser.tap("history");
    browser.see("bottled, ");
    browser.see("480 mL measured");
    browser.see("started, for 500 mL");
    browser.isAccessible("the record");
  }

  private static void kitchen(Browser browser) {
    browser.go("/kitchen");
    browser.see("Pots, bowls and jars");
    browser.isAccessible("the kitchen");
    browser.tap("Climate");
    browser.type("Fridge", "40");
    browser.tap("Save the kitchen");
    browser.see("A fridge is 0 to 15 °C.");
    browser.type("Fridge", "7");
    browser.tap("Save the kitchen");
    browser.until(
        () ->
            String.valueOf(
                    browser.script(
                        "return (await (await fetch('/api/kitchen')).json()).kitchen.fridgeC"))
                .startsWith("7"));
    browser.go("/keep");
    browser.see("7 °C");
  }
}
