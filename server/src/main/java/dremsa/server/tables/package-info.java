/**
 * Tables for a spreadsheet, out and in: batches, bottles, events, readings, stores. Each package
 * that keeps such rows reads its own; here is what they have in common.
 */
package dremsa.server.tables;
