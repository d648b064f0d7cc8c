import { Button, NumberInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useFormula, usePrediction } from '../../api/queries';
import { duration, figure, useFormat } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { stepWords } from './words';

/** A formula on one sheet of paper, for a batch of one size. */
export function CardPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const [ml, setMl] = useState<number | string>(Number(params.get('ml')) || 500);
  const [asked] = useDebouncedValue(ml, 250);
  const formula = useFormula(id);
  const format = useFormat();
  const prediction = usePrediction({
    formulaId: id,
    target: { kind: 'VOLUME', amount: { value: Number(asked) || 0, unit: 'ml' } },
    ranges: false,
  });
  if (formula.isPending) return <Waiting />;
  if (formula.isError) {
    return (
      <main className="page" id="main">
        <Failed error={formula.error} />
      </main>
    );
  }
  const { formula: f, method } = formula.data;
  const p = prediction.data;
  return (
    <main className="page" id="main">
      <div className="row end no-print">
        <NumberInput
          label="In the bottle, mL"
          w={160}
          value={ml}
          onChange={setMl}
          error={prediction.error?.message}
        />
        <Button onClick={() => window.print()}>Print</Button>
        <Button variant="subtle" component={Link} to={`/choose/${id}`}>
          Back
        </Button>
      </div>
      <h1>{f.name}</h1>
      <p>
        {method} · makes {p ? format.ml(p.bottledMl.value) : '…'} ·{' '}
        {p ? `about ${duration(p.totalMinutes)}` : ''}
        {p?.thickness ? ` · ${p.thickness.words} when cold` : ''}
      </p>
      <h2>Weigh out</h2>
      <ul className="lines">
        {p?.amounts.map((a) => (
          <li key={a.ingredient} className="figure-line">
            <span className="strong">{a.name}</span>
            <span className="strong">
              {a.drops != null ? `${a.drops} drops` : `${figure(a.grams)} g`}
            </span>
            <span className="small">{a.scoops}</span>
          </li>
        ))}
      </ul>
      <h2>Then</h2>
      <ol className="steps">
        {f.steps.map((step, i) => (
          <li key={i}>
            <h3>
              {p?.steps[i]?.headline ?? stepWords(step)}
              {step.window &&
                `, ${duration(step.window.shortest!)} to ${duration(step.window.longest!)}`}
            </h3>
            <p>{step.guide?.how}</p>
            {step.guide?.cue && <p>Look for: {step.guide.cue}</p>}
            {p?.steps[i]?.cautions.map((c) => (
              <p key={c} className="caution">
                {c}
              </p>
            ))}
          </li>
        ))}
      </ol>
      {p && (
        <p>
          {p.keeping.useNow
            ? 'Use it at once.'
            : `Brewed today it keeps till ${format.dayLong(p.keeping.lastDay)}, in the fridge.`}
        </p>
      )}
    </main>
  );
}
