import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type NoteRead, type NoteStretch } from '../../api/client';

/** What was settled by a tap, by the key of the stretch. */
export type Answers = Record<string, string>;

interface Kept {
  text: string;
  answers: Answers;
}

const PLACE = 'dremsa.note';
const NOTHING: Kept = { text: '', answers: {} };

function load(): Kept {
  try {
    return { ...NOTHING, ...(JSON.parse(localStorage.getItem(PLACE) ?? '{}') as object) };
  } catch {
    return NOTHING;
  }
}

function save(kept: Kept) {
  try {
    localStorage.setItem(PLACE, JSON.stringify(kept));
  } catch {
    // A full or forbidden store only means that the note is not there after a reload.
  }
}

/** So long a hand rests between two words, ms. */
const REST = 120;

/** A note as it is typed, what it was read as, and what was settled in it; kept from visit to visit. */
export function useNote() {
  const [note, setNote] = useState(load);
  const change = (next: Kept) => {
    setNote(next);
    save(next);
  };
  const [asked] = useDebouncedValue(note, REST);
  const read = useQuery({
    queryKey: keys.note(asked.text, asked.answers),
    queryFn: async () => ({
      text: asked.text,
      read: await ask(
        api.POST('/api/notes/read', { body: { text: asked.text, answers: asked.answers } }),
      ),
    }),
    enabled: asked.text.trim() !== '',
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  const answer = note.text.trim() === '' ? undefined : read.data;
  return {
    text: note.text,
    answers: note.answers,
    type: (text: string) => change({ ...note, text }),
    settle: (key: string, value: string) =>
      change({ ...note, answers: { ...note.answers, [key]: value } }),
    clear: () => change(NOTHING),
    bringBack: change,
    /** What it was read as; of a moment ago, while an answer is on its way. */
    read: answer?.read,
    /** Where the stretches lie in the text as it stands. */
    stretches: answer ? standing(answer.read, answer.text, note.text) : [],
    /** Whether what is shown is of the text as it stands. */
    fresh: answer?.text === note.text && !read.isPlaceholderData && asked === note,
    error: read.error,
    again: () => void read.refetch(),
  };
}

export type Note = ReturnType<typeof useNote>;

/** The stretches up to where the text was changed since it was read. */
export function standing(read: NoteRead, then: string, now: string): NoteStretch[] {
  if (then === now) return read.stretches;
  let same = 0;
  while (same < then.length && same < now.length && then[same] === now[same]) same++;
  return read.stretches.filter((s) => s.to <= same);
}

/** The stretch at a place in the text. */
export function at(stretches: NoteStretch[], place: number): NoteStretch | undefined {
  return stretches.find((s) => s.from <= place && place <= s.to);
}

/** Those that one tap would settle. */
export const doubtful = (stretches: NoteStretch[]) =>
  stretches.filter((s) => s.certainty === 'GUESS');

/** Where the thing that a stretch is about is drawn. */
export function targetOf(stretch: NoteStretch): string | undefined {
  if (stretch.target < 0) return undefined;
  return stretch.about === 'STEP' ? `step-${stretch.target}` : `line-${stretch.target}`;
}
