package dremsa.server.wire;

import dremsa.core.check.Finding;

/** What the self-check says: what, why, where and the cure. */
public record FindingJson(
    Finding.Code code,
    Finding.Severity severity,
    String place,
    String what,
    String why,
    String cure) {
  public static FindingJson of(Finding finding) {
    return new FindingJson(
        finding.code(),
        finding.severity(),
        finding.place(),
        finding.what(),
        finding.why(),
        finding.cure());
  }
}
