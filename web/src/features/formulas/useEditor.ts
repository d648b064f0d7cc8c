import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, keys, ProblemError, type Formula, type FormulaView } from '../../api/client';
import { dropDraft, loadDraft, saveDraft } from './draft';
import { begin, change, redo, undo, type Line } from './history';

/** How it stands with keeping what is on screen. */
export type Keeping =
  | { state: 'kept' }
  | { state: 'keeping' }
  | { state: 'waiting'; why: string }
  | { state: 'refused'; error: ProblemError }
  | { state: 'elsewhere'; error: ProblemError };

const PAUSE_MS = 500;
const AGAIN_MS = 4000;

/**
 * A formula being changed: undo, redo, and keeping it as it is typed. What the server has not
 * acknowledged stays in this browser too, so that neither a lost line nor a closed tab loses it.
 */
export function useEditor(id: string, view: FormulaView) {
  const client = useQueryClient();
  const [recovered] = useState(() => {
    const left = loadDraft(id);
    return left && JSON.stringify(left.formula) !== JSON.stringify(view.formula)
      ? left.formula
      : undefined;
  });
  const [line, setLine] = useState<Line<Formula>>(() =>
    recovered ? change(begin(view.formula), recovered, '') : begin(view.formula),
  );
  const [tries, setTries] = useState(0);
  const [keeping, setKeeping] = useState<Keeping>({ state: 'kept' });
  const version = useRef(view.version ?? 0);
  const kept = useRef(JSON.stringify(view.formula));
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const busy = useRef(false);
  const newest = useRef(line.present);

  const send = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      // What was changed while a request was on its way goes with the next one.
      while (JSON.stringify(newest.current) !== kept.current) {
        const formula = newest.current;
        setKeeping({ state: 'keeping' });
        const answer = await ask(
          api.PUT('/api/formulas/{id}', {
            params: { path: { id } },
            body: { formula, version: version.current },
          }),
        );
        version.current = answer.version;
        kept.current = JSON.stringify(formula);
      }
      setKeeping({ state: 'kept' });
      dropDraft(id);
      await client.invalidateQueries({ queryKey: keys.formulas, refetchType: 'none' });
    } catch (e) {
      if (!(e instanceof ProblemError)) throw e;
      if (e.offline) {
        setKeeping({ state: 'waiting', why: e.message });
        timer.current = setTimeout(() => setTries((n) => n + 1), AGAIN_MS);
      } else {
        setKeeping({ state: e.problem.status === 409 ? 'elsewhere' : 'refused', error: e });
      }
    } finally {
      busy.current = false;
    }
  }, [client, id]);

  useEffect(() => {
    newest.current = line.present;
    if (JSON.stringify(line.present) === kept.current) return;
    saveDraft(id, line.present, version.current);
    if (keeping.state === 'elsewhere') return;
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void send(), PAUSE_MS);
    // Only a change on screen starts the clock anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [line.present, tries, id, send]);

  // Leaving the page sends at once what the pause still held back.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      void send();
    },
    [send],
  );

  return {
    formula: line.present,
    recovered: recovered !== undefined,
    keeping,
    edit: (next: Formula, about: string) => setLine((l) => change(l, next, about)),
    undo: line.past.length > 0 ? () => setLine((l) => undo(l)) : undefined,
    redo: line.future.length > 0 ? () => setLine((l) => redo(l)) : undefined,
    /** Takes over what was kept elsewhere; what is on screen can be had back by undo. */
    takeTheirs: async () => {
      const theirs = await ask(api.GET('/api/formulas/{id}', { params: { path: { id } } }));
      version.current = theirs.version ?? 0;
      kept.current = JSON.stringify(theirs.formula);
      dropDraft(id);
      setKeeping({ state: 'kept' });
      setLine((l) => change(l, theirs.formula, ''));
    },
    /** Keeps what is on screen over what was kept elsewhere. */
    keepMine: async () => {
      const theirs = await ask(api.GET('/api/formulas/{id}', { params: { path: { id } } }));
      version.current = theirs.version ?? 0;
      setKeeping({ state: 'keeping' });
      await send();
    },
  };
}
