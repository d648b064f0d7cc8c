import { Button, Checkbox } from '@mantine/core';
import { useState } from 'react';
import type { Prediction } from '../../api/client';
import { duration, type Format } from '../../kit/format';
import { HangsOn } from '../../kit/HangsOn';
import { BrewLine } from '../../signature/BrewLine';
import { KeepingBand } from '../../signature/KeepingBand';
import { WaterAccount } from '../../signature/WaterAccount';
import { FillInto } from './FillInto';
import { HowSure } from './HowSure';
import { WORDS } from '../../kit/words';
import type { Draft } from './target';
import { Why } from './Why';
import { coolWords, rangeWords } from './words';
import { Reasons } from '../../kit/Reasons';

interface Props {
  prediction: Prediction;
  /** The answer is that of an earlier question. */
  stale: boolean;
  draft: Draft;
  /** What keeps some of the water: "the seeds". */
  heldBy: string;
  format: Format;
  onChange: (part: Partial<Draft>) => void;
}

/** Where the water goes, how it goes, how long it keeps, what it is filled into. */
export function Forecast({ prediction: p, stale, draft, heldBy, format, onChange }: Props) {
  // What was asked before the edge was dragged, to go back to.
  const [before, setBefore] = useState<Draft>();
  return (
    <div className={stale ? 'stack stale' : 'stack'}>
      <section aria-labelledby="account">
        <h2 id="account" className="sr">
          The water account
        </h2>
        <WaterAccount
          water={p.water}
          bottledMl={p.bottledMl.value}
          heldBy={heldBy}
          wantedMl={
            draft.kind === 'VOLUME' && draft.unit === 'ml'
              ? Number(draft.ml) || undefined
              : undefined
          }
          onWanted={(ml) => {
            if (draft.kind !== 'VOLUME') setBefore(draft);
            onChange({ kind: 'VOLUME', ml, unit: 'ml' });
          }}
        />
        {before && draft.kind === 'VOLUME' && (
          <Button
            variant="outline"
            onClick={() => {
              onChange({ kind: before.kind });
              setBefore(undefined);
            }}
          >
            Back to {WORDS.targets[before.kind]}
          </Button>
        )}
        <p className="soft small">
          {rangeWords(p)} Why so much{' '}
          <Why result="bottled" prediction={p}>
            in the bottle
          </Why>
          ,{' '}
          <Why result="held" prediction={p}>
            held
          </Why>
          ,{' '}
          <Why result="steam" prediction={p}>
            steam
          </Why>
          ,{' '}
          <Why result="cloth" prediction={p}>
            cloth
          </Why>
        </p>
        <HowSure prediction={p} format={format} />
      </section>
      {p.findings.map((f) => (
        <p key={f.place + f.code + f.what} className="caution">
          <b>{f.what}</b> {f.why} {f.cure}
        </p>
      ))}
      <section aria-labelledby="goes">
        <h2 id="goes">How it goes</h2>
        {p.steps
          .filter((s) => s.hot)
          .map((s) => (
            <p key={s.index} className="caution">
              <b>{s.headline}.</b> {s.hot}
            </p>
          ))}
        <BrewLine
          prediction={p}
          format={format}
          onMinutes={(step, minutes) =>
            onChange({ minutes: { ...draft.minutes, [step]: minutes } })
          }
        />
        <p className="soft small">
          In all {duration(p.totalMinutes)} <Why result="time" prediction={p} />{' '}
          {coolWords(p, format.celsius)}
        </p>
      </section>
      <Keeps prediction={p} draft={draft} format={format} onChange={onChange} />
      {p.ways.length === 0 && <FillInto filling={p.filling} />}
      {p.ways.length > 0 && <Ways prediction={p} format={format} />}
    </div>
  );
}

function Keeps({
  prediction: p,
  draft,
  format,
  onChange,
}: Pick<Props, 'prediction' | 'draft' | 'format' | 'onChange'>) {
  return (
    <section aria-labelledby="keeps">
      <div className="beside">
        <div>
          <h2 id="keeps">
            {p.keeping.useNow
              ? 'use it now, nothing keeps'
              : `keeps till ${format.day(p.keeping.lastDay)}`}
          </h2>
          <p className="soft small">
            {p.keeping.subtraction
              ? `Life at 5 °C: ${p.keeping.subtraction}.`
              : p.keeping.reasons[1]?.words}{' '}
            <Why result="keeps" prediction={p} />
          </p>
          <HangsOn keeping={p.keeping} format={format} />
          {p.mayCountAs.length > 0 && (
            <p className="caution">
              Within what is not known it may also count as {p.mayCountAs.join(', or ')}.
            </p>
          )}
        </div>
        <KeepingBand keeping={p.keeping} bottledAt={Date.parse(p.bottledAt)} format={format} />
      </div>
      <Checkbox
        size="md"
        label="Worked clean: sterilised bottle, strained fine, fridge at 5 °C"
        checked={draft.clean}
        onChange={(e) => onChange({ clean: e.currentTarget.checked })}
      />
      <details>
        <summary>Why this day</summary>
        <Reasons of={p.keeping.reasons} />
      </details>
    </section>
  );
}

function Ways({ prediction: p, format }: Pick<Props, 'prediction' | 'format'>) {
  return (
    <section aria-labelledby="ways">
      <h2 id="ways">Then it is divided</h2>
      <ul className="lines">
        {p.ways.map((w) => (
          <li key={w.name} className="figure-line">
            <span className="strong">{w.name}</span>
            <span>{format.ml(w.prediction.bottledMl.value)}</span>
            <span className="soft small">
              keeps till {format.day(w.prediction.keeping.lastDay)}
              {w.prediction.thickness && ` · ${w.prediction.thickness.words}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
