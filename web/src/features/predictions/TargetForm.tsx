import { NumberInput, SegmentedControl, Select } from '@mantine/core';
import { said } from '../../app/fields';
import { UNITS, type Draft } from './target';

interface Props {
  draft: Draft;
  plant: string | undefined;
  error: unknown;
  onChange: (part: Partial<Draft>) => void;
}

/** Says what is wanted, in one of four ways. */
export function TargetForm({ draft, plant, error, onChange }: Props) {
  return (
    <div className="row end">
      <SegmentedControl
        className="grow"
        aria-label="Measure by"
        value={draft.kind}
        onChange={(kind) => onChange({ kind: kind as Draft['kind'] })}
        data={[
          { value: 'BOTTLES', label: 'Bottles' },
          { value: 'VOLUME', label: 'Volume' },
          { value: 'AT_HAND', label: 'Herb at hand' },
          { value: 'FULL_POT', label: 'Full pot' },
        ]}
      />
      {draft.kind === 'BOTTLES' && (
        <>
          <NumberInput
            label="How many"
            w={120}
            value={draft.count}
            onChange={(count) => onChange({ count })}
            error={said(error, 'target.count')}
          />
          <NumberInput
            label="Each, mL"
            w={120}
            value={draft.size}
            onChange={(size) => onChange({ size })}
            error={said(error, 'target.size.value')}
          />
        </>
      )}
      {draft.kind === 'VOLUME' && (
        <>
          <NumberInput
            label="In the bottle"
            w={140}
            value={draft.ml}
            onChange={(ml) => onChange({ ml })}
            error={said(error, 'target.amount.value', 'target.amount.unit')}
          />
          <Select
            label="Measure"
            w={130}
            data={UNITS}
            value={draft.unit}
            onChange={(unit) => onChange({ unit: unit! })}
          />
        </>
      )}
      {draft.kind === 'AT_HAND' && (
        <NumberInput
          label={`${plant ?? 'Plant'}, g`}
          w={260}
          value={draft.grams}
          onChange={(grams) => onChange({ grams })}
          error={said(error, 'target.amount.value')}
        />
      )}
    </div>
  );
}
