import { useRef, type RefObject } from 'react';
import type { NoteStretch } from '../../api/client';
import { at, targetOf } from './useNote';

const SAID: Record<NoteStretch['certainty'], string> = {
  READ: 'read',
  GUESS: 'guess',
  UNREAD: 'unread',
};

interface Props {
  text: string;
  stretches: NoteStretch[];
  active: NoteStretch | undefined;
  /** The thing that is looked at on the other side. */
  lit: string | undefined;
  onType: (text: string) => void;
  onTouch: (stretch: NoteStretch | undefined) => void;
  mirror: RefObject<HTMLDivElement | null>;
}

/**
 * The note as it is written. What each word was taken for is drawn under it: a whole line is read, a
 * hatched one is a guess, a struck word is not read.
 */
export function NoteText({ text, stretches, active, lit, onType, onTouch, mirror }: Props) {
  const area = useRef<HTMLTextAreaElement>(null);
  const look = () => onTouch(at(stretches, area.current?.selectionStart ?? -1));
  return (
    <div className="note-paper">
      <div className="note-mirror" aria-hidden="true" ref={mirror}>
        {pieces(text, stretches).map((piece) =>
          piece.stretch ? (
            <span
              key={piece.from}
              className={`note-word ${SAID[piece.stretch.certainty]} ${
                piece.stretch.from === active?.from || (lit && targetOf(piece.stretch) === lit)
                  ? 'lit'
                  : ''
              }`}
              data-from={piece.stretch.from}
            >
              {piece.text}
            </span>
          ) : (
            <span key={piece.from}>{piece.text}</span>
          ),
        )}
        {/* A last empty line has a height only with something in it. */}
        {'\u200b'}
      </div>
      <textarea
        ref={area}
        className="note-area"
        aria-label="The note"
        placeholder={
          'Type or paste it as you have it:\n\n1/4 c linseed, 2 1/2 c water, boil 5 min stirring,\nsqueeze through cloth. Keeps a week in the fridge.'
        }
        value={text}
        maxLength={4000}
        spellCheck={false}
        onChange={(e) => onType(e.currentTarget.value)}
        onClick={look}
        onKeyUp={look}
      />
    </div>
  );
}

interface Piece {
  from: number;
  text: string;
  stretch?: NoteStretch;
}

/** The text in pieces: those that were taken for something, and what stands between. */
export function pieces(text: string, stretches: NoteStretch[]): Piece[] {
  const all: Piece[] = [];
  let end = 0;
  for (const stretch of stretches) {
    if (stretch.from > end) all.push({ from: end, text: text.slice(end, stretch.from) });
    all.push({ from: stretch.from, text: text.slice(stretch.from, stretch.to), stretch });
    end = stretch.to;
  }
  if (end < text.length) all.push({ from: end, text: text.slice(end) });
  return all;
}
