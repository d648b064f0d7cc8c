package dremsa.journeys;

import org.junit.jupiter.api.Test;

/** A passkey in a real browser: made on a phone, used at the door, taken away. */
class PasskeyTest {
  private final String name = "p" + System.nanoTime();

  @Test
  void thePhoneStandsForThePassword() throws Exception {
    try (ServerProcess server = ServerProcess.start("reset")) {
      // By an address none is offered: browsers refuse them there.
      try (Browser byAddress = Browser.phone(server.address())) {
        byAddress.go("/");
        byAddress.see("Come in");
        byAddress.seeNot("With a passkey");
      }
      try (Browser phone = Browser.phone(server.address().replace("127.0.0.1", "localhost"))) {
        phone.holdsPasskeys();
        household(phone);
        phone.go("/you#passkeys");
        phone.see("Your device keeps a key to Dremsa");
        phone.fitsTheWidth("passkeys");
        phone.isAccessible("passkeys");
        phone.type("Your password", "a guess");
        phone.tap("Make a passkey on this device");
        phone.see("This is not the password as it is now.");
        phone.type("Your password", "rain on the roof");
        phone.tap("Make a passkey on this device");
        phone.see(", localhost");
        phone.see("last used");

        phone.tap("Sign out");
        phone.see("Come in");
        phone.tap("With a passkey");
        phone.seeNot("Come in");
        phone.go("/you#passkeys");
        phone.see("You sign in as " + name);

        phone.tap("Take away");
        phone.seeNot("last used");
        phone.tap("Sign out");
        phone.see("Come in");
        phone.tap("With a passkey");
        phone.see("This passkey is not known here.");
      }
    }
  }

  private void household(Browser phone) {
    phone.go("/new-household");
    phone.type("What is it called?", "Fern's kitchen");
    phone.type("Your sign-in name", name);
    phone.type("A password, 8 characters or more", "rain on the roof");
    phone.tap("Make it and choose a brew");
    phone.seeNot("Your sign-in name");
  }
}
