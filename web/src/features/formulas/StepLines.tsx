import { Button, Checkbox, MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';
import { useRef, useState } from 'react';
import type { Finding, Formula, ProblemError, Step } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said } from '../../kit/fields';
import { duration } from '../../kit/format';
import { moved, newStep, withStep } from './draft';
import { STEP_KINDS, stepWords } from './words';
import './formulas.css';
import { options, WORDS } from '../../kit/words';

interface Props {
  formula: Formula;
  /** Index of the step that is laid open. */
  open: number;
  onOpen: (index: number) => void;
  edit: (next: Formula, about: string) => void;
  findings: Finding[];
  error: ProblemError | undefined;
}

/**
 * The steps in their order. Each is dragged by its grip or moved with Alt and the arrow keys;
 * its usual time is dragged on its bar or moved with the arrow keys.
 */
export function StepLines({ formula, open, onOpen, edit, findings, error }: Props) {
  const [dragged, setDragged] = useState<number | null>(null);
  const [over, setOver] = useState<number | null>(null);
  const list = useRef<HTMLOListElement>(null);
  const materials = useMaterials();
  const names = Object.fromEntries(
    formula.ingredients.map((i) => [
      i.key,
      materials.data?.find((m) => m.id === i.material)?.name ?? i.key,
    ]),
  );
  const move = (from: number, to: number) => {
    if (to < 0 || to >= formula.steps.length || to === from) return;
    edit({ ...formula, steps: moved(formula.steps, from, to) }, '');
    onOpen(to);
  };
  const under = (y: number) => {
    const rows = [...(list.current?.children ?? [])];
    const at = rows.findIndex((r) => y < r.getBoundingClientRect().bottom);
    return at < 0 ? rows.length - 1 : at;
  };
  return (
    <>
      <ol className="step-lines" ref={list}>
        {formula.steps.map((step, i) => {
          const place = `steps[${i}]`;
          const told = findings.filter((f) => f.place === place);
          const wrong = error?.problem.errors?.filter((e) =>
            e.field.startsWith(`formula.${place}`),
          );
          return (
            <li
              key={i}
              className={[
                i === open ? 'open' : '',
                dragged === i ? 'dragged' : '',
                over === i && dragged !== null && dragged !== i ? 'over' : '',
              ].join(' ')}
              onKeyDown={(e) => {
                if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
                e.preventDefault();
                move(i, i + (e.key === 'ArrowDown' ? 1 : -1));
              }}
            >
              <div className="step-head">
                <span
                  className="grip-handle"
                  title="Drag to another place"
                  onPointerDown={(e) => {
                    e.currentTarget.setPointerCapture(e.pointerId);
                    setDragged(i);
                  }}
                  onPointerMove={(e) => dragged !== null && setOver(under(e.clientY))}
                  onPointerUp={(e) => {
                    if (dragged !== null) move(dragged, under(e.clientY));
                    setDragged(null);
                    setOver(null);
                  }}
                  onPointerCancel={() => {
                    setDragged(null);
                    setOver(null);
                  }}
                >
                  ⠿
                </span>
                <button
                  type="button"
                  className="step-open"
                  aria-expanded={i === open}
                  aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
                  onClick={() => onOpen(i === open ? -1 : i)}
                >
                  <b>{i + 1}</b> {stepWords(step)}
                  <span className="soft">{details(step, names)}</span>
                </button>
                {step.window && (
                  <TimeBar
                    step={step}
                    name={`Step ${i + 1}, ${stepWords(step)}: usual minutes`}
                    onUsual={(usual) =>
                      edit(
                        withStep(formula, i, { window: stretched(step.window!, usual) }),
                        `time ${i}`,
                      )
                    }
                  />
                )}
              </div>
              {told.map((f) => (
                <p key={f.code} className="caution">
                  <b>{f.what}</b> {f.cure}
                </p>
              ))}
              {wrong?.map((e) => (
                <p key={e.field} className="trouble" role="alert">
                  {e.message}
                </p>
              ))}
              {i === open && (
                <StepForm
                  step={step}
                  index={i}
                  formula={formula}
                  names={names}
                  edit={edit}
                  error={error}
                  onMove={(by) => move(i, i + by)}
                />
              )}
            </li>
          );
        })}
      </ol>
      {said(error, 'formula.steps') && <p className="trouble">{said(error, 'formula.steps')}</p>}
      <Select
        className="slim"
        label="One more step"
        placeholder="what comes next"
        data={STEP_KINDS}
        value={null}
        onChange={(kind) => {
          if (!kind) return;
          const last = formula.steps.length - 1;
          const ends = ['bottle', 'freeze'].includes(formula.steps[last]?.kind ?? '');
          const at = ends && !['bottle', 'freeze'].includes(kind) ? last : last + 1;
          const steps = [...formula.steps];
          steps.splice(at, 0, newStep(kind, formula));
          edit({ ...formula, steps }, '');
          onOpen(at);
        }}
      />
    </>
  );
}

type Window = NonNullable<Step['window']>;

/** The window with another usual time: the bounds give way where they must. */
function stretched(window: Window, usual: number): Window {
  return {
    shortest: Math.min(window.shortest!, usual),
    usual,
    longest: Math.max(window.longest!, usual),
  };
}

function details(step: Step, names: Record<string, string>): string {
  const parts: string[] = [];
  if (step.window) parts.push(duration(step.window.usual!));
  if (step.tool) parts.push(WORDS.strainers[step.tool]);
  if (step.container) parts.push(WORDS.containers[step.container]);
  if (step.ingredients?.length) parts.push(step.ingredients.map((k) => names[k] ?? k).join(', '));
  return parts.length ? ` · ${parts.join(' · ')}` : '';
}

/** The step's window on a scale of its own; the usual time is dragged or moved by keys. */
function TimeBar({
  step,
  name,
  onUsual,
}: {
  step: Step;
  name: string;
  onUsual: (minutes: number) => void;
}) {
  const { shortest = 0, usual = 0, longest = 0 } = step.window!;
  const bar = useRef<HTMLSpanElement>(null);
  const end = Math.max(longest! * 1.25, 1);
  const pc = (m: number) => `${(100 * Math.min(m, end)) / end}%`;
  const size = end > 2880 ? 1440 : end > 600 ? 60 : end > 60 ? 5 : 1;
  const snap = (m: number) => Math.max(size, Math.round(m / size) * size);
  const dragging = useRef(false);
  const at = (x: number) => {
    const box = bar.current!.getBoundingClientRect();
    return snap(((x - box.left) / box.width) * end);
  };
  return (
    <span className="time-bar" ref={bar}>
      <span
        className="right"
        style={{ left: pc(shortest!), width: `calc(${pc(longest!)} - ${pc(shortest!)})` }}
      />
      <span
        role="slider"
        tabIndex={0}
        aria-label={name}
        aria-valuenow={Math.round(usual!)}
        aria-valuemin={0}
        aria-valuemax={Math.round(end)}
        aria-valuetext={duration(usual!)}
        className="usual"
        style={{ left: pc(usual!) }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          dragging.current = true;
        }}
        onPointerMove={(e) => dragging.current && onUsual(at(e.clientX))}
        onPointerUp={() => {
          dragging.current = false;
        }}
        onKeyDown={(e) => {
          if (e.altKey) return;
          const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
          if (by === 0) return;
          e.preventDefault();
          onUsual(snap(usual! + by * size * (e.shiftKey ? 10 : 1)));
        }}
      />
    </span>
  );
}

function StepForm({
  step,
  index,
  formula,
  names,
  edit,
  error,
  onMove,
}: {
  step: Step;
  index: number;
  formula: Formula;
  names: Record<string, string>;
  edit: Props['edit'];
  error: ProblemError | undefined;
  onMove: (by: number) => void;
}) {
  const set = (part: Partial<Step>, about = '') => edit(withStep(formula, index, part), about);
  const at = `formula.steps[${index}]`;
  const guide = step.guide ?? { how: '', cue: '', early: '', late: '' };
  const takes = ['wash', 'prepare', 'combine', 'add'].includes(step.kind);
  return (
    <div className="step-form">
      <div className="row end">
        {takes && (
          <MultiSelect
            className="field"
            label="Of"
            data={formula.ingredients.map((i) => ({ value: i.key, label: names[i.key] ?? i.key }))}
            value={step.ingredients ?? []}
            onChange={(ingredients) => set({ ingredients })}
            error={said(error, `${at}.ingredients`)}
          />
        )}
        {step.window &&
          (['shortest', 'usual', 'longest'] as const).map((w) => (
            <NumberInput
              key={w}
              label={{ shortest: 'At least, min', usual: 'Usually', longest: 'At most' }[w]}
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
        {step.vessel !== undefined && (
          <Pick
            label="In the"
            value={step.vessel}
            set={(vessel) => set({ vessel: vessel as Step['vessel'] })}
            of={WORDS.vessels}
          />
        )}
        {step.liquid !== undefined && (
          <Pick
            label="Liquid"
            value={step.liquid}
            set={(liquid) => set({ liquid: liquid as Step['liquid'] })}
            of={WORDS.liquids}
          />
        )}
        {step.level !== undefined && (
          <Pick
            label="How"
            value={step.level}
            set={(level) => set({ level: level as Step['level'] })}
            of={WORDS.levels}
          />
        )}
        {step.treatment !== undefined && (
          <Pick
            label="How"
            value={step.treatment}
            set={(treatment) => set({ treatment: treatment as Step['treatment'] })}
            of={WORDS.treatments}
          />
        )}
        {step.place !== undefined && (
          <Pick
            label="Where"
            value={step.place}
            set={(place) => set({ place: place as Step['place'] })}
            of={WORDS.soakPlaces}
          />
        )}
        {step.way !== undefined && (
          <Pick
            label="How"
            value={step.way}
            set={(way) => set({ way: way as Step['way'] })}
            of={WORDS.coolingWays}
          />
        )}
        {step.celsius !== undefined && (
          <CelsiusInput
            label={step.kind === 'add' ? 'Below' : 'To'}
            w={100}
            value={step.celsius}
            onChange={(v) => set({ celsius: Number(v) }, `celsius ${index}`)}
            error={said(error, `${at}.celsius`)}
          />
        )}
        {step.tool !== undefined && (
          <Select
            label="Through"
            w={150}
            data={options(WORDS.strainers)}
            value={step.tool}
            onChange={(tool) => set({ tool: tool as Step['tool'] })}
          />
        )}
        {step.container !== undefined && (
          <Select
            label="Into"
            w={170}
            data={options(WORDS.containers)}
            value={step.container}
            onChange={(container) => set({ container: container as Step['container'] })}
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
        {step.lid !== undefined && (
          <Tick label="covered" value={step.lid} set={(lid) => set({ lid })} />
        )}
        {step.stir !== undefined && (
          <Tick label="stirring" value={step.stir} set={(stir) => set({ stir })} />
        )}
        {step.squeeze !== undefined && (
          <Tick label="squeeze" value={step.squeeze} set={(squeeze) => set({ squeeze })} />
        )}
      </div>
      <div className="guide-fields">
        {(
          [
            ['how', 'How it is done'],
            ['cue', 'Look for'],
            ['early', 'Too soon'],
            ['late', 'Too long'],
          ] as const
        ).map(([part, label]) => (
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

function Pick({
  label,
  value,
  of,
  set,
}: {
  label: string;
  value: string;
  of: Record<string, string>;
  set: (value: string) => void;
}) {
  return (
    <Select
      label={label}
      w={170}
      data={Object.entries(of).map(([v, l]) => ({ value: v, label: l }))}
      value={value}
      onChange={(v) => set(v!)}
    />
  );
}

function Tick({
  label,
  value,
  set,
}: {
  label: string;
  value: boolean;
  set: (value: boolean) => void;
}) {
  return (
    <Checkbox
      className="below"
      size="md"
      label={label}
      checked={value}
      onChange={(e) => set(e.currentTarget.checked)}
    />
  );
}
