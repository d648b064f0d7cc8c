import type { Verdict } from '../api/client';

/** Why a bottle keeps so long, each reason with the work behind it. */
export function Reasons({ of }: { of: Verdict['reasons'] }) {
  return of.map((r) => (
    <p key={r.words} className="reason">
      {r.words}
      {r.source && <span className="soft">{r.source}</span>}
    </p>
  ));
}
