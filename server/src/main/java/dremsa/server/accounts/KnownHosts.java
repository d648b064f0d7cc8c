package dremsa.server.accounts;

import dremsa.server.http.BaseAddress;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The names that this server answers to; addresses it always answers to. */
@Component
class KnownHosts implements Predicate<String> {
  private final Set<String> names = new HashSet<>();

  KnownHosts(@Value("${dremsa.hosts}") List<String> hosts, BaseAddress base) {
    names.add("localhost");
    hosts.stream().map(String::strip).filter(host -> !host.isEmpty()).forEach(this::know);
    base.host().ifPresent(this::know);
    try {
      know(InetAddress.getLocalHost().getHostName());
    } catch (UnknownHostException e) {
      // A machine without a name is asked by its address.
    }
  }

  /** With and without the endings that home networks give. */
  private void know(String host) {
    String name = host.toLowerCase(Locale.ROOT);
    names.add(name);
    if (!name.contains(".")) {
      names.addAll(Arrays.asList(name + ".local", name + ".lan", name + ".home.arpa"));
    }
  }

  @Override
  public boolean test(String host) {
    String name = host.toLowerCase(Locale.ROOT);
    return names.contains(name) || isAddress(name);
  }

  /** Digits and dots, or anything with a colon, is no name that somebody could have registered. */
  private static boolean isAddress(String name) {
    return name.matches("[0-9.]+") || name.contains(":");
  }
}
