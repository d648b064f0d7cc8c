import { NumberInput, TextInput } from '@mantine/core';
import type { Kitchen } from '../../api/client';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { options, WORDS } from '../../kit/words';
import { n, type Part } from './part';
import { PastClimates } from './PastClimates';

/** How warm room, fridge and freezer are, and since when. */
export function ClimatePart({
  form,
  set,
  error,
  since,
  onSince,
}: Part & { since: string; onSince: (day: string) => void }) {
  return (
    <>
      <div className="row end">
        <CelsiusInput
          label="Room"
          w={130}
          value={form.roomC}
          onChange={(v) => set({ roomC: n(v) })}
          error={said(error, 'kitchen.roomC')}
        />
        <CelsiusInput
          label="Fridge"
          w={130}
          value={form.fridgeC}
          onChange={(v) => set({ fridgeC: n(v) })}
          error={said(error, 'kitchen.fridgeC')}
        />
        <CelsiusInput
          label="Freezer"
          w={130}
          value={form.freezerC}
          onChange={(v) => set({ freezerC: n(v) })}
          error={said(error, 'kitchen.freezerC')}
        />
        <TextInput
          type="date"
          label="It has been so since"
          description="today, when left empty"
          w={190}
          value={since}
          onChange={(e) => onSince(e.currentTarget.value)}
          error={said(error, 'climateSince')}
        />
      </div>
      <PastClimates />
    </>
  );
}

/** How high the kitchen lies, and what its water holds. */
export function WaterPart({ form, set, error }: Part) {
  return (
    <>
      <p className="soft small">
        High up water boils cooler; hard water holds acids off. Until you say, a low place and any
        tap water are taken, and the ranges are as wide.
      </p>
      <div className="row end">
        <NumberInput
          label="Above the sea, m"
          placeholder="not said"
          w={150}
          value={form.altitudeM ?? ''}
          onChange={(v) => set({ altitudeM: v === '' ? undefined : n(v) })}
          error={said(error, 'kitchen.altitudeM')}
        />
        <Choice
          label="Tap water"
          w={170}
          data={[{ value: '', label: 'not said' }, ...options(WORDS.waters)]}
          value={form.water ?? ''}
          onChange={(v) =>
            set({ water: (v || undefined) as Kitchen['water'], alkalinityMgL: undefined })
          }
        />
        <NumberInput
          label="or its alkalinity, mg/L"
          description="as CaCO₃, from a water report"
          placeholder="not said"
          w={210}
          value={form.alkalinityMgL ?? ''}
          onChange={(v) => set({ alkalinityMgL: v === '' ? undefined : n(v) })}
          error={said(error, 'kitchen.alkalinityMgL')}
        />
      </div>
    </>
  );
}
