import type { Formula, Step } from '../../api/client';

/** Moves an item of a list to another place. */
export function moved<T>(list: T[], from: number, to: number): T[] {
  const next = [...list];
  const [item] = next.splice(from, 1);
  next.splice(Math.max(0, Math.min(next.length, to)), 0, item!);
  return next;
}

export function withStep(formula: Formula, index: number, part: Partial<Step>): Formula {
  return {
    ...formula,
    steps: formula.steps.map((s, i) => (i === index ? { ...s, ...part } : s)),
  };
}

/** A step of a kind with what it needs to be complete, for the formula it goes into. */
export function newStep(kind: string, formula: Formula): Step {
  const all = formula.ingredients.map((i) => i.key);
  const guide = { how: '', cue: '', early: '', late: '' };
  const minutes = (shortest: number, usual: number, longest: number) => ({
    window: { shortest, usual, longest },
  });
  const parts: Record<string, Partial<Step>> = {
    wash: { ingredients: all.slice(0, 1) },
    prepare: { ingredients: [], treatment: 'STERILISE', ...minutes(5, 10, 20) },
    combine: { vessel: 'POT', liquid: 'ROOM', ingredients: all },
    heat: { lid: true, stir: false },
    boil: { level: 'GENTLE', lid: true, stir: false, ...minutes(5, 10, 20) },
    waterBath: minutes(60, 90, 120),
    steep: { lid: true, ...minutes(30, 60, 120) },
    soak: { place: 'FRIDGE', ...minutes(480, 720, 1440) },
    ferment: minutes(1440, 2880, 4320),
    macerate: { shakeEveryDays: 1, ...minutes(20160, 30240, 40320) },
    cool: { celsius: 40, way: 'COUNTER', lid: true },
    strain: { tool: 'CLOTH', squeeze: false },
    blend: minutes(1, 2, 5),
    add: { celsius: 40, ingredients: all.slice(-1) },
    bottle: { container: 'JAR' },
    freeze: { portionMl: 30 },
  };
  return { kind, guide, ...parts[kind] };
}

/** Takes an ingredient out, of every step too; a step that was for it alone goes with it. */
export function withoutIngredient(formula: Formula, key: string): Formula {
  const drop = (steps: Step[]) =>
    steps.flatMap((s) => {
      if (!s.ingredients?.includes(key)) return [s];
      const left = s.ingredients.filter((k) => k !== key);
      return left.length === 0 ? [] : [{ ...s, ingredients: left }];
    });
  return {
    ...formula,
    ingredients: formula.ingredients.filter((i) => i.key !== key),
    steps: drop(formula.steps),
    branches: formula.branches?.map((b) => ({ ...b, steps: drop(b.steps) })),
  };
}

const place = (id: string) => `dremsa.draft.${id}`;

/** What was typed and perhaps not kept yet, in this browser. */
export function loadDraft(id: string): { formula: Formula; version: number } | undefined {
  try {
    const kept = localStorage.getItem(place(id));
    return kept ? (JSON.parse(kept) as { formula: Formula; version: number }) : undefined;
  } catch {
    return undefined;
  }
}

export function saveDraft(id: string, formula: Formula, version: number) {
  try {
    localStorage.setItem(place(id), JSON.stringify({ formula, version }));
  } catch {
    // A full or forbidden store only means that a crash of the browser loses the last second.
  }
}

export function dropDraft(id: string) {
  try {
    localStorage.removeItem(place(id));
  } catch {
    // Nothing was kept there then.
  }
}
