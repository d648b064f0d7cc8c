import { SegmentedControl, TextInput } from '@mantine/core';
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
  /** How long it takes, min; empty until that is known. */
  minutes?: number;
  format: Format;
  error: unknown;
  onChange: (when: When) => void;
}

/** Now, at a time, or so that it is ready by a time. */
export function StartWhen({ when, minutes, format, error, onChange }: Props) {
  const at = when.at ? Date.parse(zonedInstant(when.at, format)) : undefined;
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
      {at !== undefined && minutes !== undefined && when.kind !== 'NOW' && (
        <p className="soft small">
          {when.kind === 'READY'
            ? `It takes about ${duration(minutes)}: begin about ${format.moment(at - minutes * 60_000)}.`
            : `It takes about ${duration(minutes)}: ready about ${format.moment(at + minutes * 60_000)}.`}
        </p>
      )}
    </div>
  );
}
