import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen } from '@testing-library/react';
import type { Verdict } from '../api/client';
import { formatFor } from '../kit/format';
import { KeepingBand } from './KeepingBand';
import { WaterAccount } from './WaterAccount';

const water = { in: 545, bottled: 499, held: 31, cloth: 5, steam: 10, apart: 0, unaccounted: 0 };

const show = (node: React.ReactNode) =>
  render(<MantineProvider env="test">{node}</MantineProvider>);

describe('the water account', () => {
  it('says its numbers as text too', () => {
    show(<WaterAccount water={water} bottledMl={500} heldBy="the leaves" />);
    expect(
      screen.getByText(/545 g goes in: 500 mL in the bottles, 31 g held by the leaves/),
    ).toBeTruthy();
  });

  it('can be moved by keys and keeps within its range', () => {
    const wanted = vi.fn();
    show(<WaterAccount water={water} bottledMl={500} heldBy="the leaves" onWanted={wanted} />);
    const edge = screen.getByRole('slider');
    fireEvent.keyDown(edge, { key: 'ArrowUp' });
    expect(wanted).toHaveBeenLastCalledWith(510);
    fireEvent.keyDown(edge, { key: 'ArrowDown', shiftKey: true });
    expect(wanted).toHaveBeenLastCalledWith(400);
    fireEvent.keyDown(edge, { key: 'Home' });
    expect(wanted).toHaveBeenLastCalledWith(10);
  });
});

describe('the keeping band', () => {
  const keeping: Verdict = {
    keepingClass: 'INFUSION',
    classWords: 'infusion',
    school: 'CAREFUL',
    lastDay: '2026-11-29',
    useNow: false,
    runsOut: '2026-11-30T09:00:00Z',
    clock: 'BUDGET',
    capEnds: '2026-12-08T10:00:00Z',
    marked: false,
    budgetHours: 168,
    spentHours: 19,
    lostHours: 15,
    spent: [{ cause: 'Steep, covered', hours: 1.8, spentHours: 17 }],
    reasons: [],
  };

  it('names the last day and what cost most', () => {
    show(
      <KeepingBand
        keeping={keeping}
        bottledAt={Date.parse('2026-11-24T13:00:00Z')}
        format={formatFor(undefined)}
      />,
    );
    expect(screen.getByText('Last day Sunday 29 November.')).toBeTruthy();
    expect(screen.getByText('steep')).toBeTruthy();
    expect(screen.getByText('last day ends')).toBeTruthy();
  });
});
