package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Choosing, changing and measuring, as a maker plans in the evening. */
class ChooseTest {
  @Test
  void fromAnEmptyHouseholdToAFormulaOfItsOwn() throws Exception {
    try (ServerProcess server = ServerProcess.start("none");
        Browser browser = Browser.laptop(server.address())) {
      household(browser);
      stores(browser);
      finder(browser);
      editor(browser);
      twoTabs(browser);
      measure(browser);
      takeIn(browser);
      handbook(browser);
      trials(browser);
    }
  }

  @Test
  void theSameAtTheSizeOfAPhone() throws Exception {
    try (ServerProcess server = ServerProcess.start("none");
        Browser phone = Browser.phone(server.address())) {
      household(phone);
      phone.fitsTheWidth("formulas");
      phone.go("/choose/linseed-gel");
      phone.see("Where makers disagree");
      phone.fitsTheWidth("a formula");
      phone.isAccessible("a formula on a phone");
      phone.tap("Make it ours");
      phone.see("Kept.");
      phone.see("How it goes: ");
      phone.fitsTheWidth("the editor");
      phone.isAccessible("the editor on a phone");
      phone.tap("Measure");
      phone.see("keeps till");
      phone.tap(
          "Otherwise this time variant, way of working, minutes, strength, thickness, cloth, lid");
      phone.see("Strain a seed gel hot or cold?");
      phone.fitsTheWidth("measure");
      phone.isAccessible("measure on a phone");
      phone.go("/choose/stores");
      phone.see("The stores are empty");
      phone.fitsTheWidth("stores");
      phone.go("/choose/take-in");
      phone.see("Take formulas in");
      phone.fitsTheWidth("taking in");
      phone.go("/learn");
      phone.see("Handbook");
      phone.fitsTheWidth("the handbook");
      phone.go("/kitchen");
      phone.see("Trials");
      phone.fitsTheWidth("the kitchen");
    }
  }

  private static void household(Browser browser) {
    browser.go("/");
    browser.tap("Make a household");
    browser.type("What is it called?", "Mill kitchen");
    browser.type("Your sign-in name", "n" + System.nanoTime());
    browser.type("A password", "long enough it is");
    browser.tap("Make it and choose a brew");
    browser.see("What shall it be?");
  }

  private static void stores(Browser browser) {
    browser.tap("Stores");
    browser.see("The stores are empty");
    browser.isAccessible("empty stores");
    browser.tap("Put something in");
    browser.choose("What", "Linseed, whole");
    browser.type("How much", "-5");
    browser.tap("Put it in");
    browser.see("A lot weighs more than nothing");
    browser.type("How much", "500");
    browser.type("Price paid", "4.20");
    browser.tap("Put it in");
    browser.see("Linseed, whole");
    browser.see("500 g");
    browser.typeInto("Something to get", "Two jars");
    browser.tap("Add");
    browser.see("Two jars");
    browser.isAccessible("stores");
  }

  private static void finder(Browser browser) {
    browser.tap("Formulas");
    browser.see("31 formulas");
    browser.choose("For", "curls that want hold");
    browser.choose("Ready within", "Two hours");
    browser.see("Linseed styling gel");
    browser.seeNot("Lemon balm spray");
    browser.tap("With what is in the stores");
    browser.see("all in the stores");
    browser.isAccessible("the finder");
    browser.type("Find", "nothing of the kind");
    browser.see("Nothing answers all of that");
    browser.tap("Show everything");
    browser.see("31 formulas");
    browser.tap("Linseed styling gel");
    browser.see("Strings hang from the spoon".toLowerCase(java.util.Locale.ROOT));
    browser.isAccessible("a formula");
    browser.tap("Card to print");
    browser.see("Weigh out");
    browser.isAccessible("a card");
  }

  private static void editor(Browser browser) {
    browser.tap("Choose");
    browser.tap("Begin a formula");
    browser.type("Name", "Saturday rinse");
    browser.isAccessible("beginning a formula");
    browser.tap("Begin with Decoction");
    browser.see("Saturday rinse");
    browser.see("Nothing to say against it.");
    browser.isAccessible("the editor");

    // Times and places are moved by keys; each is one step back.
    browser.slide("Step 4", Keys.ARROW_RIGHT);
    browser.see("Kept.");
    browser.pressOn("2 ", Keys.chord(Keys.ALT, Keys.ARROW_UP));
    browser.see("1 Heat to the boil");
    browser.tap("Undo");
    browser.see("2 Heat to the boil");
    browser.tap("Redo");
    browser.see("1 Heat to the boil");
    browser.tap("Undo");

    // What is added goes where it belongs, in its own measure, and is found by its kind.
    browser.choose("One more ingredient", "Peppermint essential oil");
    browser.see("Stir in · Peppermint essential oil");
    browser.see("Peppermint essential oil does not preserve.");
    browser.seeNot("Cannot be brewed so");
    browser.tap("Undo");
    browser.see("Nothing to say against it.");
    // The self-check speaks as something goes wrong.
    browser.choose("Ingredient 2", "Rosemary essential oil");
    browser.see("Cannot be brewed so");
    browser.tap("Undo");
    browser.see("Nothing to say against it.");

    // Without a line nothing is lost; it is kept once the line is back.
    browser.offline(true);
    browser.type("Name", "Sunday rinse");
    browser.see("no line to Dremsa");
    browser.offline(false);
    browser.see("Kept.");
    browser.reload();
    browser.see("Sunday rinse");

    browser.type("Name", "x".repeat(300));
    browser.see("A name has 1 to 120 characters.");
    browser.type("Name", "מי רוזמרין");
    browser.see("Kept.");
    browser.type("Name", "<b>Sunday</b> rinse");
    browser.see("Kept.");
    browser.see("<b>Sunday</b> rinse");
  }

  private static final String THEIRS_KEPT = "kept";
  private static final String CHANGED_ELSEWHERE =
      """
      const id = location.pathname.split('/')[2];
      const t = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
      const view = await (await fetch('/api/formulas/' + id)).json();
      if (view.formula.name !== '<b>Sunday</b> rinse') return 'the last change is still on its way';
      view.formula.about = 'Theirs.';
      const answer = await fetch('/api/formulas/' + id, {method: 'PUT',
        headers: {'X-XSRF-TOKEN': t, 'Content-Type': 'application/json'},
        body: JSON.stringify({formula: view.formula, version: view.version})});
      return answer.ok ? 'kept' : String(answer.status);
      """;

  private static void twoTabs(Browser browser) {
    // Somebody else changes the same formula, after the last change made here has arrived.
    browser.until(() -> THEIRS_KEPT.equals(browser.script(CHANGED_ELSEWHERE)));
    browser.type("About it", "Mine.");
    browser.see("changed elsewhere meanwhile");
    browser.tap("Show theirs");
    browser.until(() -> browser.typed("About it").equals("Theirs."));
    browser.tap("Undo");
    browser.until(() -> browser.typed("About it").equals("Mine."));
    browser.see("Kept.");
  }

  private static void measure(Browser browser) {
    browser.tap("Measure");
    browser.see("keeps till");
    browser.choose("Measure by", "People and uses");
    browser.see("4 uses for 2 heads, 20 mL each");
    browser.see("160 mL in the bottles");
    browser.tap(
        "Otherwise this time variant, way of working, minutes, strength, thickness, cloth, lid");
    browser.choose("Make it", "by strength");
    browser.until(() -> !browser.typedInto("Plant for 100 mL, g").isEmpty());
    browser.typeInto("Plant for 100 mL, g", "4");
    browser.see("4 g of plant to 100 mL");
    browser.choose("Variant", "half strength");
    browser.see("something is changed");
    browser.isAccessible("measure, changed");
    browser.tap("As the formula stands");
    browser.see("variant, way of working, minutes");
    browser.tap("Why: In the bottle");
    browser.see("What moves it most");
    browser.isAccessible("why");
    browser.press(Keys.ESCAPE);
    browser.offline(true);
    browser.choose("Measure by", "Volume");
    browser.see("Dremsa does not answer");
    assertThat(browser.typed("In the bottle")).isEqualTo("500");
    browser.offline(false);
    browser.type("In the bottle", "400");
    browser.see("400 mL in the bottles");
  }

  private static void takeIn(Browser browser) {
    browser.go("/choose/take-in");
    browser.type("Or paste its text", "{\"formulas\":[{\"name\":\"Half");
    browser.tap("Read it");
    browser.see("cut off");
    browser.type(
        "Or paste its text",
        "{\"@type\":\"Recipe\",\"name\":\"From a friend\",\"recipeIngredient\":[\"500 ml water\",\"2 tbsp"
            + " rosemary\",\"a dragon scale\"]}");
    browser.tap("Read it");
    browser.see("From a friend");
    browser.see("guesses or words that were not read");
    browser.isAccessible("taking in");
    browser.tap("Take it in");
    browser.see("Brewed from it");
    browser.see("From a friend");
  }

  private static void handbook(Browser browser) {
    browser.tap("Learn");
    browser.see("Handbook");
    browser.type("Find", "latex");
    browser.see("Drain off the yellow latex");
    browser.isAccessible("the handbook");
  }

  private static void trials(Browser browser) {
    browser.go("/kitchen#trials");
    browser.see("A litre to the boil");
    browser.type("Took, min", "6");
    browser.tap("Reckon");
    browser.see("reach the pot");
    browser.tap("Reckon with it");
    browser.see("The trial counts from now on");
    browser.go("/kitchen#hobs");
    browser.see("from a trial");
    browser.isAccessible("the kitchen with a trial");
  }
}
