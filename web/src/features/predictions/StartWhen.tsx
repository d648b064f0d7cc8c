import { SegmentedControl, TextInput } from '@mantine/core';
import type { Prediction } from '../../api/client';
import { said } from '../../kit/fields';
import { duration, type Format } from '../../kit/format';
import { zonedInstant } from '../../kit/when';

/** When the brew shall start, as the maker says it. */
export interface When {
  kind: 'NOW' | 'START' | 'READY';
  /** Local date and time; empty while nothing is said. */
  at: string;
}

/** What is sent of it. */
export function whenBody(when: When, format: Format) {
  if (when.kind === 'NOW' || !when.at) return {};
  const instant = zonedInstant(when.at, format);
  return when.kind === 'START' ? { startAt: instant } : { readyBy: instant };
}

interface Props {
  when: When;
  /** The answer for this time; empty until it is there. */
  plan?: Prediction;
  format: Format;
  error: unknown;
  onChange: (when: When) => void;
}

/** Now, at a time, or so that it is ready by a time. */
export function StartWhen({ when, plan, format, error, onChange }: Props) {
  return (
    <div className="stack tight above-l">
      <SegmentedControl
        fullWidth
        aria-label="When to begin"
        data={[
          { value: 'NOW', label: 'Now' },
          { value: 'START', label: 'Begin at' },
          { value: 'READY', label: 'Ready by' },
        ]}
        value={when.kind}
        onChange={(kind) => onChange({ ...when, kind: kind as When['kind'] })}
      />
      {when.kind !== 'NOW' && (
        <TextInput
          type="datetime-local"
          label={when.kind === 'START' ? 'Begin at' : 'Ready by'}
          value={when.at}
          onChange={(e) => onChange({ ...when, at: e.currentTarget.value })}
          error={said(error, 'startAt', 'readyBy')}
        />
      )}
      {plan?.startsAt && when.at && when.kind !== 'NOW' && (
        <p className="soft small">
          It takes about {duration(plan.totalMinutes)}:{' '}
          {when.kind === 'READY'
            ? `begin about ${format.moment(plan.startsAt)}.`
            : `ready about ${format.moment(plan.bottledAt)}.`}
        </p>
      )}
    </div>
  );
}
