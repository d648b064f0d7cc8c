/**
 * In which order one or several pairs of hands do several jobs over the same hobs, blender and
 * strainer. A {@link dremsa.core.timetable.Workroom} with its {@link dremsa.core.timetable.Job}s
 * becomes a {@link dremsa.core.timetable.Timetable}. It knows nothing of brews and heads: the
 * evening of a brewer and the wash day of a family are worked out by it alike.
 */
@NullMarked
package dremsa.core.timetable;

import org.jspecify.annotations.NullMarked;
