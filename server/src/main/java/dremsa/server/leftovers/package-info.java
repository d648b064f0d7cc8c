/** What stayed in a strainer and is good for a second use: for a short while, then compost. */
@NullMarked
package dremsa.server.leftovers;

import org.jspecify.annotations.NullMarked;
