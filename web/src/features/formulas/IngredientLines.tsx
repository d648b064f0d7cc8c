import { Button, NumberInput, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import {
  api,
  ask,
  ProblemError,
  type Finding,
  type Formula,
  type Ingredient,
} from '../../api/client';
import type { components } from '../../api/generated/schema';
import { useFormulas, useMaterials } from '../../api/queries';
import { said } from '../../kit/fields';
import { figure } from '../../kit/format';
import { withoutIngredient } from './draft';
import { NotThere } from '../materials/NotThere';
import { sighted } from '../materials/sighted';
import { Trouble } from '../../kit/Trouble';
import { Choice } from '../../kit/Choice';
import { Seek } from '../../kit/Seek';
import './formulas.css';

interface Props {
  formula: Formula;
  edit: (next: Formula, about: string) => void;
  findings: Finding[];
  error: ProblemError | undefined;
}

const MEASURES = [
  { value: 'parts', label: 'parts' },
  { value: 'percent', label: '% of the brew' },
  { value: 'dropsPer100Ml', label: 'drops in 100 mL' },
];
type Measure = 'parts' | 'percent' | 'dropsPer100Ml';

const measureOf = (line: Ingredient): Measure =>
  line.percent != null ? 'percent' : line.dropsPer100Ml != null ? 'dropsPer100Ml' : 'parts';

type Unit = components['schemas']['Remeasured']['unit'];
const UNITS: Record<Measure, Unit> = { parts: 'PARTS', percent: 'PERCENT', dropsPer100Ml: 'DROPS' };

type Asked = { material: string } | { key: string; unit: Unit; grams?: number };

/** What the server answers for the draft: where something belongs, the same in another measure. */
function useDraft(formula: Formula, edit: Props['edit']) {
  return useMutation({
    mutationFn: (asked: Asked) =>
      'material' in asked
        ? ask(api.POST('/api/formulas/with', { body: { formula, ...asked } }))
        : ask(api.POST('/api/formulas/measured', { body: { formula, ...asked } })),
    onSuccess: (changed) => edit({ ...changed, id: formula.id }, ''),
  });
}

/** The ingredients with their proportions; an amount may be typed as a maker says it. */
export function IngredientLines({ formula, edit, findings, error }: Props) {
  const materials = useMaterials();
  const formulas = useFormulas();
  const data = [
    ...(materials.data ?? []).map(sighted),
    ...(formulas.data ?? [])
      .filter((f) => f.id !== formula.id)
      .map((f) => ({ value: `brew:${f.id}`, label: `${f.name}, a brew from the shelf` })),
  ];
  const draft = useDraft(formula, edit);
  const set = (index: number, next: Ingredient, about: string) =>
    edit(
      { ...formula, ingredients: formula.ingredients.map((l, i) => (i === index ? next : l)) },
      about,
    );
  return (
    <section className="sheet" aria-labelledby="ingredients">
      <h2 id="ingredients">What goes in</h2>
      <p className="soft small">
        Parts are weights beside each other: 85 parts to 1000 parts of water is 85 g to a litre.
      </p>
      <ul className="lines above-s">
        {formula.ingredients.map((line, i) => (
          <li key={line.key} className="stack tight">
            <Seek
              aria-label={`Ingredient ${i + 1}`}
              data={data}
              value={line.material}
              onChange={(material) => set(i, { ...line, material }, '')}
              nothing={<NotThere />}
              error={
                said(error, `formula.ingredients[${i}].material`) ??
                findings.find((f) => f.place === `ingredients[${i}]`)?.what
              }
            />
            <Amount
              line={line}
              name={`ingredient ${i + 1}`}
              onChange={(next) => set(i, next, `amount ${line.key}`)}
              onUnit={(unit, grams) => draft.mutate({ key: line.key, unit, grams })}
              error={
                said(error, `formula.ingredients[${i}].${measureOf(line)}`) ??
                said(error, `formula.ingredients[${i}]`) ??
                said(draft.error, `formula.ingredients[${i}]`)
              }
              onRemove={() => edit(withoutIngredient(formula, line.key), '')}
            />
          </li>
        ))}
      </ul>
      {said(error, 'formula.ingredients') && (
        <p className="trouble">{said(error, 'formula.ingredients')}</p>
      )}
      <Seek
        label="One more ingredient"
        description="It goes where its kind belongs, in its own measure; change what you like."
        placeholder="a herb, an oil, a preservative, a brew"
        data={data}
        value={null}
        onChange={(material) => draft.mutate({ material })}
        nothing={<NotThere />}
      />
      <Trouble
        error={draft.error}
        fields={formula.ingredients.map((_, i) => `formula.ingredients[${i}]`)}
      />
    </section>
  );
}

function Amount({
  line,
  name,
  onChange,
  onUnit,
  error,
  onRemove,
}: {
  line: Ingredient;
  name: string;
  onChange: (next: Ingredient) => void;
  onUnit: (unit: Unit, grams?: number) => void;
  error: string | undefined;
  onRemove: () => void;
}) {
  const measure = measureOf(line);
  // What changes multiplied is shown without the crumbs of binary fractions.
  const value = line[measure] == null ? '' : Number(line[measure].toPrecision(6));
  const plain = { key: line.key, material: line.material };
  return (
    <>
      <div className="amount-line">
        <NumberInput
          aria-label={`How much of ${name}`}
          value={value}
          onChange={(v) => onChange({ ...plain, [measure]: v === '' ? 0 : Number(v) })}
          error={error}
        />
        <Choice
          aria-label={`Measure of ${name}`}
          data={MEASURES}
          value={measure}
          onChange={(m) => onUnit(UNITS[m as Measure])}
        />
        <Button variant="subtle" aria-label={`Take ${name} out`} onClick={onRemove}>
          ✕
        </Button>
      </div>
      {measure === 'parts' && !line.material.startsWith('brew:') && (
        <Typed
          line={line}
          onGrams={(grams) => onChange({ ...plain, parts: grams })}
          onDrops={(grams) => onUnit('DROPS', grams)}
        />
      )}
    </>
  );
}

/** An amount as a maker types it, weighed by the server. */
function Typed({
  line,
  onGrams,
  onDrops,
}: {
  line: Ingredient;
  onGrams: (grams: number) => void;
  /** What was counted in drops stays in drops. */
  onDrops: (grams: number) => void;
}) {
  const [text, setText] = useState('');
  const [answer, setAnswer] = useState('');
  const [error, setError] = useState<string>();
  const read = async () => {
    if (!text.trim()) return;
    try {
      const amount = await ask(
        api.GET('/api/amounts', { params: { query: { text, material: line.material } } }),
      );
      setError(amount.slips[0] ? `${amount.slips[0].what} ${amount.slips[0].cure}` : undefined);
      setAnswer(`${amount.read}: ${figure(amount.grams)} g (${amount.beside.join(', ')})`);
      if (amount.slips.some((s) => s.severity === 'ERROR')) return;
      if (amount.drops == null) onGrams(Number(amount.grams.toPrecision(4)));
      else onDrops(amount.grams);
    } catch (e) {
      setError(e instanceof ProblemError ? e.message : 'That could not be read.');
      setAnswer('');
    }
  };
  return (
    <TextInput
      aria-label={`Amount in words`}
      placeholder="or in words: 1 1/2 tbsp, ¼ c, 2 sprigs"
      value={text}
      onChange={(e) => setText(e.currentTarget.value)}
      onBlur={() => void read()}
      onKeyDown={(e) => {
        if (e.key === 'Enter') void read();
      }}
      description={answer || undefined}
      inputWrapperOrder={['input', 'description', 'error']}
      error={error}
    />
  );
}
