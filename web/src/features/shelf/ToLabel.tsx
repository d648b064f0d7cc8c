import { Button } from '@mantine/core';
import type { BottleLine } from '../../api/client';
import { useFormat } from '../../kit/format';
import { BottlePicture } from '../../signature/BottlePicture';
import { tagWords } from './words';

interface Props {
  bottles: BottleLine[];
  today: string;
  chosen: string[];
  onChosen: (ids: string[]) => void;
}

/** The bottles that can be labelled, touched where they stand; what must be thrown away cannot. */
export function ToLabel({ bottles, today, chosen, onChosen }: Props) {
  const format = useFormat();
  const good = bottles.filter((b) => b.freshness !== 'OVER');
  const over = bottles.length - good.length;
  const bare = good.filter((b) => !b.printedDay).map((b) => b.id);
  const all = good.length === chosen.length;
  return (
    <>
      <div className="row">
        {bare.length > 0 && (
          <Button variant="outline" onClick={() => onChosen(bare)}>
            All without a label
          </Button>
        )}
        <Button
          variant="subtle"
          onClick={() => onChosen(all ? [] : good.map((b) => b.id))}
          disabled={good.length === 0}
        >
          {all ? 'None' : 'All'}
        </Button>
      </div>
      <div className="to-label" role="group" aria-label="Which bottles">
        {good.map((b) => {
          const on = chosen.includes(b.id);
          return (
            <button
              key={b.id}
              type="button"
              aria-pressed={on}
              onClick={() => onChosen(on ? chosen.filter((id) => id !== b.id) : [...chosen, b.id])}
            >
              <BottlePicture
                container={b.container}
                fill={b.leftMl / b.sizeMl}
                tint={b.tint}
                sizeMl={b.sizeMl}
                scale={0.6}
              />
              <span>
                <b>
                  {b.name}
                  {b.number > 1 ? ` ${b.number}` : ''}
                </b>
                <span className="soft">
                  {tagWords(b, format, today)}
                  {b.printedDay ? ', has a label' : ''}
                </span>
              </span>
            </button>
          );
        })}
      </div>
      {over > 0 && (
        <p className="soft small">
          {over === 1 ? 'One bottle gets' : `${over} bottles get`} no label: what is over is thrown
          away.
        </p>
      )}
    </>
  );
}
