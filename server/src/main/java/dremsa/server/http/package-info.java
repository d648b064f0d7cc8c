/** What every capability's HTTP shares: problem details, size limits, repeated requests, pages. */
@NullMarked
package dremsa.server.http;

import org.jspecify.annotations.NullMarked;
