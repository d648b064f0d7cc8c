import { Select, type ComboboxItem } from '@mantine/core';
import { useState } from 'react';
import type { Props } from './Seek';
import { seek } from './seek';

/** Most that is laid out at once: who needs more types another letter. */
const MOST = 40;

/** One of a long list, found by any word of its name, its kind or its other names. */
export default function SeekList({ data, value, onChange, nothing, ...field }: Props) {
  const [typed, setTyped] = useState<string>();
  const byId = new Map(data.map((o) => [o.value, o]));
  const entries = data.map((o) => ({
    part: '',
    title: o.label,
    text: `${o.beside ?? ''} ${o.also ?? ''}`,
    option: { value: o.value, label: o.label },
  }));
  const shown = value ? byId.get(value)?.label : undefined;
  return (
    <Select
      {...field}
      searchable
      // The labels must be all different: each says its own.
      data={entries.map((e) => e.option)}
      value={value}
      searchValue={typed ?? shown ?? ''}
      onSearchChange={setTyped}
      onChange={(id) => {
        setTyped(undefined);
        if (id && id !== value) onChange(id);
      }}
      onBlur={() => setTyped(undefined)}
      onFocus={(e) => e.currentTarget.select()}
      filter={({ search }): ComboboxItem[] =>
        (search.trim() && search !== shown ? seek(search, entries) : entries)
          .slice(0, MOST)
          .map((e) => e.option)
      }
      allowDeselect={false}
      selectFirstOptionOnChange
      maxDropdownHeight={300}
      nothingFoundMessage={nothing ?? 'Nothing here is called that.'}
      renderOption={({ option }) => (
        <span>
          {option.label}{' '}
          {byId.get(option.value)?.beside && (
            <span className="option-kind">{byId.get(option.value)!.beside}</span>
          )}
        </span>
      )}
    />
  );
}
