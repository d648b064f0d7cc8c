package dremsa.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticatorOptions;

/** Headless Chromium with the words of a person: see, tap, type. */
final class Browser implements AutoCloseable {
  static final Duration PATIENCE = Duration.ofSeconds(60);

  private final ChromeDriver driver;
  private final String address;

  private Browser(ChromeDriver driver, String address) {
    this.driver = driver;
    this.address = address;
  }

  static Browser laptop(String address) throws IOException {
    return open(address, 1280, 800);
  }

  static Browser phone(String address) throws IOException {
    return open(address, 390, 844);
  }

  private static Browser open(String address, int width, int height) throws IOException {
    ChromeOptions options = new ChromeOptions();
    options.setBinary("/usr/bin/chromium");
    options.addArguments(
        "--headless=new",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-quic",
        "--no-first-run",
        "--no-default-browser-check",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--disable-extensions",
        "--hide-scrollbars",
        // What fades in is there at once.
        "--force-prefers-reduced-motion",
        "--force-device-scale-factor=1",
        "--lang=en-GB",
        "--user-data-dir=" + Files.createTempDirectory("dremsa-browser"));
    ChromeDriverService service =
        new ChromeDriverService.Builder()
            .usingDriverExecutable(new File("/usr/bin/chromedriver"))
            .usingAnyFreePort()
            .build();
    ChromeDriver driver = new ChromeDriver(service, options);
    driver.executeCdpCommand(
        "Emulation.setDeviceMetricsOverride",
        Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", width < 700));
    return new Browser(driver, address);
  }

  void go(String path) {
    driver.get(address + path);
  }

  String path() {
    return driver.getCurrentUrl().substring(address.length());
  }

  void reload() {
    driver.navigate().refresh();
  }

  /** Waits until this text is on screen. */
  void see(String text) {
    // Asked first in the quick way, which leaves out what is drawn; then in the sure one.
    until("see '" + text + "'", () -> quickText().contains(text) || text().contains(text));
  }

  void seeNot(String text) {
    until("no longer see '" + text + "'", () -> !text().contains(text));
  }

  String text() {
    return driver.findElement(By.tagName("body")).getText();
  }

  private String quickText() {
    return String.valueOf(driver.executeScript("return document.body.innerText"));
  }

  /** Taps a button or link by its words or its label. */
  void tap(String words) {
    String quoted = "\"" + words + "\"";
    By by =
        By.xpath(
            "(//button|//a|//summary|//label)[normalize-space(.)="
                + quoted
                + " or @aria-label="
                + quoted
                + " or self::summary/h2[normalize-space(.)="
                + quoted
                + "]]");
    until(
        "tap '" + words + "'",
        () -> {
          List<WebElement> found = driver.findElements(by);
          for (WebElement element : found) {
            if (element.isDisplayed() && element.isEnabled()) {
              driver.executeScript("arguments[0].scrollIntoView({block:'center'})", element);
              driver.executeScript("arguments[0].click()", element);
              return true;
            }
          }
          return false;
        });
  }

  /** Replaces what stands in the field with this label. */
  void type(String label, String value) {
    WebElement field = field(label);
    field.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
    field.sendKeys(value);
  }

  /** Waits until a step is the present one; as the next it is named before. */
  void atStep(String headline) {
    until(
        "be at '" + headline + "'",
        () ->
            driver.findElements(By.cssSelector("h1.headline")).stream()
                .anyMatch(h -> h.getText().startsWith(headline)));
  }

  /** Replaces what stands in the text field that is named without a label of its own. */
  void typeInto(String name, String value) {
    WebElement field = named(name);
    field.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
    field.sendKeys(value);
  }

  /** Writes into the sheet of that name, in place of what stands on it. */
  void write(String name, String text) {
    By by = By.cssSelector("textarea[aria-label=\"" + name + "\"]");
    until("find the sheet '" + name + "'", () -> !driver.findElements(by).isEmpty());
    WebElement sheet = driver.findElement(by);
    sheet.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
    sheet.sendKeys(text);
  }

  String typedInto(String name) {
    return named(name).getDomProperty("value");
  }

  private WebElement named(String name) {
    By by = By.cssSelector("input[aria-label=\"" + name + "\"]:not([type=hidden])");
    until("find field '" + name + "'", () -> !driver.findElements(by).isEmpty());
    return driver.findElement(by);
  }

  /** Chooses from the list of the field with this label, or types a name of its list. */
  void choose(String label, String option) {
    WebElement field = field(label);
    driver.executeScript("arguments[0].scrollIntoView({block:'center'})", field);
    boolean typed = field.getTagName().equals("input");
    By offered =
        typed
            ? By.xpath("//*[@role='option'][starts-with(normalize-space(.), \"" + option + "\")]")
            : By.xpath(".//option[normalize-space(.)=\"" + option + "\"]");
    if (typed) {
      field.sendKeys(Keys.chord(Keys.CONTROL, "a"), option);
      // The list is drawn anew while it is typed in: what is touched is what stands there then.
      until(
          "choose '" + option + "'",
          () ->
              driver.findElements(offered).stream()
                  .filter(WebElement::isDisplayed)
                  .findFirst()
                  .map(
                      found -> {
                        found.click();
                        return true;
                      })
                  .orElse(false));
    } else {
      until("offer '" + option + "'", () -> !field.findElements(offered).isEmpty());
      new Select(field).selectByVisibleText(option);
    }
  }

  /** Presses keys on whatever has the focus. */
  void press(CharSequence... keys) {
    driver.switchTo().activeElement().sendKeys(keys);
  }

  /** Presses keys on the button with these words. */
  void pressOn(String words, CharSequence... keys) {
    driver
        .findElement(By.xpath("//button[starts-with(normalize-space(.),\"" + words + "\")]"))
        .sendKeys(keys);
  }

  /** Takes the first thing that fits with the mouse and lets it go so much further right, px. */
  void drag(String css, int right) {
    WebElement what = driver.findElement(By.cssSelector(css));
    driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", what);
    new Actions(driver).clickAndHold(what).moveByOffset(right, 0).release().perform();
  }

  /** From now on the device keeps passkeys, and its owner shows it their finger each time. */
  void holdsPasskeys() {
    driver.addVirtualAuthenticator(
        new VirtualAuthenticatorOptions()
            .setTransport(VirtualAuthenticatorOptions.Transport.INTERNAL)
            .setHasResidentKey(true)
            .setHasUserVerification(true)
            .setIsUserVerified(true));
  }

  /** Cuts the line to the server, or mends it. */
  void offline(boolean cut) {
    driver.executeCdpCommand("Network.enable", Map.of());
    driver.executeCdpCommand(
        "Network.emulateNetworkConditions",
        Map.of("offline", cut, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
  }

  /** Hands a file to a file field. */
  void attach(String css, Path file) {
    driver.findElement(By.cssSelector(css)).sendKeys(file.toAbsolutePath().toString());
  }

  String typed(String label) {
    return field(label).getDomProperty("value");
  }

  private WebElement field(String label) {
    By by =
        By.xpath(
            "//label[starts-with(normalize-space(.),\""
                + label
                + "\")] | //input[@aria-label=\""
                + label
                + "\"]");
    // A field that is still loading stands there and takes nothing yet.
    until(
        "find field '" + label + "'",
        () -> !driver.findElements(by).isEmpty() && fieldOf(driver.findElement(by)).isEnabled());
    return fieldOf(driver.findElement(by));
  }

  private WebElement fieldOf(WebElement named) {
    return named.getTagName().equals("input")
        ? named
        : driver.findElement(By.id(named.getDomAttribute("for")));
  }

  /** Presses a key on the slider with this label. */
  void slide(String label, Keys key) {
    driver
        .findElement(By.xpath("//*[@role='slider' and starts-with(@aria-label,\"" + label + "\")]"))
        .sendKeys(key);
  }

  String attribute(String css, String name) {
    return driver.findElement(By.cssSelector(css)).getDomAttribute(name);
  }

  /** Runs a script that may await and returns a value. */
  Object script(String body) {
    return driver.executeAsyncScript(
        "const done = arguments[0]; (async () => {"
            + body
            + "})().then(done, e => done(String(e)))");
  }

  /** Moves the household's clock on the server. */
  void moveClock(long seconds) {
    script(
        "const t = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];"
            + "await fetch('/api/test/clock', {method:'POST', headers:{'X-XSRF-TOKEN':t,'Content-Type':'application/json'},"
            + "body: JSON.stringify({seconds:"
            + seconds
            + "})})");
  }

  /** Axe finds nothing wrong on this view. */
  @SuppressWarnings("deprecation") // Its other way opens a second window.
  void isAccessible(String view) {
    // In this window: one opened beside it is lost when another browser comes to the front, and
    // there are no frames to look into.
    List<Rule> violations = new AxeBuilder().setLegacyMode(true).analyze(driver).getViolations();
    assertThat(violations)
        .as(
            view
                + ": "
                + violations.stream()
                    .map(
                        v -> v.getId() + " " + v.getNodes().stream().map(n -> n.getHtml()).toList())
                    .toList())
        .isEmpty();
  }

  /** Nothing sticks out to the side. */
  void fitsTheWidth(String view) {
    Object over =
        script(
            "return document.documentElement.scrollWidth - document.documentElement.clientWidth");
    assertThat(((Number) over).intValue()).as(view + " is wider than the screen").isZero();
  }

  void picture(Path file) throws IOException {
    Files.createDirectories(file.getParent());
    Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
  }

  private void until(String what, java.util.function.BooleanSupplier condition) {
    new WebDriverWait(driver, PATIENCE)
        .pollingEvery(Duration.ofMillis(60))
        .ignoring(StaleElementReferenceException.class)
        .withMessage(() -> "could not " + what + " at " + path() + "; on screen:\n" + text())
        .until(d -> condition.getAsBoolean());
  }

  /** Waits for a condition of the test's own. */
  void until(java.util.function.BooleanSupplier condition) {
    until("see the expected state", condition);
  }

  @Override
  public void close() {
    driver.quit();
  }
}
