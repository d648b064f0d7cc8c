package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import dremsa.devices.Main;
import org.junit.jupiter.api.Test;

/**
 * A seed gel, a decoction and a cold soak side by side, on a phone with devices and a second eye.
 */
class SeveralPotsTest {
  @Test
  void threePotsFromOneScreen() throws Exception {
    HttpServer devices = Main.start(0, 11);
    String address = "http://127.0.0.1:" + devices.getAddress().getPort();
    try (ServerProcess server =
            ServerProcess.start(
                "reset", "--dremsa.devices.url=" + address, "--dremsa.devices.patience=20s");
        Browser phone = Browser.phone(server.address());
        Browser laptop = Browser.laptop(server.address())) {
      phone.go("/");
      phone.tap("Look around the demo kitchen");
      phone.see("Fridge");
      String gel = brew(phone, dosedGel(phone));
      String decoction = brew(phone, "birch-sage-decoction");
      String soak = brew(phone, "nigella-soak");
      assertThat(phone.text()).contains("Dosed gel").contains("Birch and sage decoction");

      laptop.go("/");
      laptop.tap("Look around the demo kitchen");
      laptop.see("Fridge");
      laptop.go("/brew");
      laptop.see("Dosed gel");
      // The lanes stand before the pot below them is drawn.
      laptop.see("How it goes");
      laptop.isAccessible("the lanes");
      laptop.fitsTheWidth("the lanes");

      // The soak is laid on first; it needs nobody for hours.
      phone.tap("I see it: done");
      phone.atStep("Put together in the jar");
      phone.tap("Done");
      phone.see("until it may be right");
      // Ended after seconds it is asked about, once, with what that does; it goes on.
      goOn(phone);
      phone.see("Too early:");
      phone.see("instead of");
      phone.isAccessible("asked before an early end");
      phone.tap("Let it go on");
      phone.see("until it may be right");
      // The gel: stirred from the start, called out, confirmed by its cue.
      phone.go(gel);
      phone.atStep("Put together in the pot");
      phone.tap("Done");
      phone.see("Start stirring");
      phone.fitsTheWidth("a run among others");
      phone.isAccessible("a run among others");
      // The decoction comes to the boil meanwhile, from the other device.
      laptop.go(decoction);
      laptop.atStep("Put together in the pot");
      laptop.tap("Done");
      laptop.atStep("Bring to the boil");
      phone.moveClock(240);
      phone.see("Does it boil?");
      phone.tap("I see it: done");
      phone.atStep("Boil gently, stirring");
      phone.moveClock(360);
      phone.see("right");
      phone.tap("Otherwise than planned");
      phone.tap("More time");
      phone.type("Minutes more", "2");
      phone.tap("Do it");
      phone.see("Take back: 2 min more");
      laptop.go(gel);
      laptop.see("Take back: 2 min more");
      phone.moveClock(120);
      phone.tap("I see it: done");
      phone.atStep("Cool to 50 °C");
      laptop.atStep("Cool to 50 °C");

      // A reading far off is asked back where it was typed, and the step stays.
      phone.type("°C", "22");
      phone.tap("Enter");
      phone.see("would be expected now");
      assertThat(phone.text()).contains("Cool to 50 °C");
      phone.type("°C", "");

      // Cooling by the probe, and faster by ice.
      phone.tap("Read the probe");
      phone.see("By 1 reading");
      phone.moveClock(180);
      phone.tap("Read the probe");
      phone.see("By 2 readings");
      phone.tap("Cool in an ice bath, lid on");
      phone.atStep("Cool to 50 °C in an ice bath");
      phone.moveClock(400);

      // The line is cut: the tap stays on the phone and goes out later, at its time.
      phone.offline(true);
      phone.tap("I see it: done");
      phone.see("Kept on this device");
      phone.see("No line to Dremsa just now");
      assertThat(laptop.text()).contains("in an ice bath");
      phone.offline(false);
      phone.atStep("Strain through");
      laptop.atStep("Strain through");

      phone.type("How much ran off, mL", "9999");
      goOn(phone);
      phone.see("Not more than went in");
      // Less ran off than was planned: the doses follow, and say why.
      phone.type("How much ran off, mL", "300");
      goOn(phone);
      phone.atStep("Cool to 40 °C");
      phone.moveClock(3600);
      goOn(phone);
      phone.see("as planned: measured at");
      assertThat(phone.text()).contains("1.2 g", "0.4 % of it", "5 drops");
      phone.isAccessible("what goes in now");
      phone.fitsTheWidth("what goes in now");
      goOn(phone);
      phone.atStep("Fill the");
      phone.tap("Bottled");
      phone.see("Predicted and real");
      laptop.see("Predicted and real");
      // Two are left in their lanes, and the tray has what was called out.
      phone.go(soak);
      phone.see("until it may be right");
      phone.go("/tray");
      phone.see("Does it boil?");
      phone.isAccessible("the tray");
      phone.fitsTheWidth("the tray");
    } finally {
      devices.stop(0);
    }
  }

  /** A gel of one's own, with a preservative in percent and a scent in drops; its id. */
  private static String dosedGel(Browser phone) {
    return (String)
        phone.script(
            "const t = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];"
                + "const ask = async (method, path, body) => (await fetch(path, {method, headers:"
                + " {'X-XSRF-TOKEN': t, 'Content-Type': 'application/json'},"
                + " body: JSON.stringify(body)})).json();"
                + "const own = await ask('POST', '/api/formulas',"
                + " {copyOf: 'linseed-gel', name: 'Dosed gel'});"
                + "let formula = own.formula;"
                + "for (const material of ['sodium-benzoate', 'lavender-essential'])"
                + " formula = await ask('POST', '/api/formulas/with', {formula, material});"
                + "await ask('PUT', '/api/formulas/' + own.id, {formula, version: own.version});"
                + "return own.id;");
  }

  /** The one obvious tap of a step, whatever it says, as soon as the tap before it is through. */
  private static void goOn(Browser phone) {
    phone.until(
        () ->
            Boolean.TRUE.equals(
                phone.script(
                    "const b = document.querySelector('.actions button');"
                        + "if (!b || b.disabled) return false; b.click(); return true;")));
  }

  /** Measures a formula as it is proposed and starts it; gives its address. */
  private static String brew(Browser phone, String formula) {
    phone.go("/choose/" + formula + "/measure");
    phone.see("keeps till");
    phone.tap("Brew it now");
    phone.until(() -> phone.path().matches("/brew/[0-9a-f-]{36}"));
    phone.see("How it goes");
    return phone.path();
  }
}
