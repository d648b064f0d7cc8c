import { Chip, Input } from '@mantine/core';
import type { Option } from './Choice';

interface Props {
  label: string;
  data: readonly Option[];
  value: string[];
  onChange: (value: string[]) => void;
  error?: string;
}

/** Some of a short list, each a tap. */
export function Several({ label, data, value, onChange, error }: Props) {
  return (
    <div role="group" aria-label={label}>
      <Input.Label component="span">{label}</Input.Label>
      <Chip.Group multiple value={value} onChange={onChange}>
        <div className="row">
          {data.map((o) => (
            <Chip key={o.value} value={o.value}>
              {o.label}
            </Chip>
          ))}
        </div>
      </Chip.Group>
      {error && <p className="trouble">{error}</p>}
    </div>
  );
}
