/**
 * Asks core how a brew would go. Keeps nothing. Every screen that shows a figure of a brew asks
 * here.
 */
package dremsa.server.predictions;
