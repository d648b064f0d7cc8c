/** What is on hand: lots of herbs, seeds, oils and additives, and what is to be got. */
package dremsa.server.stores;
