package dremsa.server.http;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where others find this server: as it was set, or as it was asked. */
@Component
public class BaseAddress {
  private final String set;

  BaseAddress(@Value("${dremsa.base-address:}") String set) {
    this.set = set.replaceAll("/+$", "");
  }

  /** Without a slash at its end. */
  public String of(HttpServletRequest request) {
    return set.isBlank()
        ? request.getScheme() + "://" + request.getServerName() + ":" + request.getServerPort()
        : set;
  }

  /** The name or address that was set, if one was. */
  public Optional<String> host() {
    return set.isBlank() ? Optional.empty() : Optional.ofNullable(URI.create(set).getHost());
  }

  /** Whether another device can reach what was asked like this: not by this machine's own name. */
  public boolean reachable(HttpServletRequest request) {
    String host = host().orElse(request.getServerName());
    return !host.equals("localhost") && !host.startsWith("127.") && !host.contains("::1");
  }
}
