import type { NoteRead } from '../../api/client';
import { duration, useFormat } from '../../kit/format';
import { KeepingBand } from '../../signature/KeepingBand';
import { PotPicture } from '../../signature/PotPicture';
import { WaterAccount } from '../../signature/WaterAccount';

/** The pot, what comes out of it and how long that keeps, with the amounts as they are written. */
export function AsWritten({ read }: { read: NoteRead }) {
  const format = useFormat();
  const p = read.asWritten;
  if (!p) {
    return (
      <p className="soft">
        {read.formula
          ? 'With these amounts no pot of this kitchen can be drawn.'
          : 'Nothing goes in yet: write an amount and what of, and the pot is drawn.'}
      </p>
    );
  }
  const hottest = Math.max(...p.trace.map((m) => m.celsius));
  return (
    <div className="note-pot">
      <PotPicture
        kind={p.vessels[0]?.kind ?? 'POT'}
        fill={p.water.in / Math.max(1, p.vessels[0]?.capacityMl ?? 2 * p.water.in)}
        celsius={hottest}
        label={format.ml(p.bottledMl.value)}
        tint={read.tint}
        covered={false}
        says={`${p.vessels[0]?.name ?? 'A pot'}: ${format.ml(p.bottledMl.value)} comes out of it`}
      />
      <div className="stack tight">
        <p className="big">
          {format.ml(p.bottledMl.value)}
          {p.thickness ? `, ${p.thickness.words}` : ''}
        </p>
        <p>
          {p.keeping.useNow
            ? 'For use at once.'
            : `Good through ${format.dayLong(p.keeping.lastDay)} in the fridge.`}
        </p>
        <p className="soft small">Ready in about {duration(p.totalMinutes)}.</p>
      </div>
    </div>
  );
}

/** What to know of it before it is brewed: how long it keeps and why, where the water goes. */
export function Beforehand({ read }: { read: NoteRead }) {
  const format = useFormat();
  const p = read.asWritten;
  if (!p) return null;
  return (
    <section className="stack" aria-labelledby="note-know">
      <h3 id="note-know">What to know of it</h3>
      {read.beside.map((words) => (
        <p key={words} className={words.startsWith('Written:') ? 'caution' : ''}>
          {words}
        </p>
      ))}
      {p.findings.map((f) => (
        <p key={f.code + f.place + f.what} className="caution">
          <b>{f.what}</b> {f.cure}
        </p>
      ))}
      <KeepingBand
        keeping={p.keeping}
        bottledAt={new Date(p.bottledAt).getTime()}
        format={format}
      />
      <p className="soft small">{p.keeping.reasons[0]?.words}</p>
      <WaterAccount water={p.water} bottledMl={p.bottledMl.value} heldBy="the plants" />
    </section>
  );
}
