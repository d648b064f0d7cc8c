/** What happened, to batches and bottles alike, in the order in which it happened. */
package dremsa.server.history;
