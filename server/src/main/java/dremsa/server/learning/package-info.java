/** What a household learns from what it brewed: its kitchen's figures, found in the background. */
@NullMarked
package dremsa.server.learning;

import org.jspecify.annotations.NullMarked;
