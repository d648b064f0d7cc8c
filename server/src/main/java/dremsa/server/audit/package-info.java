/** Who came in, was invited, restored or deleted: a record that nobody changes. */
@NullMarked
package dremsa.server.audit;

import org.jspecify.annotations.NullMarked;
