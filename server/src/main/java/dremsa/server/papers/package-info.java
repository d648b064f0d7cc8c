/** Paper and calendars: pages laid out as PDF, events written as iCalendar. Knows no capability. */
package dremsa.server.papers;
