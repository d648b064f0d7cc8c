/**
 * Tables for a spreadsheet, out and in: batches, bottles, events, readings, stores. Each package
 * that keeps such rows reads its own; here is what they have in common.
 */
@NullMarked
package dremsa.server.tables;

import org.jspecify.annotations.NullMarked;
