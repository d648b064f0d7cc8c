/** Who belongs to a household: invited, let do more or less, taken away. */
@NullMarked
package dremsa.server.members;

import org.jspecify.annotations.NullMarked;
