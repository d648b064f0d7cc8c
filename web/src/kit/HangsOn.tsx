import type { Prediction } from '../api/client';
import type { Format } from './format';
import { capital } from './words';

type Keeping = Prediction['keeping'];

/** What a last day takes for granted, and the day if it is otherwise. */
export function HangsOn({ keeping, format }: { keeping: Keeping; format: Format }) {
  const on = keeping.hangsOn;
  if (!on) return null;
  return (
    <p className="small">
      <b>{capital(on.words)}:</b> {on.useNow ? 'nothing of it keeps' : format.dayLong(on.lastDay)}.
    </p>
  );
}
