package dremsa.journeys;

import org.junit.jupiter.api.Test;

/**
 * From a note in plain words to a brew: written by touch at phone size, settled by taps, brewed as
 * a measured batch; a formula goes out as a note and comes back the same; every view with axe.
 */
class NoteTest {
  private static final String RINSE =
      "Nan's rinse\n2 T dried sage, 500 ml water\nBring to a boil, simmer 12 min covered, cool, strain"
          + " through muslin.\nKeeps a month in the fridge.";

  @Test
  void aNoteBecomesABrew() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset");
        Browser phone = Browser.phone(server.address());
        Browser laptop = Browser.laptop(server.address())) {
      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      phone.tap("Choose");
      phone.tap("From a note");
      phone.see("grows here from the first line on");
      looked(phone, "an empty note");
      written(phone, "1/4 cup linseed");
      phone.see("Linseed, whole");
      phone.see("Good through");
      phone.tap("Begin with an empty note");
      written(phone, RINSE);
      phone.see("One guess is to be settled");
      phone.see("Written: Keeps a month in the fridge.");
      looked(phone, "a note with a guess");
      phone.tap("2 tsp");
      phone.see("All of it is settled.");
      phone.type("Call it", "Nan's rinse, ours");
      phone.tap("Brew it for two bottles");
      phone.see("Nan's rinse, ours");
      phone.see("keeps till");
      phone.tap("Brew it now");
      phone.see("Put together in the pot");

      laptop.go("/");
      laptop.tap("Look around the demo kitchen");
      laptop.see("Fridge");
      laptop.go("/choose/note");
      written(laptop, RINSE + "\nblorp");
      laptop.see("One guess is to be settled");
      laptop.isAccessible("a note on a laptop");
      laptop.tap("Begin with an empty note");
      laptop.go("/choose/linseed-gel");
      laptop.tap("As a note");
      laptop.see("Whoever pastes it");
      laptop.isAccessible("a formula as a note");
      String note =
          (String)
              laptop.script(
                  "return document.querySelector('[aria-label=\"The formula as a note\"]').value;");
      laptop.go("/choose/note");
      written(laptop, note);
      laptop.see("All of it is settled.");
      laptop.see("Linseed styling gel");
      laptop.go("/choose");
      laptop.type("Find", "flax");
      laptop.see("Linseed styling gel");
    }
  }

  private static void written(Browser browser, String note) {
    browser.write("The note", note);
  }

  private static void looked(Browser phone, String view) {
    phone.isAccessible(view);
    phone.fitsTheWidth(view);
  }
}
