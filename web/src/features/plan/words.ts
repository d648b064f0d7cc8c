import type { BrewForm, BrewPlan, PlannedBrew } from '../../api/client';

/** A plan's brews as they are asked about and agreed on. */
export const forms = (plan: BrewPlan): BrewForm[] => plan.brews.map(form);

const form = (b: PlannedBrew): BrewForm => ({
  day: b.day,
  formula: b.formula,
  millilitres: Math.round(b.millilitres),
  pinned: b.pinned,
});

/** The same brews with one of them otherwise; two of one formula on one day become one. */
export function otherwise(brews: BrewForm[], index: number, change: Partial<BrewForm>): BrewForm[] {
  const changed = { ...brews[index]!, ...change };
  const same = (b: BrewForm, i: number) =>
    i !== index && b.day === changed.day && b.formula === changed.formula;
  const beside = brews.filter(same).reduce((sum, b) => sum + b.millilitres, 0);
  return brews
    .map((b, i) =>
      i === index ? { ...changed, millilitres: Math.min(5000, changed.millilitres + beside) } : b,
    )
    .filter((b, i) => !same(b, i));
}

/** So many minutes: "25 min", "2 h 10 min". */
export function minutes(all: number): string {
  const rounded = Math.round(all);
  const hours = Math.floor(rounded / 60);
  if (hours === 0) return `${rounded} min`;
  return rounded % 60 === 0 ? `${hours} h` : `${hours} h ${rounded % 60} min`;
}

/** What another plan does, beside the one before: who goes without, what is thrown away. */
export function beside(now: BrewPlan, before: BrewPlan): string {
  const said: string[] = [];
  const without = now.without.length - before.without.length;
  if (without !== 0) {
    const n = Math.abs(without);
    said.push(
      `${n} ${n === 1 ? 'use goes' : 'uses go'} ${without > 0 ? 'without more' : 'without less'}`,
    );
  }
  const thrown = Math.round(now.thrownMl - before.thrownMl);
  if (thrown !== 0) {
    said.push(`${Math.abs(thrown)} mL ${thrown > 0 ? 'more' : 'less'} thrown away`);
  }
  const hands = Math.round(now.hands - before.hands);
  if (hands !== 0) said.push(`${minutes(Math.abs(hands))} ${hands > 0 ? 'more' : 'less'} of hands`);
  return said.length === 0 ? 'It makes no difference.' : `${said.join(', ')}.`;
}

/** Bands of a plan, as the weeks' line draws them. */
export function bandsOf(plan: BrewPlan) {
  return plan.bands.map((b) => {
    const taken = b.servings.reduce((sum, s) => sum + s.millilitres, 0);
    return {
      id: b.id ?? `planned-${b.brew}`,
      name: b.name,
      brewing: b.id?.startsWith('brew:') ?? false,
      planned: b.brew != null,
      from: b.from,
      lastDay: b.lastDay,
      leftMl: b.millilitres,
      endMl: Math.max(0, b.millilitres - taken),
      frozen: b.frozenMl >= b.millilitres - 0.5,
      serves: b.servings.map((s) => ({ day: s.day, millilitres: s.millilitres })),
    };
  });
}
