import type { Change, Formula, FormulaView, Step, Target } from '../../api/client';
import type { Question } from '../../api/queries';

/** What the brew is to be like, beside its amount. */
export type Likeness = '' | 'RATIO' | 'WHOLE_RATIO' | 'STRENGTH' | 'THICKNESS';

/** What the maker has typed on Measure. Numbers stay as typed, right or wrong. */
export interface Draft {
  kind: Target['kind'];
  count: number | string;
  size: number | string;
  ml: number | string;
  unit: string;
  grams: number | string;
  people: number | string;
  uses: number | string;
  perUse: number | string;
  minutes: Record<number, number>;
  likeness: Likeness;
  like: number | string;
  variant: string;
  /** Choice by school. */
  choices: Record<string, string>;
  /** Cloth of each straining, by the step's place in the formula as it stands. */
  tools: Record<number, NonNullable<Step['tool']>>;
  /** Lid of each step that may have one, by its place in the formula as it stands. */
  lids: Record<number, boolean>;
  /** The bottle poured in, by the material of the formula that it stands for. */
  pours: Record<string, string>;
  clean: boolean;
  shopPrice: number | string;
  shopMl: number | string;
}

const START: Draft = {
  kind: 'BOTTLES',
  count: 2,
  size: 250,
  ml: 500,
  unit: 'ml',
  grams: 12,
  people: 2,
  uses: 4,
  perUse: 20,
  minutes: {},
  likeness: '',
  like: '',
  variant: '',
  choices: {},
  tools: {},
  lids: {},
  pours: {},
  clean: false,
  shopPrice: '',
  shopMl: 250,
};

const place = (formula: string) => `dremsa.measure.${formula}`;

/** The choices made for this formula last time. */
export function loadDraft(formula: string): Draft {
  try {
    return { ...START, ...(JSON.parse(localStorage.getItem(place(formula)) ?? '{}') as object) };
  } catch {
    return START;
  }
}

export function saveDraft(formula: string, draft: Draft) {
  try {
    localStorage.setItem(place(formula), JSON.stringify(draft));
  } catch {
    // A full or forbidden store only means that the choice is not remembered.
  }
}

/** An empty field is sent as zero, so that the server says what it wants there. */
const number = (value: number | string) => Number(value) || 0;

export function draftTarget(draft: Draft, plant: string | undefined): Target {
  switch (draft.kind) {
    case 'BOTTLES':
      return {
        kind: 'BOTTLES',
        count: Math.round(number(draft.count)),
        size: { value: number(draft.size), unit: 'ml' },
      };
    case 'PEOPLE_USES':
      return {
        kind: 'PEOPLE_USES',
        people: Math.round(number(draft.people)),
        uses: Math.round(number(draft.uses)),
        perUse: { value: number(draft.perUse), unit: 'ml' },
      };
    case 'AT_HAND':
      return {
        kind: 'AT_HAND',
        ingredient: plant,
        amount: { value: number(draft.grams), unit: 'g' },
      };
    case 'FULL_POT':
      return { kind: 'FULL_POT' };
    default:
      return { kind: 'VOLUME', amount: { value: number(draft.ml), unit: draft.unit } };
  }
}

/** How many steps of its kind come before a step, counting itself. */
function nth(formula: Formula, index: number): number {
  const kind = formula.steps[index]!.kind;
  return formula.steps.slice(0, index + 1).filter((s) => s.kind === kind).length;
}

function changes(draft: Draft, formula: Formula): Change[] {
  return formula.steps.flatMap((step, i): Change[] => {
    const tool = draft.tools[i] ?? step.tool;
    const lid = draft.lids[i] ?? step.lid;
    if (tool === step.tool && lid === step.lid) return [];
    return [
      {
        kind: 'STEP_INSTEAD',
        at: { kind: step.kind, nth: nth(formula, i) },
        step: { ...step, tool, lid },
      },
    ];
  });
}

/** What is asked of the model, and what is brewed: the same words for both. */
/**
 * @param standing ids of the bottles that stand on the shelf: one that is gone is poured no more
 */
export function draftPlan(
  id: string,
  draft: Draft,
  view: FormulaView,
  standing?: ReadonlySet<string>,
) {
  const made = new Set(view.formula.ingredients.map((i) => i.material));
  const pours = Object.entries(draft.pours).filter(
    ([material, bottle]) => made.has(material) && standing?.has(bottle),
  );
  const plant = view.ingredients.find((i) => i.plant);
  const changed = changes(draft, view.formula);
  const ids = new Set(view.schools.map((s) => s.id));
  const taken = Object.entries(draft.choices).filter(([school]) => ids.has(school));
  return {
    formulaId: id,
    target: draftTarget(draft, plant?.key),
    steps: Object.entries(draft.minutes).map(([index, minutes]) => ({
      index: Number(index),
      minutes,
    })),
    ...(draft.likeness && draft.like !== ''
      ? {
          make: {
            kind: draft.likeness,
            value: number(draft.like),
            ...(draft.likeness === 'THICKNESS' ? {} : { ingredient: plant?.key }),
          },
        }
      : {}),
    ...(view.variants.some((v) => v.id === draft.variant) ? { variant: draft.variant } : {}),
    ...(pours.length > 0 ? { pours: Object.fromEntries(pours) } : {}),
    ...(taken.length > 0 ? { choices: Object.fromEntries(taken) } : {}),
    ...(changed.length > 0 ? { changes: changed } : {}),
  };
}

export function draftQuestion(
  id: string,
  draft: Draft,
  view: FormulaView,
  standing?: ReadonlySet<string>,
): Question {
  return {
    ...draftPlan(id, draft, view, standing),
    cleanWorking: draft.clean,
    ...(Number(draft.shopPrice) > 0 && Number(draft.shopMl) > 0
      ? {
          shopPrice: {
            money: Number(draft.shopPrice),
            amount: { value: Number(draft.shopMl), unit: 'ml' },
          },
        }
      : {}),
  };
}

/** The draft without what was changed about the formula. */
export const asItStands = (draft: Draft): Draft => ({
  ...draft,
  minutes: {},
  likeness: '',
  like: '',
  variant: '',
  choices: {},
  tools: {},
  lids: {},
});

const NUMBERS = ['no', 'One', 'Two', 'Three', 'Four', 'Five', 'Six'];

/** The target as a sentence. */
export function wantedWords(draft: Draft, plant: string | undefined): string {
  switch (draft.kind) {
    case 'BOTTLES': {
      const n = Number(draft.count);
      return `${NUMBERS[n] ?? draft.count} bottle${n === 1 ? '' : 's'} of ${draft.size} mL`;
    }
    case 'PEOPLE_USES':
      return `${draft.uses} uses for ${draft.people} ${Number(draft.people) === 1 ? 'head' : 'heads'}, ${draft.perUse} mL each`;
    case 'AT_HAND':
      return `As much as ${draft.grams} g of ${(plant ?? 'the plant').toLowerCase()} makes`;
    case 'FULL_POT':
      return 'As much as the largest vessel takes';
    default:
      return `${draft.ml} ${UNITS.find((u) => u.value === draft.unit)?.label ?? ''} in the bottle`;
  }
}

export const UNITS = [
  { value: 'ml', label: 'mL' },
  { value: 'l', label: 'L' },
  { value: 'us-floz', label: 'US fl oz' },
  { value: 'us-cup', label: 'US cups' },
  { value: 'uk-floz', label: 'UK fl oz' },
  { value: 'uk-pint', label: 'UK pints' },
];
