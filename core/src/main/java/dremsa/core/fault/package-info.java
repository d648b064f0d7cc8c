/**
 * What went wrong. A {@link dremsa.core.fault.Brewed} batch and a {@link dremsa.core.fault.Symptom}
 * become {@link dremsa.core.fault.Explanation}s, the best first: the model is asked what each
 * departure, written down or likely, does to what the maker sees.
 */
@NullMarked
package dremsa.core.fault;

import org.jspecify.annotations.NullMarked;
