import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { inKitchen } from '../test/kitchen';
import { CelsiusInput } from './CelsiusInput';

function Typed({ told }: { told: (c: number | string) => void }) {
  const [celsius, setCelsius] = useState<number | string>(5);
  return (
    <CelsiusInput
      label="Fridge"
      value={celsius}
      onChange={(c) => {
        setCelsius(c);
        told(c);
      }}
    />
  );
}

describe('a temperature', () => {
  it('is typed in °F where the household thinks in it, and told in °C', async () => {
    const told = vi.fn();
    inKitchen(<Typed told={told} />, {}, { fahrenheit: true });
    const field = screen.getByLabelText<HTMLInputElement>('Fridge, °F');
    expect(field.value).toBe('41');
    await userEvent.clear(field);
    await userEvent.type(field, '68.5');
    expect(field.value).toBe('68.5');
    expect(Number(told.mock.lastCall?.[0])).toBeCloseTo(20.2778, 3);
  });

  it('is in °C otherwise', async () => {
    const told = vi.fn();
    inKitchen(<Typed told={told} />, {});
    const field = screen.getByLabelText<HTMLInputElement>('Fridge, °C');
    await userEvent.clear(field);
    expect(told).toHaveBeenLastCalledWith('');
    await userEvent.type(field, '7');
    expect(told).toHaveBeenLastCalledWith(7);
  });
});
