/** What every capability's HTTP shares: problem details, size limits, repeated requests, pages. */
package dremsa.server.http;
