/**
 * Stand-ins for the devices of a kitchen. They speak the local protocol of docs/devices.md, read a
 * pot that the brew model simulates with other parameters than the kitchen believes in, scatter and
 * drift as cheap devices do, and can be told to fail.
 */
@NullMarked
package dremsa.devices;

import org.jspecify.annotations.NullMarked;
