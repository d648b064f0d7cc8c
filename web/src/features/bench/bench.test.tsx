import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Run } from '../../api/client';
import { formatFor } from '../../kit/format';
import { HOUSEHOLD, inKitchen, Refused } from '../../test/kitchen';
import { FILLING, inTheSteep, STEEPING } from '../../test/run';
import { DayView } from './DayView';
import { Departures } from './Departures';
import { LogBook } from './LogBook';
import { pendingTaps } from './pending';
import { StepNow, type Report } from './StepNow';
import { useTap } from './useTaps';
import { ProblemError } from '../../api/client';

const format = formatFor(HOUSEHOLD);
const at = (minutes: number) => new Date(inTheSteep(minutes)).toISOString();
const problem = (type: string, detail: string) =>
  new ProblemError({ type: `urn:dremsa:problem:${type}`, title: '', status: 422, detail });

function step(run: Run, now: number, error: unknown = null) {
  const done = vi.fn<(report: Report) => void>();
  const givenUp = vi.fn<(reason: string) => void>();
  const stayed = vi.fn();
  const node = (wrong: unknown) => (
    <StepNow
      run={run}
      now={now}
      format={format}
      busy={false}
      error={wrong}
      onDone={done}
      onStay={stayed}
      onGiveUp={givenUp}
    />
  );
  inKitchen(node(error), {});
  return { done, givenUp, stayed };
}

describe('the step to do now', () => {
  it.each([
    [10, 'early', '1:50:00', 'until it may be right'],
    [150, 'right', '1:30:00', /right; usually done at/],
    [300, 'right', '+1:00:00', /over the usual time/],
    [721, 'late', '+0:01:00', 'late'],
  ])('after %i minutes of a steep is %s', (minutes, state, time, words) => {
    step(STEEPING, inTheSteep(minutes));
    const timer = screen.getByRole('timer');
    expect(timer.getAttribute('data-state')).toBe(state);
    expect(timer.textContent).toBe(time === '+0:01:00' ? '+1:00' : time);
    expect(screen.getByText(words, { selector: 'p' })).toBeTruthy();
  });

  it('leads by its cue, and says whether it was seen', async () => {
    const { done } = step(STEEPING, inTheSteep(200));
    expect(screen.getByText('Steep, covered')).toBeTruthy();
    expect(screen.getByText(/The seeds are swollen/)).toBeTruthy();
    await userEvent.click(screen.getByText('I see it: done'));
    await userEvent.click(screen.getByText('Not seen'));
    expect(done.mock.calls.map(([report]) => report.cueSeen)).toEqual([true, false]);
  });

  it('lets a late tap say when it really was', async () => {
    const { done } = step(STEEPING, inTheSteep(760));
    await userEvent.click(screen.getByText('1 h ago'));
    await userEvent.click(screen.getByText('I see it: done'));
    expect(done.mock.lastCall?.[0].secondsAgo).toBe(3600);
  });

  it('asks back what surprises, and sends it again as sure', async () => {
    const { done } = step(STEEPING, inTheSteep(200), problem('questioned', 'Is that so?'));
    expect(screen.getByText('Is that so?')).toBeTruthy();
    await userEvent.click(screen.getByText('It is right'));
    expect(done.mock.lastCall?.[0].sure).toBe(true);
  });

  it('asks once before it ends too early, and says what that does', async () => {
    const early = problem('early', 'Too early: 10 s of 3 h.');
    early.problem.errors = [
      { field: 'anyway', value: 'strength', message: 'strength: 21 % instead of 96 %' },
    ];
    const { done, stayed } = step(STEEPING, inTheSteep(1), early);
    expect(screen.getByRole('alertdialog').textContent).toContain('21 % instead of 96 %');
    expect(screen.queryByText('I see it: done')).toBeNull();
    await userEvent.click(screen.getByText('Let it go on'));
    expect(stayed).toHaveBeenCalled();
    await userEvent.click(screen.getByText('End it all the same'));
    expect(done.mock.lastCall?.[0].anyway).toBe(true);
  });

  it('says what goes in, how much, and why it is another amount than planned', () => {
    const portion = { ...STEEPING.prediction.amounts[0]!, name: 'Benzoate', grams: 1 };
    const goesIn = [
      { portion, dose: '0.4 % of it', plannedGrams: 1.6, why: 'There are 250 mL.', weighed: false },
    ];
    const steps = STEEPING.prediction.steps.map((s) => ({ ...s, goesIn }));
    step({ ...STEEPING, prediction: { ...STEEPING.prediction, steps } }, inTheSteep(130));
    const list = screen.getByRole('list', { name: 'Goes in now' });
    expect(list.textContent).toMatch(
      /Benzoate1 g.*0\.4 % of it.*Planned: 1\.6 g\. There are 250 mL/,
    );
  });

  it('warns of a hot pot until it is cool enough, and never of a cold one', () => {
    const handling = [
      { what: 'wringing by hand', belowC: 50, instead: 'Press it out.', coolAt: at(60) },
      { what: 'a plastic sieve', belowC: 60, instead: '', coolAt: at(20) },
    ];
    step({ ...STEEPING, handling }, inTheSteep(30));
    const warned = screen.getByText(/too hot for/).parentElement!.textContent;
    expect(warned).toMatch(/wringing by hand: below 50 °C.*Press it out/);
    expect(warned).not.toContain('plastic');
    cleanup();
    step({ ...STEEPING, handling }, inTheSteep(90));
    expect(screen.queryByText(/too hot for/)).toBeNull();
    expect(screen.getByText(/cool enough for wringing by hand and a plastic sieve/)).toBeTruthy();
  });

  it.each([
    ['default', 'Call me'],
    ['denied', 'Put its alarm into your calendar'],
  ])('offers calls at the first timer where the browser says %s', (permission, offered) => {
    vi.stubGlobal('Notification', { permission });
    step(STEEPING, inTheSteep(10));
    expect(screen.getByText(offered)).toBeTruthy();
    vi.unstubAllGlobals();
  });

  it('fills what the model proposed, and says what is to be done first', async () => {
    const { done } = step(FILLING, inTheSteep(250));
    expect(screen.getByText(/All your applicator bottles of 500 mL are taken/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('filled, mL').value).toBe('499');
    await userEvent.click(screen.getByText('Bottled'));
    expect(done.mock.lastCall?.[0].bottles).toEqual([
      { container: 'APPLICATOR', sizeMl: 500, millilitres: 499 },
    ]);
  });

  it('fills otherwise when told so', async () => {
    const { done } = step(FILLING, inTheSteep(250));
    const field = screen.getByLabelText('filled, mL');
    await userEvent.clear(field);
    await userEvent.type(field, '300');
    await userEvent.click(screen.getByText('One more container'));
    await userEvent.type(screen.getAllByLabelText('filled, mL')[1]!, '150');
    await userEvent.click(screen.getByText('Bottled'));
    expect(done.mock.lastCall?.[0].bottles?.map((b) => b.millilitres)).toEqual([300, 150]);
  });

  it('is given up with a reason', async () => {
    const { givenUp } = step(STEEPING, inTheSteep(20));
    await userEvent.click(screen.getByText('Give this brew up'));
    await userEvent.click(screen.getByText('It spilled'));
    expect(givenUp).toHaveBeenCalledWith('It spilled');
  });
});

function Tapping({ node }: { node: (tap: ReturnType<typeof useTap>) => React.ReactNode }) {
  return node(useTap(STEEPING.id));
}

const path = (rest: string) => `POST /api/batches/${STEEPING.id}${rest}`;

describe('otherwise than planned', () => {
  it('gives more time, with its reason', async () => {
    const { posted } = inKitchen(
      <Tapping node={(tap) => <Departures run={STEEPING} tap={tap} />} />,
      { [path('/steps/2/extend')]: STEEPING },
    );
    await userEvent.click(screen.getByText('Otherwise than planned'));
    await userEvent.click(screen.getByText('More time'));
    await userEvent.type(screen.getByLabelText('Why (may stay empty)'), 'still pale');
    await userEvent.click(screen.getByText('Do it'));
    await waitFor(() =>
      expect(posted()[0]?.body).toMatchObject({ minutes: 5, reason: 'still pale' }),
    );
    expect(posted()[0]?.key).toBeTruthy();
  });

  it('pours hot water when it is said to be just boiled', async () => {
    const { posted } = inKitchen(
      <Tapping node={(tap) => <Departures run={STEEPING} tap={tap} />} />,
      { [path('/steps/2/water')]: STEEPING },
    );
    await userEvent.click(screen.getByText('Otherwise than planned'));
    await userEvent.click(screen.getByText('Add water'));
    await userEvent.click(screen.getByText('just boiled'));
    await userEvent.click(screen.getByText('Do it'));
    await waitFor(() => expect(posted()[0]?.body).toMatchObject({ millilitres: 100, celsius: 95 }));
  });

  it('keeps the reason where the server wants one', async () => {
    inKitchen(<Tapping node={(tap) => <Departures run={STEEPING} tap={tap} />} />, {
      [path('/steps/2/skip')]: new Refused(400, 'Not so.', [
        { field: 'reason', message: 'Say why.' },
      ]),
    });
    await userEvent.click(screen.getByText('Otherwise than planned'));
    await userEvent.click(screen.getByText('Leave it out'));
    await userEvent.click(screen.getByText('Leave this step out'));
    expect(await screen.findByText('Say why.')).toBeTruthy();
  });
});

describe('the log', () => {
  const log = (tap: ReturnType<typeof useTap>) => (
    <LogBook run={STEEPING} format={format} tap={tap} />
  );

  it('enters a temperature and empties its field', async () => {
    const { posted } = inKitchen(<Tapping node={log} />, {
      'GET /api/devices': { devices: [] },
      [path('/entries')]: STEEPING,
    });
    await userEvent.type(await screen.findByLabelText('°C'), '55');
    await userEvent.click(screen.getByText('Enter'));
    await waitFor(() =>
      expect(posted()[0]?.body).toMatchObject({ kind: 'TEMPERATURE', amount: 55 }),
    );
  });

  it('keeps an entry on this device while nobody answers', async () => {
    localStorage.clear();
    inKitchen(<Tapping node={log} />, { 'GET /api/devices': { devices: [] } });
    await userEvent.type(await screen.findByLabelText('°C'), '44');
    await userEvent.click(screen.getByText('Enter'));
    await waitFor(() => expect(pendingTaps()).toHaveLength(1));
    expect(pendingTaps()[0]!.body).toMatchObject({ amount: 44 });
    localStorage.clear();
  });
});

describe('a brew by the day', () => {
  const standing: NonNullable<Run['standing']> = {
    day: 3,
    of: 14,
    extractedPercent: 40,
    spentHours: 0,
    fermentNotSour: false,
    throwAway: ['Mould: furry, spotted, a skin'],
    days: [1, 2, 3].map((day) => ({
      day,
      date: `2030-03-0${day}`,
      shakeDue: true,
      shaken: day === 1,
      words: [],
    })),
  };

  it('counts the days on which it was not shaken, and shakes with one tap', async () => {
    const { posted } = inKitchen(
      <Tapping
        node={(tap) => <DayView run={STEEPING} standing={standing} format={format} tap={tap} />}
      />,
      { [path('/entries')]: STEEPING },
    );
    expect(screen.getByText('Day 3 of about 14')).toBeTruthy();
    expect(screen.getByText(/One day was missed/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Shaken' }));
    await waitFor(() => expect(posted()[0]?.body).toMatchObject({ kind: 'SHAKEN' }));
  });

  it('shows how sour a ferment is, by its word', () => {
    inKitchen(
      <Tapping
        node={(tap) => (
          <DayView
            run={STEEPING}
            standing={{ ...standing, stage: 'MILD', stageWords: 'mildly sour', ph: 4.6, days: [] }}
            format={format}
            tap={tap}
          />
        )}
      />,
      {},
    );
    expect(screen.getByText('mild').getAttribute('aria-current')).toBe('step');
    expect(screen.getByText(/about pH 4\.6/)).toBeTruthy();
  });
});
