import { NativeSelect, type NativeSelectProps } from '@mantine/core';

export interface Option {
  value: string;
  label: string;
}

interface Props extends Omit<NativeSelectProps, 'value' | 'onChange' | 'data'> {
  data: readonly (Option | string)[];
  /** What is chosen; null for nothing yet. */
  value: string | null;
  /** Told what was chosen; an empty text for the option of the placeholder. */
  onChange: (value: string) => void;
  /** Offered as the first option, for nothing chosen. */
  placeholder?: string;
}

/**
 * One of a list. It is the browser's own list: on a phone it fills the screen, by keys it finds
 * what is typed.
 */
export function Choice({ data, value, onChange, placeholder, ...field }: Props) {
  const all = data.map((o) => (typeof o === 'string' ? { value: o, label: o } : o));
  // Where nothing is chosen yet the browser would show the first option as if it were.
  const blank = placeholder ?? (all.some((o) => o.value === value) ? undefined : '');
  return (
    <NativeSelect
      {...field}
      data={blank === undefined ? all : [{ value: '', label: blank }, ...all]}
      value={value ?? ''}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  );
}
