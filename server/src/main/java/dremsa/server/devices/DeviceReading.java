package dremsa.server.devices;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One reading of a device.
 *
 * @param value g, °C or pH by its kind
 * @param at when the device took it, by its own clock
 * @param battery 0 to 1; null where the device does not say
 */
public record DeviceReading(
    String device,
    DeviceKind kind,
    double value,
    String unit,
    Instant at,
    @Nullable Double battery) {}
