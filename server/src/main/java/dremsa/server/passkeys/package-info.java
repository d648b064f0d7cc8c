/** Signing in with what a device holds, in place of a password. */
@NullMarked
package dremsa.server.passkeys;

import org.jspecify.annotations.NullMarked;
