/**
 * Scales, thermometers, pH meters and fridge loggers that speak Dremsa's small local protocol
 * (docs/devices.md). What they say is a reading like one that was typed: it is judged before it
 * counts.
 */
@NullMarked
package dremsa.server.devices;

import org.jspecify.annotations.NullMarked;
