package dremsa.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;

/** How somebody comes in who has proved by other than a password that they may. */
@Component
public class Arrivals {
  private final SignInThrottle throttle;
  private final KnownDevices devices;
  private final Sessions sessions;

  Arrivals(SignInThrottle throttle, KnownDevices devices, Sessions sessions) {
    this.throttle = throttle;
    this.devices = devices;
    this.sessions = sessions;
  }

  /**
   * Counts a try from this address.
   *
   * @throws dremsa.server.http.Problem 429 when there were too many
   */
  public void countTry(HttpServletRequest request) {
    throttle.countAddress(request.getRemoteAddr());
  }

  /** The last counted try was none. */
  public void wasRight(HttpServletRequest request) {
    throttle.addressWasRight(request.getRemoteAddr());
  }

  /** Counts a try at somebody's name, from this address. */
  public void countTry(String signIn, HttpServletRequest request) {
    throttle.count(signIn, request.getRemoteAddr(), null);
  }

  /** The last counted try at this name was right. */
  public void wasRight(String signIn, HttpServletRequest request) {
    throttle.succeeded(signIn, request.getRemoteAddr(), null);
  }

  /** Signs somebody in on the device that they ask from. */
  public void arrive(Member member, HttpServletRequest request, HttpServletResponse response) {
    devices.met(member.accountId(), request, response);
    sessions.begin(member, request, response);
  }
}
