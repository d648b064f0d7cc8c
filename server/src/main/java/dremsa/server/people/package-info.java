/** Whose hair is cared for: what is known of them, what was used on their heads, what they bear. */
@NullMarked
package dremsa.server.people;

import org.jspecify.annotations.NullMarked;
