package dremsa.server.accounts;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import ua_parser.Client;
import ua_parser.Parser;

/** What a browser says of itself, in words that its owner knows it by. */
@Component
public class DeviceNames {
  private static final String UNKNOWN = "A device";
  private static final String OTHER = "Other";
  private static final int LONGEST = 400;

  /** Its tables are read when the first device is named. */
  private @Nullable Parser parser;

  private synchronized Parser parser() {
    if (parser == null) {
      parser = new Parser();
    }
    return parser;
  }

  /** Such as "Firefox on Android"; "A device" where nothing of it is known. */
  public String of(@Nullable String userAgent) {
    if (userAgent == null || userAgent.isBlank()) {
      return UNKNOWN;
    }
    Client client = parser().parse(userAgent.substring(0, Math.min(LONGEST, userAgent.length())));
    String browser = known(client.userAgent.family);
    String system = known(client.os.family);
    if (browser.isEmpty()) {
      return system.isEmpty() ? UNKNOWN : "A device with " + system;
    }
    return system.isEmpty() ? browser : browser + " on " + system;
  }

  private static String known(@Nullable String family) {
    return family == null || family.equals(OTHER) ? "" : family;
  }
}
