/** Photos as they come in. */
@NullMarked
package dremsa.server.pictures;

import org.jspecify.annotations.NullMarked;
