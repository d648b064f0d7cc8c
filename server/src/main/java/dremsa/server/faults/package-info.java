/** What went wrong: a batch's record is held against what somebody finds wrong with it. */
@NullMarked
package dremsa.server.faults;

import org.jspecify.annotations.NullMarked;
