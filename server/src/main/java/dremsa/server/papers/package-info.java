/** Paper and calendars: pages laid out as PDF, events written as iCalendar. Knows no capability. */
@NullMarked
package dremsa.server.papers;

import org.jspecify.annotations.NullMarked;
