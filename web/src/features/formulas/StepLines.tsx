import { useRef, useState } from 'react';
import type { Finding, Formula, ProblemError, Step } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { said } from '../../kit/fields';
import { duration } from '../../kit/format';
import { moved, newStep, withStep } from './draft';
import { STEP_KINDS, stepWords } from './words';
import { StepForm } from './StepForm';
import { stretched, TimeBar } from './TimeBar';
import './formulas.css';
import { WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';

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
                <p key={f.code + f.what} className="caution">
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
      <Choice
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

function details(step: Step, names: Record<string, string>): string {
  const parts: string[] = [];
  if (step.window) parts.push(duration(step.window.usual!));
  if (step.tool) parts.push(WORDS.strainers[step.tool]);
  if (step.container) parts.push(WORDS.containers[step.container]);
  if (step.ingredients?.length) parts.push(step.ingredients.map((k) => names[k] ?? k).join(', '));
  return parts.length ? ` · ${parts.join(' · ')}` : '';
}
