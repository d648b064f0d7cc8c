import { TextInput, type SelectProps } from '@mantine/core';
import { lazy, Suspense, type ReactNode } from 'react';
import type { Option } from './Choice';

/** An option that is also found by what it is and by its other names. */
export interface Sighted extends Option {
  /** Shown small beside the name, such as its kind. */
  beside?: string;
  /** Further words that it is found by. */
  also?: string;
}

export interface Props extends Omit<SelectProps, 'value' | 'onChange' | 'data' | 'filter'> {
  data: readonly Sighted[];
  value: string | null;
  onChange: (value: string) => void;
  /** Said, or offered, where nothing is found. */
  nothing?: ReactNode;
}

const SeekList = lazy(() => import('./SeekList'));

/** One of a long list; the list comes after the page around it is drawn. */
export function Seek(props: Props) {
  return (
    <Suspense
      fallback={
        <TextInput
          label={props.label}
          aria-label={props['aria-label']}
          description={props.description}
          value={props.data.find((o) => o.value === props.value)?.label ?? ''}
          disabled
        />
      }
    >
      <SeekList {...props} />
    </Suspense>
  );
}
