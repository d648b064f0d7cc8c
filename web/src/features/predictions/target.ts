import type { Target } from '../../api/client';

/** What the maker has typed on Measure. Numbers stay as typed, right or wrong. */
export interface Draft {
  kind: Target['kind'];
  count: number | string;
  size: number | string;
  ml: number | string;
  unit: string;
  grams: number | string;
  minutes: Record<number, number>;
}

const START: Draft = {
  kind: 'BOTTLES',
  count: 2,
  size: 250,
  ml: 500,
  unit: 'ml',
  grams: 12,
  minutes: {},
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

const NUMBERS = ['no', 'One', 'Two', 'Three', 'Four', 'Five', 'Six'];

/** The target as a sentence. */
export function wantedWords(draft: Draft, plant: string | undefined): string {
  switch (draft.kind) {
    case 'BOTTLES': {
      const n = Number(draft.count);
      return `${NUMBERS[n] ?? draft.count} bottle${n === 1 ? '' : 's'} of ${draft.size} mL`;
    }
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
