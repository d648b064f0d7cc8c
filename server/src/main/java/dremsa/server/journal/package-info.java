/**
 * What makers write down of what they brewed and used: a page for each batch and each day on a
 * head, judgements, two versions side by side, and courses. What was brewed and used stands with
 * its own packages; what is kept here is what somebody said of it.
 */
@NullMarked
package dremsa.server.journal;

import org.jspecify.annotations.NullMarked;
