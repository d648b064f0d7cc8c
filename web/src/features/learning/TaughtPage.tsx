import { Button } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Calibration } from '../../api/client';
import { useCalibration } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { useFormat } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { Empty, tell } from '../../kit/states';
import { AskedBatches } from './AskedBatches';
import { Figures } from './Figures';
import { ForetoldTable } from './ForetoldTable';
import { LearnLinks } from './LearnLinks';
import { Narrowing } from './Narrowing';
import { mostOften } from './words';
import './learning.css';

/** Learn: what the kitchen taught the model, from what was weighed and measured in it. */
export function TaughtPage() {
  const calibration = useCalibration();
  return (
    <main className="page" id="main">
      <LearnLinks />
      <Loaded part of={calibration}>
        {(view) => <Taught view={view} />}
      </Loaded>
    </main>
  );
}

function Taught({ view }: { view: Calibration }) {
  const format = useFormat();
  const names = [...new Set(view.batches.map((b) => b.name))].sort();
  // Of one brew the band narrows as it is repeated: what was brewed most often shows that best.
  const [formula, setFormula] = useState(() => mostOften(view.batches));
  const shown = view.batches.filter((b) => formula === '' || b.name === formula);
  if (view.batches.length === 0) {
    return (
      <>
        <Empty title="Your kitchen has taught nothing yet">
          <p>
            Measure how much runs off when you strain, or what goes into the bottles, and type it
            there. From then on each batch makes the next one surer. What is only taken over from
            the forecast teaches nothing.
          </p>
          <div>
            <Button component={Link} to="/choose">
              Choose what to brew
            </Button>
          </div>
        </Empty>
        <Working view={view} />
      </>
    );
  }
  return (
    <>
      <h1>What your kitchen taught</h1>
      <p>{view.words || 'With four batches it can be said how well the next is foretold.'}</p>
      <Working view={view} />
      <AskedBatches batches={view.batches} format={format} />
      <section aria-labelledby="foretold" className="above">
        <div className="row spread">
          <h2 id="foretold">Foretold, and come out</h2>
          {names.length > 1 && (
            <Choice
              className="taught-of"
              label="Of what"
              data={[
                { value: '', label: 'all brews' },
                ...names.map((name) => ({ value: name, label: name })),
              ]}
              value={formula}
              onChange={(name) => setFormula(name ?? '')}
            />
          )}
        </div>
        <Narrowing batches={shown} format={format} />
        <ForetoldTable batches={shown} format={format} />
      </section>
      <Figures figures={view.figures} />
    </>
  );
}

/** How far it is, and another go. */
function Working({ view }: { view: Calibration }) {
  const again = useMutation({
    mutationFn: () => ask(api.POST('/api/calibration')),
    onError: tell,
  });
  const working = view.state === 'ASKED' || view.state === 'RUNNING';
  return (
    <p className="row end" aria-live="polite">
      {working ? (
        <>
          <progress
            aria-label="Working it out"
            value={view.total > 0 ? view.done / view.total : undefined}
          />
          <span>
            {view.total > 0
              ? `Looked at ${view.done} of ${view.total} batches`
              : 'Waits for its turn'}
          </span>
        </>
      ) : (
        <>
          {view.state === 'FAILED' && <span className="trouble">It could not be worked out.</span>}
          <Button variant="subtle" loading={again.isPending} onClick={() => again.mutate()}>
            Work it out anew
          </Button>
        </>
      )}
    </p>
  );
}
