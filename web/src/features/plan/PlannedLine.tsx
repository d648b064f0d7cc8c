import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { BrewForm, PlannedBrew, Plans } from '../../api/client';
import type { Format } from '../../kit/format';
import { minutes } from './words';

interface Props {
  brew: PlannedBrew;
  plans: Plans;
  format: Format;
  onChange: (to: Partial<BrewForm>) => void;
  onRemove: () => void;
}

/** One brew of the plan: how much, why, and what can be done with it. */
export function PlannedLine({ brew, plans, format, onChange, onRemove }: Props) {
  const [open, setOpen] = useState(false);
  const [ml, setMl] = useState<number | string>(Math.round(brew.millilitres));
  const amount = Number(ml);
  const fits = amount >= 1 && amount <= 5000;
  return (
    <div>
      <p className="spread">
        <span>
          <Link to={`/choose/${brew.formula}/measure`}>
            {brew.name}, {Math.round(brew.millilitres)} mL
          </Link>{' '}
          <span className="soft small whole">
            {minutes(brew.hands)} of hands
            {brew.pinned && ' · stays'}
          </span>
        </span>
        <Button variant="subtle" aria-expanded={open} onClick={() => setOpen(!open)}>
          Otherwise
        </Button>
      </p>
      {brew.why.slice(0, 1).map((w) => (
        <p key={w} className="soft small">
          {w}
        </p>
      ))}
      {brew.why.length > 1 && (
        <details className="why">
          <summary>Why so</summary>
          <ul>
            {brew.why.slice(1).map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
        </details>
      )}
      {open && (
        <div className="row end sheet">
          <label className="day-field">
            On
            <select value={brew.day} onChange={(e) => onChange({ day: e.currentTarget.value })}>
              {!plans.evenings.some((e) => e.day === brew.day) && (
                <option value={brew.day}>{format.day(brew.day)}</option>
              )}
              {plans.evenings.map((e) => (
                <option key={e.day} value={e.day}>
                  {format.day(e.day)}
                </option>
              ))}
            </select>
          </label>
          <NumberInput
            label="How much, mL"
            w={130}
            value={ml}
            onChange={setMl}
            error={!fits && '1 to 5000 mL.'}
            onBlur={() => {
              if (fits && amount !== Math.round(brew.millilitres)) {
                onChange({ millilitres: amount });
              }
            }}
          />
          <Checkbox
            label="It stays whatever happens"
            checked={brew.pinned}
            onChange={(e) => onChange({ pinned: e.currentTarget.checked })}
          />
          <Button variant="subtle" onClick={onRemove}>
            Do not brew it
          </Button>
        </div>
      )}
    </div>
  );
}
