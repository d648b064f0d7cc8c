package dremsa.server.devices;

/** What a device measures. */
public enum DeviceKind {
  SCALE,
  THERMOMETER,
  PH_METER,
  FRIDGE_LOGGER
}
