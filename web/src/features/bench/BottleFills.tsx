import { Button, NumberInput } from '@mantine/core';
import type { Container } from '../../api/client';
import { said } from '../../kit/fields';
import { capital, options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';

export interface Fill {
  container: Container;
  sizeMl: number | string;
  millilitres: number | string;
}

/** What it went into, one line a container. */
export function BottleFills({
  fills,
  error,
  onChange,
}: {
  fills: Fill[];
  error: unknown;
  onChange: (fills: Fill[]) => void;
}) {
  const set = (i: number, part: Partial<Fill>) =>
    onChange(fills.map((f, n) => (n === i ? { ...f, ...part } : f)));
  return (
    <div className="stack">
      {fills.map((fill, i) => (
        <div className="row end" key={i}>
          <Choice
            className="field-s"
            label={`Container ${i + 1}`}
            data={options(WORDS.containers, capital)}
            value={fill.container}
            onChange={(c) => set(i, { container: c as Container })}
          />
          <NumberInput
            label="holds, mL"
            value={fill.sizeMl}
            onChange={(sizeMl) => set(i, { sizeMl })}
            error={said(error, `bottles[${i}].sizeMl`)}
            w={100}
          />
          <NumberInput
            label="filled, mL"
            value={fill.millilitres}
            onChange={(millilitres) => set(i, { millilitres })}
            error={said(error, `bottles[${i}].millilitres`)}
            w={100}
          />
          {fills.length > 1 && (
            <Button
              variant="subtle"
              aria-label={`Leave container ${i + 1} out`}
              onClick={() => onChange(fills.filter((_, n) => n !== i))}
            >
              ✕
            </Button>
          )}
        </div>
      ))}
      <div>
        <Button
          variant="subtle"
          size="compact-md"
          onClick={() => onChange([...fills, { ...fills[fills.length - 1]!, millilitres: '' }])}
        >
          One more container
        </Button>
      </div>
    </div>
  );
}
