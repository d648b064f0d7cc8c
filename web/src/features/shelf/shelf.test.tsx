import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BottleLine, BottleView, FridgeOutcome, Task, Verdict } from '../../api/client';
import { inKitchen, Refused } from '../../test/kitchen';
import { BottlePage } from './BottlePage';
import { FridgePage } from './FridgePage';
import { ShelfPage } from './ShelfPage';

const line = (part: Partial<BottleLine>): BottleLine => ({
  id: '7',
  version: 2,
  batchId: 'b1',
  formulaId: 'lemon-balm-spray',
  code: 'LBS-1',
  number: 1,
  name: 'Lemon balm spray',
  tint: 'A9A14E',
  container: 'SPRAY',
  sizeMl: 250,
  filledMl: 240,
  leftMl: 120,
  place: 'FRIDGE',
  filledAt: '2030-03-02T13:00:00Z',
  lastDay: '2030-03-08',
  useNow: false,
  marked: false,
  freshness: 'GOOD',
  status: 'STANDING',
  ...part,
});

const keeping = (part: Partial<Verdict> = {}): Verdict => ({
  keepingClass: 'INFUSION',
  classWords: 'infusion',
  school: 'CAREFUL',
  lastDay: '2030-03-08',
  useNow: false,
  runsOut: '2030-03-09T07:00:00Z',
  clock: 'BUDGET',
  capEnds: '2030-03-16T13:00:00Z',
  marked: false,
  budgetHours: 168,
  spentHours: 40,
  lostHours: 15,
  spent: [],
  reasons: [
    { code: 'OF_SCHOOL', words: 'The careful school gives it 7 days.', source: 'FDA Food Code' },
  ],
  ...part,
});

const view = (part: Partial<BottleLine> = {}): BottleView => ({
  bottle: line(part),
  code: 'LBS-1',
  formulaId: 'lemon-balm-spray',
  startedAt: '2030-03-02T09:00:00Z',
  now: '2030-03-05T10:00:00Z',
  today: '2030-03-05',
  keeping: keeping(),
  keptBy: { school: 'CAREFUL', cleanWorking: false, schools: ['CAREFUL', 'PRACTICE'] },
  ingredients: ['Water', 'Lemon balm leaf, dried'],
  uses: ['leave-in spray', 'rinse'],
  purposes: ['LEAVE_IN', 'RINSE'] as const,
  cautions: ['Close your eyes when you spray.'],
  stops: ['Mould: furry, spotted, a skin'],
  happenings: [],
  marks: ['Steep, covered took 10 s, less than 2 h. Strength about 21 %.'],
});

const shelf = (bottles: BottleLine[], today: Task[] = []) => ({
  'GET /api/today': today,
  'GET /api/bottles': { today: '2030-03-05', fridgeC: 5, bottles },
  'GET /api/batches/running': [],
  'GET /api/leftovers': [],
});

describe('the shelf', () => {
  it('says first what to do now, what after that, and leads there', async () => {
    const task = (part: Partial<Task>): Task => ({
      kind: 'THROW_AWAY',
      id: 'a',
      thing: 'BOTTLE',
      name: 'Old gel',
      words: 'Throw the old gel away',
      ...part,
    });
    inKitchen(
      <ShelfPage />,
      shelf(
        [
          line({ id: 'a', name: 'Old gel', freshness: 'OVER', lastDay: '2030-03-04' }),
          line({ id: 'b', freshness: 'LAST_DAY', lastDay: '2030-03-05' }),
          line({ id: 'c', name: 'Birch rinse' }),
        ],
        [
          task({}),
          task({
            kind: 'POT_LATER',
            id: 'r',
            thing: 'POT',
            words: 'Linseed gel: has it drawn?',
            at: '2030-03-05T18:40:00Z',
          }),
        ],
      ),
    );
    const first = await screen.findByRole('heading', { level: 1 });
    expect(first).toHaveTextContent('Throw the old gel away');
    expect(within(first).getByRole('link')).toHaveAttribute('href', '/keep/a');
    expect(screen.getByRole('link', { name: 'See it off' })).toHaveAttribute('href', '/keep/a');
    const then = screen.getByRole('link', { name: 'Linseed gel: has it drawn? (at 18:40)' });
    expect(then).toHaveAttribute('href', '/brew/r');
    expect(screen.getByText('throw away')).toBeTruthy();
    expect(screen.getByText('last day')).toBeTruthy();
    expect(screen.getByText('till Fri 8')).toBeTruthy();
  });

  it('puts each bottle on the board of its place', async () => {
    inKitchen(
      <ShelfPage />,
      shelf([
        line({ id: 'a', name: 'Cold one' }),
        line({ id: 'b', name: 'Oil', place: 'ROOM' }),
        line({ id: 'c', name: 'Cubes', place: 'FREEZER', container: 'CUBES' }),
      ]),
    );
    const board = async (name: string) => within(await screen.findByRole('region', { name }));
    expect((await board('In the fridge')).getByText('Cold one')).toBeTruthy();
    expect((await board('In the cupboard')).getByText('Oil')).toBeTruthy();
    expect((await board('In the freezer')).getByText('Cubes')).toBeTruthy();
  });

  it('finds by words, and by what is to be used soon', async () => {
    inKitchen(
      <ShelfPage />,
      shelf(
        [1, 2, 3, 4, 5].map((n) =>
          line({
            id: `b${n}`,
            name: `Brew ${n}`,
            code: `X-${n}`,
            freshness: n === 4 ? 'SOON' : 'GOOD',
          }),
        ),
      ),
    );
    await userEvent.type(await screen.findByLabelText('Find on the shelf'), 'x-2');
    expect(screen.getByText('Brew 2')).toBeTruthy();
    expect(screen.queryByText('Brew 3')).toBeNull();
    await userEvent.clear(screen.getByLabelText('Find on the shelf'));
    await userEvent.click(screen.getByText('To use soon'));
    expect(screen.getByText('Brew 4')).toBeTruthy();
    expect(screen.queryByText('Brew 2')).toBeNull();
    await userEvent.type(screen.getByLabelText('Find on the shelf'), 'nothing such');
    expect(screen.getByText('Nothing on the shelf fits that.')).toBeTruthy();
  });

  it('tells an empty household what to do, and a lost line that it can be tried again', async () => {
    const empty = inKitchen(<ShelfPage />, shelf([]));
    expect(await screen.findByText('The shelf is empty.')).toBeTruthy();
    empty.unmount();
    let tries = 0;
    inKitchen(<ShelfPage />, {
      ...shelf([]),
      'GET /api/bottles': () => {
        if (++tries === 1) throw new Error('no line');
        return { today: '2030-03-05', fridgeC: 5, bottles: [] };
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: /again/i }));
    expect(await screen.findByText('The shelf is empty.')).toBeTruthy();
  });
});

describe('a bottle', () => {
  const answers = { 'GET /api/bottles/7': view(), ...shelf([line({})]) };

  /** A server that keeps what the last change made of the bottle. */
  const changing = (changes: Record<string, BottleView>) => {
    let now = view();
    return {
      ...answers,
      'GET /api/bottles/7': () => now,
      ...Object.fromEntries(
        Object.entries(changes).map(([tap, next]) => [
          `POST /api/bottles/7/${tap}`,
          () => (now = next),
        ]),
      ),
    };
  };

  it('says how long, why, what is in it and what to mind', async () => {
    inKitchen(<BottlePage />, answers);
    expect(await screen.findByText('Last day Friday 8 March')).toBeTruthy();
    expect(screen.getByText('The careful school gives it 7 days.')).toBeTruthy();
    expect(screen.getByText('FDA Food Code')).toBeTruthy();
    expect(screen.getByText('Makers use it as leave-in spray, rinse.')).toBeTruthy();
    expect(screen.getByText('Close your eyes when you spray.')).toBeTruthy();
    expect(screen.getByText(/took 10 s, less than 2 h/)).toBeTruthy();
    expect(screen.getByText(/whatever the day says at: mould/)).toBeTruthy();
  });

  it('takes what is typed as a maker says it, once, and offers to take it back', async () => {
    const { posted } = inKitchen(
      <BottlePage />,
      changing({ take: view({ version: 3, leftMl: 80 }), undo: view({ version: 4 }) }),
    );
    await userEvent.type(await screen.findByLabelText('Take some'), 'a third');
    await userEvent.click(screen.getByRole('button', { name: 'Take' }));
    expect(await screen.findByText('80 mL left')).toBeTruthy();
    expect(posted()[0]).toMatchObject({ body: { version: 2, amount: 'a third' } });
    expect(posted()[0]?.key).toBeTruthy();
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(posted()[1]?.body).toEqual({ version: 3 }));
  });

  it('says what it was used as where its formula suits several things', async () => {
    const { posted } = inKitchen(
      <BottlePage />,
      changing({ take: view({ version: 3, leftMl: 118 }) }),
    );
    await userEvent.click(await screen.findByRole('checkbox', { name: 'rinse' }));
    await userEvent.click(screen.getByRole('button', { name: '10 strokes' }));
    expect(await screen.findByText('118 mL left')).toBeTruthy();
    expect(posted()[0]?.body).toEqual({ version: 2, amount: '10 strokes', purpose: 'RINSE' });
  });

  it('does not ask where it suits one thing alone, and says nothing nobody chose', async () => {
    const one = inKitchen(<BottlePage />, {
      ...answers,
      'GET /api/bottles/7': { ...view(), purposes: ['RINSE'], uses: ['rinse'] },
      'POST /api/bottles/7/take': view({ version: 3 }),
    });
    await userEvent.click(await screen.findByRole('button', { name: '10 strokes' }));
    expect(screen.queryByRole('checkbox', { name: 'rinse' })).toBeNull();
    await waitFor(() => expect(one.posted()[0]?.body).toMatchObject({ purpose: 'RINSE' }));
    one.unmount();
    const several = inKitchen(<BottlePage />, changing({ take: view({ version: 3 }) }));
    await userEvent.click(await screen.findByRole('button', { name: '10 strokes' }));
    await waitFor(() =>
      expect(several.posted()[0]?.body).toEqual({ version: 2, amount: '10 strokes' }),
    );
  });

  it('takes the usual amount with one tap', async () => {
    const { posted } = inKitchen(
      <BottlePage />,
      changing({ take: view({ version: 3, leftMl: 118 }) }),
    );
    await userEvent.click(await screen.findByRole('button', { name: '10 strokes' }));
    expect(await screen.findByText('118 mL left')).toBeTruthy();
    expect(posted()[0]).toMatchObject({ body: { version: 2, amount: '10 strokes' } });
  });

  it('keeps what was typed when it is more than there is', async () => {
    inKitchen(<BottlePage />, {
      ...answers,
      'POST /api/bottles/7/take': new Refused(400, 'Not so.', [
        { field: 'millilitres', message: 'There are 120 mL in it.' },
      ]),
    });
    await userEvent.type(await screen.findByLabelText('Take some'), '900');
    await userEvent.click(screen.getByRole('button', { name: 'Take' }));
    expect(await screen.findByText('There are 120 mL in it.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Take some').value).toBe('900');
  });

  it('shows what an event would do before it is done', async () => {
    const { posted } = inKitchen(<BottlePage />, {
      ...answers,
      'POST /api/bottles/7/what-if': {
        before: keeping(),
        after: keeping({ lastDay: '2030-03-07' }),
      },
    });
    await userEvent.click(await screen.findByText('Left out'));
    expect(await screen.findByText(/Thu 7 Mar/)).toBeTruthy();
    expect(posted().every((s) => s.path.endsWith('what-if'))).toBe(true);
  });

  it('is thrown away with its reason, and can be put back', async () => {
    const gone = view({
      version: 3,
      status: 'DISCARDED',
      endReason: 'MOULD',
      endedAt: '2030-03-05T10:00:00Z',
    });
    const { posted } = inKitchen(
      <BottlePage />,
      changing({ discard: gone, undo: view({ version: 4 }) }),
    );
    await userEvent.click(await screen.findByText('Throw away'));
    await userEvent.click(screen.getByRole('button', { name: 'mould' }));
    await userEvent.click(await screen.findByText('Put it back on the shelf'));
    await waitFor(() =>
      expect(posted().map((s) => s.body)).toEqual([
        { version: 2, reason: 'MOULD', note: '' },
        { version: 3 },
      ]),
    );
  });
});

describe('something happened to the fridge', () => {
  const outcome: FridgeOutcome = {
    words: 'Power cut, 6 h',
    from: '2030-03-05T04:00:00Z',
    to: '2030-03-05T12:00:00Z',
    readings: 0,
    gaps: [],
    left: [],
    bottles: [
      {
        id: '7',
        name: 'Lemon balm spray',
        number: 1,
        before: '2030-03-08',
        after: '2030-03-07',
        useNow: false,
      },
    ],
  };

  it('is seen first and counts only when it is said to have happened', async () => {
    const { posted } = inKitchen(<FridgePage />, {
      'GET /api/fridge': [],
      'POST /api/fridge?look=true': outcome,
      'POST /api/fridge?look=false': { ...outcome, id: 'f1' },
    });
    await userEvent.click(await screen.findByText('See what it does'));
    expect(await screen.findByText('Thu 7 Mar')).toBeTruthy();
    expect(posted()).toHaveLength(1);
    await userEvent.click(screen.getByText('It happened'));
    expect(await screen.findByText('Power cut, 6 h: noted')).toBeTruthy();
    expect(posted()[1]?.body).toMatchObject({ what: 'POWER_CUT', hours: 6 });
  });

  it('is told in the household’s own degrees', async () => {
    const { posted } = inKitchen(
      <FridgePage />,
      { 'GET /api/fridge': [], 'POST /api/fridge?look=true': outcome },
      { fahrenheit: true },
    );
    await userEvent.click(await screen.findByText('It was warm'));
    const degrees = screen.getByLabelText('How warm, °F');
    await userEvent.clear(degrees);
    await userEvent.type(degrees, '50');
    await userEvent.click(screen.getByText('See what it does'));
    await waitFor(() => expect(posted()[0]?.body).toMatchObject({ celsius: 10 }));
  });
});
