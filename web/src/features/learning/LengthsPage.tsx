import { Button } from '@mantine/core';
import { useSearchParams } from 'react-router';
import type { Lengths } from '../../api/client';
import { useLengths } from '../../api/queries';
import { useFormat, type Format } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { capital, WORDS } from '../../kit/words';
import { OfHeads } from '../people/OfHeads';
import { GrowthLine } from './GrowthLine';
import { LearnLinks } from './LearnLinks';
import { MeasureHair } from './MeasureHair';
import { useLengthChange } from './useLengthChange';
import './learning.css';

/** Learn: how long hair is on each section of a head, and how fast it gets longer. */
export function LengthsPage() {
  return (
    <main className="page" id="main">
      <LearnLinks />
      <OfHeads title="Whose hair?">{(heads) => <Whose heads={heads} />}</OfHeads>
    </main>
  );
}

function Whose({ heads }: { heads: { id: string; name: string }[] }) {
  const [params, setParams] = useSearchParams();
  const id = heads.find((h) => h.id === params.get('head'))?.id ?? heads[0]!.id;
  const lengths = useLengths(id);
  return (
    <>
      <div className="row" role="group" aria-label="Whose hair">
        {heads.map((h) => (
          <Button
            key={h.id}
            className="touch"
            variant={h.id === id ? 'filled' : 'outline'}
            aria-pressed={h.id === id}
            onClick={() => setParams({ head: h.id }, { replace: true })}
          >
            {h.name}
          </Button>
        ))}
      </div>
      {lengths.isPending && <Waiting />}
      {lengths.error && <Failed error={lengths.error} again={() => void lengths.refetch()} />}
      {lengths.data && <OfHead key={id} view={lengths.data} />}
    </>
  );
}

function OfHead({ view }: { view: Lengths }) {
  const format = useFormat();
  return (
    <>
      <h1 className="above">How long {view.name}&rsquo;s hair is</h1>
      {view.sections.length === 0 && (
        <p>
          Nothing was measured yet. Comb a section straight, hold it stretched from root to tip, and
          read the tape; the same section once a month tells most.
        </p>
      )}
      {view.sections.map((s) => (
        <section key={s.section} aria-label={WORDS.headSections[s.section]} className="above">
          <h2>{capital(WORDS.headSections[s.section])}</h2>
          <p>{s.words}</p>
          <GrowthLine section={s} cuts={view.cuts.map((c) => c.day)} format={format} />
          {s.shrinkage.map((w) => (
            <p key={w}>{w}</p>
          ))}
        </section>
      ))}
      <MeasureHair view={view} />
      <Kept view={view} format={format} />
    </>
  );
}

/** How long it is left to itself, and what was on it. */
function looseWords(r: Lengths['sections'][number]['readings'][number]): string {
  if (r.looseCm == null) return '';
  return `, ${r.looseCm} cm left to itself${r.product ? ` with ${r.product}` : ''}`;
}

/** All that was written down, the newest first; each can be taken back. */
function Kept({ view, format }: { view: Lengths; format: Format }) {
  const { takeBack } = useLengthChange(view.person);
  const all = [
    ...view.sections.flatMap((s) =>
      s.readings.map((r) => ({
        ...r,
        words: `${r.cm} cm, ${WORDS.headSections[s.section]}${looseWords(r)}`,
        doubted: r.day === s.doubtful,
      })),
    ),
    ...view.cuts.map((c) => ({ ...c, words: 'cut', doubted: false })),
  ].sort((a, b) => b.day.localeCompare(a.day) || a.words.localeCompare(b.words));
  if (all.length === 0) return null;
  return (
    <details className="above">
      <summary>In numbers</summary>
      <ul className="lines">
        {all.map((r) => (
          <li key={r.id} className="spread">
            <span>
              {format.day(r.day)} {r.day.slice(0, 4)}: {r.words}
              {r.doubted && <b> · far off the others</b>}
            </span>
            <Button
              variant="subtle"
              aria-label={`Take back ${r.words} of ${format.day(r.day)}`}
              loading={takeBack.isPending}
              onClick={() => takeBack.mutate(r.id)}
            >
              Take it back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
