import type { BottleLine, HistoryLine } from '../../api/client';
import type { Format } from '../../kit/format';

/** What the tag says; its shape and colour say the same. */
export function tagWords(bottle: BottleLine, format: Format, today: string): string {
  if (bottle.freshness === 'OVER') return 'throw away';
  if (bottle.useNow) return 'use now';
  return bottle.freshness === 'LAST_DAY'
    ? 'last day'
    : `till ${format.tagDay(bottle.lastDay, today)}`;
}

/** One thing that happened, as a sentence without its subject. */
export function happened(line: Pick<HistoryLine, 'kind' | 'millilitres' | 'detail'>): string {
  const ml = line.millilitres == null ? '' : `${Math.round(line.millilitres)} mL`;
  switch (line.kind) {
    case 'PLANNED':
      return 'measured out for later';
    case 'STEP_SKIPPED':
      return `left out: ${line.detail}`;
    case 'STEP_EXTENDED':
    case 'COOLING_CHANGED':
      return line.detail.toLowerCase();
    case 'STEP_AGAIN':
      return `once more: ${line.detail.toLowerCase()}`;
    case 'WATER_ADDED':
      return `${ml} of water added: ${line.detail.toLowerCase()}`;
    case 'DIVIDED':
      return `divided into ${line.detail}`;
    case 'STARTED':
      return `started, for ${ml}`;
    case 'STEP_DONE':
      return line.detail.toLowerCase() + (ml ? `, ${ml} measured` : '');
    case 'STEP_UNDONE':
      return `taken back: ${line.detail.toLowerCase()}`;
    case 'LEFT_OUT':
      return `left out, ${line.detail}`;
    case 'MOVED':
      return `moved from ${line.detail}`;
    case 'OPENED':
      return 'opened and touched';
    case 'FROZEN':
      return ml ? `frozen, ${ml} in ${line.detail}` : `frozen, from ${line.detail}`;
    case 'THAWED':
      return 'thawed';
    case 'POURED_OUT':
      return `${ml} poured ${line.detail}`;
    case 'POURED_IN':
      return `${ml} poured in ${line.detail}`;
    case 'SCHOOL_CHANGED':
      return `kept by another school: ${line.detail}`;
    case 'FRIDGE_WARM':
      return line.detail.toLowerCase();
    case 'LEFTOVER':
      return `left over, ${line.detail}`;
    case 'LABELLED':
      return `label printed, ${line.detail}`;
    case 'BOTTLED':
      return `bottled, ${ml} in ${line.detail}`;
    case 'GIVEN_UP':
      return `given up: ${line.detail}`;
    case 'TAKEN':
      return `${ml} used`;
    case 'FINISHED':
      return 'finished';
    case 'DISCARDED':
      return `thrown away, ${ml}: ${line.detail}`;
  }
}
