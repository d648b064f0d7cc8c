import { useDebouncedValue } from '@mantine/hooks';
import type { components } from '../../api/generated/schema';
import { useState } from 'react';

type Form = components['schemas']['Labels'];
type Sheet = components['schemas']['Sheet'];

/** The first of the labels as the printer will draw it. */
export function LabelSeen({ form, shape, name }: { form: Form; shape: number; name: string }) {
  const [wanted] = useDebouncedValue(
    new URLSearchParams({
      bottle: form.bottles[0]!,
      format: form.format,
      ...(form.name ? { name: form.name } : {}),
    }).toString(),
    250,
  );
  const [failed, setFailed] = useState('');
  return (
    <figure className="label-seen">
      <img
        src={`/api/labels/seen?${wanted}`}
        alt={`The label of ${name} as it will print`}
        style={{ aspectRatio: shape }}
        onError={() => setFailed(wanted)}
      />
      {failed === wanted && (
        <p className="trouble" role="alert">
          It could not be drawn just now.
        </p>
      )}
      <figcaption className="soft small">
        As it will print
        {form.bottles.length > 1 && `; ${form.bottles.length - 1} more like it`}.
      </figcaption>
    </figure>
  );
}

/** The sheet with its places: a touch says at which the labels begin. */
export function StickySheet({
  sheet,
  count,
  skip,
  onSkip,
}: {
  sheet: Sheet;
  count: number;
  skip: number;
  onSkip: (places: number) => void;
}) {
  const places = sheet.columns * sheet.rows;
  const pages = Math.ceil((skip + count) / places);
  return (
    <div role="group" aria-labelledby="begin-at">
      <p id="begin-at">
        <b>Touch the first place that is still free.</b>
      </p>
      <div
        className="sticky-sheet"
        style={{ gridTemplateColumns: `repeat(${sheet.columns}, 1fr)` }}
      >
        {Array.from({ length: places }, (_, i) => {
          const state = i < skip ? 'used' : i < skip + count ? 'printed' : 'free';
          return (
            <button
              key={i}
              type="button"
              data-state={state}
              aria-label={`Place ${i + 1}, ${state}`}
              aria-pressed={i === skip}
              onClick={() => onSkip(i)}
            >
              {state === 'printed' ? i - skip + 1 : ''}
            </button>
          );
        })}
      </div>
      {pages > 1 && <p className="soft small">{pages} sheets.</p>}
    </div>
  );
}
