import type { BottleLine, Formula } from '../../api/client';
import { said } from '../../kit/fields';
import type { Format } from '../../kit/format';
import { Choice } from '../../kit/Choice';

interface Props {
  formula: Formula;
  bottles: BottleLine[];
  pours: Record<string, string>;
  error: unknown;
  format: Format;
  onChange: (pours: Record<string, string>) => void;
}

/** The bottle of the shelf behind each brew that this one is made with; its age is inherited. */
export function Pours({ formula, bottles, pours, error, format, onChange }: Props) {
  const brews = formula.ingredients.filter((i) => i.material.startsWith('brew:'));
  if (brews.length === 0) return null;
  return (
    <div className="row end">
      {brews.map((brew) => {
        const of = brew.material.slice('brew:'.length);
        // The same brew first, then whatever else stands there: makers pour what they have.
        const usable = [...bottles].sort(
          (a, b) => Number(b.formulaId === of) - Number(a.formulaId === of),
        );
        const standing = usable.some((b) => b.id === pours[brew.material]);
        return (
          <Choice
            className="field"
            key={brew.key}
            label="Poured from"
            description="Taken from that bottle; its age goes with it."
            placeholder="made fresh beforehand"
            data={usable.map((b) => ({
              value: b.id,
              label: `${b.name}, ${Math.round(b.leftMl)} mL, till ${format.day(b.lastDay)}`,
            }))}
            value={standing ? (pours[brew.material] ?? null) : null}
            onChange={(id) => {
              const rest = Object.fromEntries(
                Object.entries(pours).filter(([material]) => material !== brew.material),
              );
              onChange(id ? { ...rest, [brew.material]: id } : rest);
            }}
            error={said(error, `pours.${brew.material}`)}
          />
        );
      })}
    </div>
  );
}
