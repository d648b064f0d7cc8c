import { Button, Checkbox, NumberInput, TextInput } from '@mantine/core';
import type { Formula, ProblemError, Step } from '../../api/client';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Several } from '../../kit/Several';
import { options, WORDS } from '../../kit/words';
import { withStep } from './draft';

interface Props {
  step: Step;
  index: number;
  formula: Formula;
  names: Record<string, string>;
  edit: (next: Formula, about: string) => void;
  error: ProblemError | undefined;
  onMove: (by: number) => void;
}

/** What of a step is one of a list: its field, the label, the list. */
const CHOICES = [
  ['vessel', 'In the', WORDS.vessels],
  ['liquid', 'Liquid', WORDS.liquids],
  ['level', 'How', WORDS.levels],
  ['treatment', 'How', WORDS.treatments],
  ['place', 'Where', WORDS.soakPlaces],
  ['way', 'How', WORDS.coolingWays],
  ['tool', 'Through', WORDS.strainers],
  ['container', 'Into', WORDS.containers],
] as const;

const TICKS = [
  ['lid', 'covered'],
  ['stir', 'stirring'],
  ['squeeze', 'squeeze'],
] as const;

const WINDOW = [
  ['shortest', 'At least, min'],
  ['usual', 'Usually'],
  ['longest', 'At most'],
] as const;

const GUIDE = [
  ['how', 'How it is done'],
  ['cue', 'Look for'],
  ['early', 'Too soon'],
  ['late', 'Too long'],
] as const;

const TAKES = ['wash', 'prepare', 'combine', 'add'];

/** A step laid open: all that can be said of one of its kind. */
export function StepForm({ step, index, formula, names, edit, error, onMove }: Props) {
  const set = (part: Partial<Step>, about = '') => edit(withStep(formula, index, part), about);
  const at = `formula.steps[${index}]`;
  const guide = step.guide ?? { how: '', cue: '', early: '', late: '' };
  return (
    <div className="step-form">
      <div className="row end">
        {TAKES.includes(step.kind) && (
          <Several
            label="Of"
            data={formula.ingredients.map((i) => ({ value: i.key, label: names[i.key] ?? i.key }))}
            value={step.ingredients ?? []}
            onChange={(ingredients) => set({ ingredients })}
            error={said(error, `${at}.ingredients`)}
          />
        )}
        {step.window &&
          WINDOW.map(([w, label]) => (
            <NumberInput
              key={w}
              label={label}
              w={112}
              value={step.window![w] ?? ''}
              onChange={(v) =>
                set(
                  { window: { ...step.window!, [w]: v === '' ? undefined : Number(v) } },
                  `${w} ${index}`,
                )
              }
              error={said(error, `${at}.window.${w}`)}
            />
          ))}
        {CHOICES.map(([field, label, words]) => {
          const value = step[field];
          return value === undefined ? null : (
            <Choice
              key={field}
              label={label}
              w={170}
              data={options<string>(words)}
              value={value}
              onChange={(v) => set({ [field]: v })}
              error={said(error, `${at}.${field}`)}
            />
          );
        })}
        {step.celsius !== undefined && (
          <CelsiusInput
            label={step.kind === 'add' ? 'Below' : 'To'}
            w={100}
            value={step.celsius}
            onChange={(v) => set({ celsius: Number(v) }, `celsius ${index}`)}
            error={said(error, `${at}.celsius`)}
          />
        )}
        {step.portionMl !== undefined && (
          <NumberInput
            label="Portions, mL"
            w={120}
            value={step.portionMl}
            onChange={(v) => set({ portionMl: Number(v) }, `portion ${index}`)}
            error={said(error, `${at}.portionMl`)}
          />
        )}
        {step.shakeEveryDays !== undefined && (
          <NumberInput
            label="Shake every, days"
            w={140}
            value={step.shakeEveryDays}
            onChange={(v) => set({ shakeEveryDays: Number(v) }, `shake ${index}`)}
            error={said(error, `${at}.shakeEveryDays`)}
          />
        )}
        {TICKS.map(([field, label]) => {
          const value = step[field];
          return value === undefined ? null : (
            <Checkbox
              key={field}
              className="below"
              size="md"
              label={label}
              checked={value}
              onChange={(e) => set({ [field]: e.currentTarget.checked })}
            />
          );
        })}
      </div>
      <div className="guide-fields">
        {GUIDE.map(([part, label]) => (
          <TextInput
            key={part}
            label={label}
            value={guide[part] ?? ''}
            onChange={(e) =>
              set({ guide: { ...guide, [part]: e.currentTarget.value } }, `${part} ${index}`)
            }
          />
        ))}
      </div>
      <div className="row">
        <Button variant="subtle" onClick={() => onMove(-1)} disabled={index === 0}>
          ↑ Earlier
        </Button>
        <Button
          variant="subtle"
          onClick={() => onMove(1)}
          disabled={index === formula.steps.length - 1}
        >
          ↓ Later
        </Button>
        <Button
          variant="subtle"
          disabled={formula.steps.length === 1}
          onClick={() =>
            edit({ ...formula, steps: formula.steps.filter((_, i) => i !== index) }, '')
          }
        >
          Take the step out
        </Button>
      </div>
    </div>
  );
}
