/** What is to be done now, from the bench and the shelf together. */
@NullMarked
package dremsa.server.today;

import org.jspecify.annotations.NullMarked;
