import { Button } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import type { Prediction } from '../../api/client';
import { useHandbook } from '../../api/queries';
import './predictions.css';

// Read only when somebody asks.
const WhyPanel = lazy(async () => ({ default: (await import('./WhyPanel')).WhyPanel }));

interface Props {
  /** Name of the result: bottled, held, steam, cloth, amount, time, strength, thickness, keeps, cost. */
  result: string;
  prediction: Prediction;
  /** What the button says; "why?" without. */
  children?: string;
}

/** Opens the reasons behind a figure. */
export function Why({ result, prediction, children }: Props) {
  const [open, setOpen] = useState(false);
  const handbook = useHandbook();
  const title = handbook.data?.explained.find((e) => e.result === result)?.title ?? 'Why';
  return (
    <>
      <Button
        variant="subtle"
        size="compact-sm"
        className="why"
        aria-label={`Why: ${title}`}
        onClick={() => setOpen(true)}
      >
        {children ?? 'why?'}
      </Button>
      {open && (
        <Suspense>
          <WhyPanel result={result} prediction={prediction} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
