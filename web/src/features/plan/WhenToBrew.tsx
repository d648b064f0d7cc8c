import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Plans, type PlanSettings } from '../../api/client';
import { saidElse } from '../../kit/fields';
import { Fold } from '../../kit/Fold';
import { WEEK } from './week';
import type { Planning } from './usePlanning';

/** When there is time to brew, and what room there is. */
export function WhenToBrew({ plans, planning }: { plans: Plans; planning: Planning }) {
  const [settings, setSettings] = useState<PlanSettings>(plans.settings);
  const [off, setOff] = useState('');
  const keep = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/plan/settings', { body: { settings, version: plans.version } })),
    onSuccess: planning.put,
  });
  const on = (day: string) => settings.evenings.find((e) => e.day === day);
  const set = (day: (typeof WEEK)[number]['day'], to?: { from: string; to: string }) =>
    setSettings({
      ...settings,
      evenings: WEEK.flatMap(({ day: each }) => {
        if (each !== day) return settings.evenings.filter((e) => e.day === each);
        return to ? [{ day, ...to }] : [];
      }),
    });
  const wrong = saidElse(keep.error, []);
  return (
    <Fold
      id="when-to-brew"
      title="When there is time"
      says={settings.evenings
        .map((e) => WEEK.find((w) => w.day === e.day)!.words.slice(0, 3))
        .join(', ')}
      wrong={Boolean(keep.error)}
    >
      <div className="free-days">
        {WEEK.map(({ day, words }) => {
          const free = on(day);
          return (
            <div key={day} className="row end">
              <Checkbox
                label={words}
                w={130}
                checked={free !== undefined}
                onChange={(e) =>
                  set(
                    day,
                    e.currentTarget.checked ? { from: '18:30:00', to: '22:30:00' } : undefined,
                  )
                }
              />
              {free && (
                <>
                  <label className="day-field">
                    From
                    <input
                      type="time"
                      value={free.from.slice(0, 5)}
                      onChange={(e) => set(day, { ...free, from: e.currentTarget.value })}
                    />
                  </label>
                  <label className="day-field">
                    To
                    <input
                      type="time"
                      value={free.to.slice(0, 5)}
                      onChange={(e) => set(day, { ...free, to: e.currentTarget.value })}
                    />
                  </label>
                </>
              )}
            </div>
          );
        })}
      </div>
      <div className="row end">
        <label className="day-field">
          Not on
          <input
            type="date"
            value={off}
            min={plans.today}
            onChange={(e) => setOff(e.currentTarget.value)}
          />
        </label>
        <Button
          variant="outline"
          disabled={!off || settings.off.includes(off)}
          onClick={() => setSettings({ ...settings, off: [...settings.off, off].sort() })}
        >
          No time on that day
        </Button>
        {settings.off
          .filter((d) => d >= plans.today)
          .map((d) => (
            <Button
              key={d}
              variant="subtle"
              onClick={() => setSettings({ ...settings, off: settings.off.filter((o) => o !== d) })}
            >
              {d} ✕ <span className="sr">there is time after all</span>
            </Button>
          ))}
      </div>
      <div className="row end">
        <NumberInput
          label="Room in the freezer, mL"
          w={200}
          value={settings.freezerMl}
          min={0}
          onChange={(v) => setSettings({ ...settings, freezerMl: Number(v) })}
        />
        <NumberInput
          label="Room in fridge and bottles, mL"
          w={220}
          value={settings.fridgeMl}
          min={0}
          onChange={(v) => setSettings({ ...settings, fridgeMl: Number(v) })}
        />
        <Button loading={keep.isPending} onClick={() => keep.mutate()}>
          Keep it
        </Button>
      </div>
      {wrong && (
        <p className="trouble" role="alert">
          {wrong}
        </p>
      )}
    </Fold>
  );
}
