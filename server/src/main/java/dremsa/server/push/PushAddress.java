package dremsa.server.push;

import java.net.Inet4Address;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Holds the address that a browser names for its push service against what may be asked: public and
 * encrypted, or the stand-in that this installation was told of. Never one of the home network: a
 * page could else have the server knock at the neighbour's door.
 */
@Component
class PushAddress {
  private static final int HTTPS = 443;
  private static final int LONGEST = 1000;

  private final String standIn;

  PushAddress(@Value("${dremsa.push.stand-in}") String standIn) {
    this.standIn = standIn.replaceAll("/+$", "");
  }

  /** Why nothing is sent there; empty where it may be. Looks its name up. */
  Optional<String> refused(String address) {
    URI uri;
    try {
      uri = URI.create(address);
    } catch (IllegalArgumentException e) {
      return Optional.of("That is no address.");
    }
    String host = uri.getHost();
    if (address.length() > LONGEST || host == null || uri.getUserInfo() != null) {
      return Optional.of("That is no address of a push service.");
    }
    if (isStandIn(uri)) {
      return Optional.empty();
    }
    if (!"https".equals(uri.getScheme())) {
      return Optional.of("A push service answers by https.");
    }
    if (uri.getPort() != -1 && uri.getPort() != HTTPS) {
      return Optional.of("A push service answers at its usual port.");
    }
    return ofHost(host);
  }

  private boolean isStandIn(URI uri) {
    return !standIn.isEmpty()
        && uri.normalize().equals(uri)
        && uri.toString().startsWith(standIn + "/push/");
  }

  private static Optional<String> ofHost(String host) {
    String name = host.toLowerCase(Locale.ROOT);
    if (!name.contains(".") || name.endsWith(".local") || name.endsWith(".internal")) {
      return Optional.of("A push service has a public name.");
    }
    try {
      for (InetAddress at : InetAddress.getAllByName(host)) {
        if (!isPublic(at)) {
          return Optional.of("That address is not public: nothing is sent into a home network.");
        }
      }
      return Optional.empty();
    } catch (UnknownHostException e) {
      return Optional.of("There is no such push service, or no line to it.");
    }
  }

  /** Whether an address is of the internet, not of this machine, a home or a provider's inside. */
  static boolean isPublic(InetAddress at) {
    if (at.isAnyLocalAddress()
        || at.isLoopbackAddress()
        || at.isLinkLocalAddress()
        || at.isSiteLocalAddress()
        || at.isMulticastAddress()) {
      return false;
    }
    byte[] b = at.getAddress();
    int first = b[0] & 0xff;
    int second = b[1] & 0xff;
    if (at instanceof Inet4Address) {
      boolean shared = first == 100 && second >= 64 && second < 128;
      boolean tests = first == 198 && (second == 18 || second == 19);
      boolean documents =
          first == 192 && second == 0
              || first == 198 && second == 51 && (b[2] & 0xff) == 100
              || first == 203 && second == 0 && (b[2] & 0xff) == 113;
      return first != 0 && first < 224 && !shared && !tests && !documents;
    }
    // Of IPv6 only what is given out to the world, and nothing that wraps an IPv4 address.
    boolean global = at instanceof Inet6Address && (first & 0xe0) == 0x20;
    boolean wraps = first == 0x20 && second == 0x02;
    boolean special = first == 0x20 && second == 0x01 && (b[2] & 0xfe) == 0;
    return global && !wraps && !special;
  }
}
