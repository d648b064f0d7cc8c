import { TextInput, type TextInputProps } from '@mantine/core';
import { useId, useState } from 'react';
import type { Option } from './Choice';

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'data' | 'list'> {
  data: readonly Option[];
  value: string | null;
  /** Told when a name of the list stands there in full. */
  onChange: (value: string) => void;
}

/** One of a long list, found by typing a part of its name. */
export function Seek({ data, value, onChange, onBlur, ...field }: Props) {
  const list = useId();
  const [typed, setTyped] = useState<string>();
  const chosen = data.find((o) => o.value === value)?.label ?? '';
  const take = (text: string) => {
    const found = data.find((o) => o.label.toLowerCase() === text.trim().toLowerCase());
    setTyped(found ? undefined : text);
    if (found && found.value !== value) onChange(found.value);
  };
  return (
    <>
      <TextInput
        {...field}
        list={list}
        value={typed ?? chosen}
        onFocus={(e) => e.currentTarget.select()}
        onChange={(e) => take(e.currentTarget.value)}
        onBlur={(e) => {
          // What is none of the list is not kept.
          setTyped(undefined);
          onBlur?.(e);
        }}
      />
      <datalist id={list}>
        {data.map((o) => (
          <option key={o.value} value={o.label} />
        ))}
      </datalist>
    </>
  );
}
