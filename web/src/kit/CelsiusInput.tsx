import { NumberInput, type NumberInputProps } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys, type Household } from '../api/client';
import { fromShown, toShown } from './degrees';

interface Props extends Omit<NumberInputProps, 'value' | 'onChange' | 'label'> {
  /** What is asked for; the unit is put behind it. */
  label: string;
  /** °C; an empty text while nothing is typed. */
  value: number | string;
  /** Told in °C. */
  onChange: (celsius: number | string) => void;
  /** Where no household says so yet. */
  fahrenheit?: boolean;
}

/** A temperature, typed in the household's own unit and handed on in °C. */
export function CelsiusInput({ label, value, onChange, fahrenheit, ...rest }: Props) {
  // Every screen behind the sign-in has the household already; before it there is none to ask.
  const household = useQueryClient().getQueryData<Household>(keys.household);
  const unit = (fahrenheit ?? household?.fahrenheit) ? 'F' : 'C';
  // What is typed stays as it was typed, while the other side gets its exact degrees.
  const [typed, setTyped] = useState<{ unit: string; shown: number | string; celsius: unknown }>();
  const shown =
    typed && typed.unit === unit && typed.celsius === value ? typed.shown : toShown(value, unit);
  return (
    <NumberInput
      {...rest}
      label={label ? `${label}, °${unit}` : `°${unit}`}
      value={shown}
      onChange={(next) => {
        const celsius = fromShown(next, unit);
        setTyped({ unit, shown: next, celsius });
        onChange(celsius);
      }}
    />
  );
}
