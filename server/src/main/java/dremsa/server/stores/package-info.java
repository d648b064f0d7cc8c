/** What is on hand: lots of herbs, seeds, oils and additives, and what is to be got. */
@NullMarked
package dremsa.server.stores;

import org.jspecify.annotations.NullMarked;
