import { lazy, Suspense } from 'react';
import type { Method, NoteRead, NoteStretch } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { doubtful } from './useNote';

// What was read comes first; the pictures are loaded while it is looked at.
const AsWritten = lazy(async () => ({ default: (await import('./AsWritten')).AsWritten }));
const Beforehand = lazy(async () => ({ default: (await import('./AsWritten')).Beforehand }));

interface Props {
  read: NoteRead;
  stretches: NoteStretch[];
  lit: string | undefined;
  onLight: (target: string | undefined) => void;
  onMethod: (method: Method) => void;
}

/** What was read: the pot and the date, what goes in, how it goes. */
export function ReadSide({ read, stretches, lit, onLight, onMethod }: Props) {
  const guessed = new Set(
    doubtful(stretches).map((s) => `${s.about === 'STEP' ? 'step' : 'line'}-${s.target}`),
  );
  const light = (target: string) => ({
    'data-target': target,
    className: [guessed.has(target) && 'guessed', lit === target && 'lit']
      .filter(Boolean)
      .join(' '),
    tabIndex: 0,
    onPointerEnter: () => onLight(target),
    onPointerLeave: () => onLight(undefined),
    onFocus: () => onLight(target),
    onBlur: () => onLight(undefined),
  });
  return (
    <div className="stack">
      <h2>{read.name}</h2>
      <Suspense>
        <AsWritten read={read} />
      </Suspense>
      <Choice
        label="It follows"
        value={read.method.method}
        data={[read.method, ...read.otherMethods].map((m) => ({ value: m.method, label: m.words }))}
        onChange={(m) => onMethod(m as Method)}
      />
      <section aria-labelledby="note-in">
        <h3 id="note-in">What goes in</h3>
        <ul className="lines above-s">
          {read.ingredients.map((l, i) => (
            <li key={i} {...light(`line-${i}`)}>
              <span className="spread">
                <b>{l.name}</b>
                <span>{l.amount || (l.measured ? 'not written' : 'how much?')}</span>
              </span>
              {!l.measured && (
                <span className="soft small">Left out until its amount is known.</span>
              )}
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="note-steps">
        <h3 id="note-steps">How it goes</h3>
        <ol className="lines note-steps above-s">
          {read.steps.map((s, i) => (
            <li key={i} {...light(`step-${i}`)}>
              {s.words}{' '}
              {s.filledIn ? (
                <span className="filled">filled in</span>
              ) : (
                s.open && <span className="filled">{s.open}: filled in</span>
              )}
            </li>
          ))}
        </ol>
      </section>
      <Suspense>
        <Beforehand read={read} />
      </Suspense>
      {read.newMaterials.length > 0 && (
        <p className="soft small">New in this house: {read.newMaterials.join('; ')}.</p>
      )}
      {read.notes.length > 0 && (
        <p className="soft small">Stays beside it: {read.notes.join('; ')}.</p>
      )}
    </div>
  );
}
