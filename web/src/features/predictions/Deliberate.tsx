import { TextInput } from '@mantine/core';
import type { Prediction } from '../../api/client';
import { said } from '../../kit/fields';

interface Props {
  prediction: Prediction;
  reason: string;
  error: unknown;
  onChange: (reason: string) => void;
}

/** What is dangerous starts only with a reason, which stays with the batch. */
export function Deliberate({ prediction, reason, error, onChange }: Props) {
  if (dangers(prediction).length === 0) return null;
  return (
    <div className="stack trouble" role="group" aria-label="Against a warning">
      <p>
        <b>Dremsa would not brew this:</b> {dangers(prediction).join(' ')}
      </p>
      <TextInput
        label="Why brew it all the same?"
        description="Stays on the batch, its bottles and their labels."
        value={reason}
        maxLength={300}
        onChange={(e) => onChange(e.currentTarget.value)}
        error={said(error, 'override')}
      />
    </div>
  );
}

/** The errors that the self-check found, in the ways of a divided batch as well. */
export function dangers(p: Prediction): string[] {
  const all = [p, ...p.ways.map((w) => w.prediction)].flatMap((one) => one.findings);
  return [...new Set(all.filter((f) => f.severity === 'ERROR').map((f) => f.what))];
}
