import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Prediction } from '../../api/client';
import { AgainstWarning } from '../../kit/AgainstWarning';
import { HangsOn } from '../../kit/HangsOn';
import { formatFor } from '../../kit/format';
import { HOUSEHOLD, inKitchen } from '../../test/kitchen';
import { dangers, Deliberate } from './Deliberate';
import { HowSure } from './HowSure';

const FORMAT = formatFor(HOUSEHOLD);

function prediction(part: Partial<Prediction>): Prediction {
  return {
    findings: [],
    ways: [],
    amounts: [],
    landmarks: [],
    influences: [],
    ranges: {},
    alcoholPercent: 0,
    ...part,
  } as unknown as Prediction;
}

const finding = (severity: 'ERROR' | 'NOTE', what: string) =>
  ({ severity, what, why: '', cure: '', code: 'OVER_LIMIT', place: '' }) as never;

describe('how sure it is', () => {
  it('tells every figure with its ends and what moves it most', () => {
    const p = prediction({
      ranges: {
        steam: { low: 80, value: 108, high: 140 },
        ph: { low: 5.2, value: 6.1, high: 7.4 },
        alcohol: { low: 0, value: 0, high: 0 },
        'strength:sage': { low: 50, value: 61, high: 72 },
      },
      amounts: [{ ingredient: 'sage', name: 'Sage leaf, dried' } as never],
      influences: [{ result: 'steam', what: 'Heat of the bubbles' } as never],
    });
    inKitchen(<HowSure prediction={p} format={FORMAT} />, {});
    const text = document.body.textContent;
    expect(text).toContain('Steam: 108 g, between 80 g and 140 g · mostly heat of the bubbles');
    expect(text).toContain('pH: 6.1, between 5.2 and 7.4');
    expect(text).toContain('Strength of sage leaf, dried: 61 %');
    // No spirit, no line about it.
    expect(text).not.toContain('Alcohol');
  });

  it('says nothing where no range was worked out', () => {
    inKitchen(<HowSure prediction={prediction({})} format={FORMAT} />, {});
    expect(screen.queryByText(/How sure/)).toBeNull();
  });

  it('names what a last day hangs on', () => {
    const keeping = {
      hangsOn: { words: 'if the fridge is 7 °C', lastDay: '2030-03-09', useNow: false },
    } as never;
    inKitchen(<HangsOn keeping={keeping} format={FORMAT} />, {});
    expect(document.body.textContent).toContain('If the fridge is 7 °C: Saturday 9 March.');
  });
});

describe('what is dangerous', () => {
  it('asks for a reason where an error was found, in a way of a divided batch too', async () => {
    const way = prediction({ findings: [finding('ERROR', 'Clove makes 5.60 %.')] });
    const p = prediction({ ways: [{ name: 'a', share: 0.5, prediction: way }] as never });
    const typed: string[] = [];
    inKitchen(
      <Deliberate prediction={p} reason="" error={null} onChange={(r) => typed.push(r)} />,
      {},
    );
    expect(dangers(p)).toEqual(['Clove makes 5.60 %.']);
    await userEvent.type(screen.getByLabelText(/Why brew it all the same/), 'x');
    expect(typed).toEqual(['x']);
  });

  it('asks nothing where only a note was found', () => {
    const p = prediction({ findings: [finding('NOTE', 'A little sour.')] });
    inKitchen(<Deliberate prediction={p} reason="" error={null} onChange={() => {}} />, {});
    expect(screen.queryByLabelText(/Why brew/)).toBeNull();
  });

  it('stays visible afterwards', () => {
    inKitchen(
      <AgainstWarning override={{ what: 'Clove makes 5.60 %.', reason: 'tested for years' }} />,
      {},
    );
    expect(document.body.textContent).toContain('Because: tested for years');
  });
});
