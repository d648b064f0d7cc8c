import { NumberInput } from '@mantine/core';
import { said } from '../../kit/fields';
import { capital, options, WORDS } from '../../kit/words';
import { Dial } from './Dial';
import { UNITS, type Draft } from './target';
import { Choice } from '../../kit/Choice';

interface Props {
  draft: Draft;
  plant: string | undefined;
  error: unknown;
  onChange: (part: Partial<Draft>) => void;
}

/** Says how much is wanted, in one of five ways. */
export function TargetForm({ draft, plant, error, onChange }: Props) {
  const field = (
    label: string,
    part: 'count' | 'size' | 'people' | 'uses' | 'perUse',
    ...at: string[]
  ) => (
    <NumberInput
      label={label}
      w={120}
      value={draft[part]}
      onChange={(v) => onChange({ [part]: v })}
      error={said(error, ...at)}
    />
  );
  return (
    <div className="row end">
      <Choice
        label="Measure by"
        w={190}
        value={draft.kind}
        onChange={(kind) => onChange({ kind: kind as Draft['kind'] })}
        data={options(WORDS.targets, capital).filter((t) => plant || t.value !== 'AT_HAND')}
      />
      {draft.kind === 'BOTTLES' && (
        <>
          {field('How many', 'count', 'target.count')}
          {field('Each, mL', 'size', 'target.size.value')}
        </>
      )}
      {draft.kind === 'PEOPLE_USES' && (
        <>
          {field('Heads', 'people', 'target.people')}
          {field('Uses of each', 'uses', 'target.uses')}
          {field('A use, mL', 'perUse', 'target.perUse.value')}
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
          <Choice
            label="Measure"
            w={130}
            data={UNITS}
            value={draft.unit}
            onChange={(unit) => onChange({ unit: unit! })}
          />
        </>
      )}
      {draft.kind === 'AT_HAND' && (
        <div className="grow">
          <Dial
            label={`${plant ?? 'Plant'} at hand, g`}
            value={draft.grams}
            range={[1, 500]}
            step={0.5}
            logarithmic
            onChange={(grams) => onChange({ grams })}
            error={said(error, 'target.amount.value')}
          />
        </div>
      )}
    </div>
  );
}
