package dremsa.server.devices;

/** A device gave no reading; the message says why, for the maker. */
public class DeviceException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** With a sentence for the maker. */
  public DeviceException(String message) {
    super(message);
  }
}
