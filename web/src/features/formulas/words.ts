import type { Step } from '../../api/client';

/** Kinds of step in the words of a maker, in the order in which they are offered. */
export const STEP_KINDS: { value: string; label: string }[] = [
  { value: 'wash', label: 'Wash' },
  { value: 'prepare', label: 'Prepare' },
  { value: 'combine', label: 'Put together' },
  { value: 'heat', label: 'Heat to the boil' },
  { value: 'boil', label: 'Boil' },
  { value: 'waterBath', label: 'Water bath' },
  { value: 'steep', label: 'Steep' },
  { value: 'soak', label: 'Soak' },
  { value: 'ferment', label: 'Ferment' },
  { value: 'macerate', label: 'Macerate' },
  { value: 'cool', label: 'Cool' },
  { value: 'strain', label: 'Strain' },
  { value: 'blend', label: 'Blend' },
  { value: 'add', label: 'Stir in' },
  { value: 'bottle', label: 'Bottle' },
  { value: 'freeze', label: 'Freeze' },
];

/** A step's kind in a word or two. */
export function stepWords(step: Step): string {
  return STEP_KINDS.find((k) => k.value === step.kind)?.label ?? step.kind;
}

export const TOOLS = [
  { value: 'SIEVE', label: 'sieve' },
  { value: 'CLOTH', label: 'cloth' },
  { value: 'NUT_BAG', label: 'nut-milk bag' },
  { value: 'STOCKING', label: 'stocking' },
  { value: 'FINE_CLOTH', label: 'fine cloth' },
  { value: 'PAPER', label: 'paper filter' },
];

export const CONTAINERS = [
  { value: 'SPRAY', label: 'spray bottle' },
  { value: 'TRIGGER', label: 'trigger bottle' },
  { value: 'APPLICATOR', label: 'applicator bottle' },
  { value: 'JAR', label: 'jar' },
  { value: 'CUBES', label: 'cubes' },
];

export const PURPOSES = [
  { value: 'LEAVE_IN', label: 'leave-in spray' },
  { value: 'RINSE', label: 'rinse' },
  { value: 'PRE_WASH', label: 'pre-wash' },
  { value: 'STYLER', label: 'styler' },
  { value: 'SCALP', label: 'scalp treatment' },
  { value: 'MASK', label: 'mask' },
  { value: 'CONDITIONER', label: 'conditioner' },
  { value: 'OIL', label: 'hair oil' },
];
