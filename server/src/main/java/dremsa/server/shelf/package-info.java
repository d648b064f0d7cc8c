/** Bottles: where they stand, how long they keep and why, and what was taken from them. */
package dremsa.server.shelf;
