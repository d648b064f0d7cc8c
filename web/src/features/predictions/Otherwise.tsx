import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { FormulaView, Prediction } from '../../api/client';
import { said } from '../../kit/fields';
import { duration } from '../../kit/format';
import { stepWords } from '../formulas/words';
import { Dial } from './Dial';
import { asItStands, type Draft, type Likeness } from './target';
import './predictions.css';
import { options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';

interface Props {
  view: FormulaView;
  draft: Draft;
  prediction: Prediction | undefined;
  error: unknown;
  onChange: (part: Partial<Draft>) => void;
}

/** What is done otherwise this time; the formula stays as it is. */
export function Otherwise(props: Props) {
  const { draft } = props;
  const changed = JSON.stringify(asItStands(draft)) !== JSON.stringify(draft);
  const [open, setOpen] = useState(changed);
  return (
    <details className="otherwise" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        <span className="strong">Otherwise this time</span>{' '}
        <span className="soft small">
          {changed
            ? 'something is changed'
            : 'variant, way of working, minutes, strength, thickness, cloth, lid'}
        </span>
      </summary>
      {open && <Choices {...props} />}
    </details>
  );
}

/** What is asked for each likeness, and how far its dial goes. */
const DIALS: Record<
  Exclude<Likeness, ''>,
  (plant: string) => { label: string; range: [number, number]; step: number }
> = {
  RATIO: (plant) => ({ label: `Liquid to a gram of ${plant}, g`, range: [2, 100], step: 0.5 }),
  WHOLE_RATIO: () => ({
    label: '1 g of all plants together to so many mL',
    range: [2, 100],
    step: 0.5,
  }),
  STRENGTH: () => ({ label: 'Plant for 100 mL, g', range: [0.5, 30], step: 0.1 }),
  THICKNESS: () => ({
    label: 'Thickness when cold, mPa·s (water is 1, a styling gel about 500)',
    range: [5, 3000],
    step: 1,
  }),
};

/** Only laid out when it is open: a drag redraws what is seen. */
function Choices({ view, draft, prediction, error, onChange }: Props) {
  const plant = view.ingredients.find((i) => i.plant);
  const thick = prediction?.thickness != null;
  const water = prediction?.amounts.filter((a) => !a.plant).reduce((sum, a) => sum + a.grams, 0);
  const plantGrams = prediction?.amounts.find((a) => a.ingredient === plant?.key)?.grams;
  const strength = prediction?.strengths.find((s) => s.ingredient === plant?.key)?.gramsPer100Ml;
  const liquidMl = prediction?.amounts
    .filter((a) => !a.plant)
    .reduce((sum, a) => sum + a.millilitres, 0);
  const allPlants = prediction?.amounts.filter((a) => a.plant).reduce((sum, a) => sum + a.grams, 0);
  const begin = (likeness: Likeness) => {
    const now =
      likeness === 'RATIO'
        ? water && plantGrams && water / plantGrams
        : likeness === 'WHOLE_RATIO'
          ? liquidMl && allPlants && liquidMl / allPlants
          : likeness === 'STRENGTH'
            ? strength
            : prediction?.thickness?.cold;
    onChange({ likeness, like: likeness && now ? Number(now.toPrecision(3)) : '' });
  };
  const wrong = said(error, 'make.value', 'make.ingredient');
  const changed = JSON.stringify(asItStands(draft)) !== JSON.stringify(draft);
  return (
    <>
      {changed && (
        <Button variant="subtle" size="compact-md" onClick={() => onChange(asItStands(draft))}>
          As the formula stands
        </Button>
      )}
      <div className="row end">
        {view.variants.length > 0 && (
          <Choice
            className="field-s"
            label="Variant"
            value={draft.variant}
            onChange={(variant) => onChange({ variant: variant! })}
            data={[
              { value: '', label: 'as it stands' },
              ...view.variants.map((v) => ({ value: v.id, label: v.name })),
            ]}
          />
        )}
        {view.schools.map((s) => (
          <Choice
            className="field"
            key={s.id}
            label={s.question}
            value={draft.choices[s.id] ?? ''}
            onChange={(choice) => {
              const others = Object.entries(draft.choices).filter(([id]) => id !== s.id);
              const choices = Object.fromEntries(choice ? [...others, [s.id, choice]] : others);
              onChange({ choices });
            }}
            data={[
              { value: '', label: 'as it stands' },
              ...s.choices.map((c) => ({
                value: c.id,
                label: c.name + (c.ours ? ' (ours)' : ''),
              })),
            ]}
            description={s.choices.find((c) => c.id === draft.choices[s.id])?.says}
            inputWrapperOrder={['label', 'input', 'description']}
          />
        ))}
        {view.formula.steps.map((step, i) =>
          step.tool ? (
            <Choice
              className="field-s"
              key={i}
              label={`Step ${i + 1}: strain through`}
              data={options(WORDS.strainers)}
              value={draft.tools[i] ?? step.tool}
              onChange={(tool) =>
                onChange({ tools: { ...draft.tools, [i]: tool as NonNullable<typeof step.tool> } })
              }
            />
          ) : null,
        )}
        {view.formula.steps.map((step, i) =>
          step.lid !== undefined && step.lid !== null ? (
            <Checkbox
              className="below"
              key={i}
              size="md"
              label={`Step ${i + 1}, ${stepWords(step).toLowerCase()}: lid on`}
              checked={draft.lids[i] ?? step.lid}
              onChange={(e) => onChange({ lids: { ...draft.lids, [i]: e.currentTarget.checked } })}
            />
          ) : null,
        )}
      </div>
      <div className="row end above">
        {prediction?.steps.map((step) =>
          step.window ? (
            <NumberInput
              className="field-s"
              key={step.index}
              label={`Step ${step.index + 1}, ${step.kind}: minutes`}
              description={`usually ${duration(step.window.usual!)}`}
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              value={draft.minutes[step.index] ?? step.window.usual ?? ''}
              onChange={(v) =>
                onChange({ minutes: { ...draft.minutes, [step.index]: Number(v) || 0 } })
              }
              error={said(
                error,
                `steps[${Object.keys(draft.minutes).indexOf(String(step.index))}].minutes`,
              )}
            />
          ) : null,
        )}
      </div>
      <div className="row end above">
        <Choice
          label="Make it"
          w={190}
          value={draft.likeness}
          onChange={(l) => begin(l as Likeness)}
          data={[
            { value: '', label: 'as the formula says' },
            ...options(WORDS.makes).filter((m) => (m.value === 'THICKNESS' ? thick : plant)),
          ]}
          error={draft.likeness ? undefined : wrong}
        />
        {draft.likeness !== '' && (
          <Dial
            {...DIALS[draft.likeness](plant?.name.toLowerCase() ?? 'plant')}
            value={draft.like}
            logarithmic
            onChange={(like) => onChange({ like })}
            error={wrong}
          />
        )}
      </div>
    </>
  );
}
