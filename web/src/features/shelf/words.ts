import type { BottleLine, DiscardReason, HistoryLine } from '../../api/client';
import type { Format } from '../../app/format';

/** What the tag says; its shape and colour say the same. */
export function tagWords(bottle: BottleLine, format: Format, today: string): string {
  if (bottle.freshness === 'OVER') return 'throw away';
  if (bottle.useNow) return 'use now';
  return bottle.freshness === 'LAST_DAY'
    ? 'last day'
    : `till ${format.tagDay(bottle.lastDay, today)}`;
}

export const DISCARD_WORDS: Record<DiscardReason, string> = {
  DATE: 'past its day',
  MOULD: 'mould',
  SMELL: 'smell',
  SEPARATED: 'separated',
  DISLIKED: 'did not like it',
  SPILLED: 'spilled',
  OTHER: 'another reason',
};

/** The reason is the first word of a discard's detail; the note follows a colon. */
export function discardWords(detail: string): string {
  const [reason, ...note] = detail.split(': ');
  const words = DISCARD_WORDS[reason as DiscardReason] ?? reason;
  return note.length > 0 ? `${words}: ${note.join(': ')}` : words;
}

/** One thing that happened, as a sentence without its subject. */
export function happened(line: Pick<HistoryLine, 'kind' | 'millilitres' | 'detail'>): string {
  const ml = line.millilitres == null ? '' : `${Math.round(line.millilitres)} mL`;
  switch (line.kind) {
    case 'STARTED':
      return `started, for ${ml}`;
    case 'STEP_DONE':
      return line.detail.toLowerCase() + (ml ? `, ${ml} measured` : '');
    case 'STEP_UNDONE':
      return `taken back: ${line.detail.toLowerCase()}`;
    case 'BOTTLED':
      return `bottled, ${ml} in ${line.detail}`;
    case 'GIVEN_UP':
      return `given up: ${line.detail}`;
    case 'TAKEN':
      return `${ml} used`;
    case 'FINISHED':
      return 'finished';
    case 'DISCARDED':
      return `thrown away, ${ml}: ${discardWords(line.detail)}`;
  }
}
