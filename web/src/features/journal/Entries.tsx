import { Button } from '@mantine/core';
import type { JournalEntry } from '../../api/client';
import { figure, type Format } from '../../kit/format';
import { WORDS } from '../../kit/words';
import { useJournalChange } from './useJournalChange';

/** What was written down, each with a way to take it away. */
export function Entries({ entries, format }: { entries: JournalEntry[]; format: Format }) {
  const { remove } = useJournalChange();
  return (
    <ul className="entries">
      {entries.map((e) => (
        <li key={e.id}>
          {e.words && <p className="entry-words">{e.words}</p>}
          {e.thickness && <p>Cold it is {WORDS.thicknesses[e.thickness]}.</p>}
          {e.scores.length > 0 && (
            <p className="scores">
              {e.scores.map((s) => (
                <span key={s.criterion}>
                  {WORDS.criteria[s.criterion]} <b>{figure(s.score)}</b>
                </span>
              ))}
            </p>
          )}
          <p className="soft small row">
            {[e.name, format.day(e.day), ...e.beside.map((b) => WORDS.confounders[b])]
              .filter(Boolean)
              .join(' · ')}
            <Button
              variant="subtle"
              size="compact-sm"
              className="no-print"
              onClick={() => remove.mutate(e)}
            >
              Take away
            </Button>
          </p>
        </li>
      ))}
    </ul>
  );
}
