/**
 * Calls that reach a phone in a pocket: what is written to the tray is sent to the browsers of its
 * household by Web Push (RFC 8030, 8291, 8292), signed with keys of this installation. {@link
 * dremsa.server.push.Deliveries} sends what {@link dremsa.server.reminders.MessageWritten} tells;
 * an address is held against {@link dremsa.server.push.PushAddress} before anything goes to it.
 */
@NullMarked
package dremsa.server.push;

import org.jspecify.annotations.NullMarked;
