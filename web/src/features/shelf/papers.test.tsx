import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen, Refused } from '../../test/kitchen';
import { inWords } from '../predictions/FillInto';
import { HistoryPage } from './HistoryPage';
import { LabelsPage } from './LabelsPage';
import { WastePage } from './WastePage';

const bottle = (id: string, name: string) => ({
  id,
  name,
  number: 1,
  useNow: false,
  lastDay: '2030-03-08',
  marked: false,
  freshness: 'GOOD',
  container: 'SPRAY',
  sizeMl: 250,
  leftMl: 100,
  tint: 'd9cfb0',
});

const shelf = {
  'GET /api/bottles': {
    today: '2030-03-05',
    fridgeC: 5,
    bottles: [
      bottle('a', 'Balm'),
      { ...bottle('b', 'Gel'), marked: true, printedDay: '2030-03-08' },
    ],
  },
  'GET /api/feed': { made: false },
  'GET /api/labels/sheets': [
    { format: 'A4_21', words: '21 on A4', columns: 3, rows: 7, shape: 1.67 },
  ],
};

beforeEach(() => localStorage.clear());

describe('labels', () => {
  it('are seen and printed for what is touched, from the place that is touched', async () => {
    const { posted } = inKitchen(<LabelsPage />, {
      ...shelf,
      'POST /api/labels': new Refused(400, 'Not so.', [{ field: 'name', message: 'Too long.' }]),
    });
    const gel = await screen.findByRole('button', { name: /Gel.*has a label/ });
    expect(gel).toHaveAttribute('aria-pressed', 'false');
    expect(screen.queryByText('Make the PDF')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Balm/ }));
    expect(await screen.findByAltText('The label of Balm as it will print')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Place 3, free' }));
    expect(screen.getByRole('button', { name: 'Place 1, used' })).toBeInTheDocument();
    await userEvent.click(screen.getByText('Make the PDF'));
    expect(await screen.findByText('Too long.')).toBeTruthy();
    const print = posted().filter((s) => s.path === '/api/labels');
    expect(print[0]?.body).toMatchObject({ bottles: ['a'], format: 'A4_21', skip: 2 });
  });

  it('are chosen all at once, but none for what must be thrown away', async () => {
    inKitchen(<LabelsPage />, {
      ...shelf,
      'GET /api/bottles': {
        ...shelf['GET /api/bottles'],
        bottles: [
          ...shelf['GET /api/bottles'].bottles,
          { ...bottle('c', 'Old one'), freshness: 'OVER', lastDay: '2030-03-01' },
        ],
      },
    });
    await userEvent.click(await screen.findByText('All'));
    const touched = within(screen.getByRole('group', { name: 'Which bottles' }));
    expect(touched.getAllByRole('button', { pressed: true })).toHaveLength(2);
    expect(screen.queryByText('Old one')).toBeNull();
    expect(screen.getByText(/One bottle gets no label/)).toBeInTheDocument();
    expect(screen.getByText('Make the PDF of 2')).toBeInTheDocument();
    await userEvent.click(screen.getByText('None'));
    expect(touched.queryAllByRole('button', { pressed: true })).toHaveLength(0);
  });

  it('come with a private address that can be taken back', async () => {
    let made = false;
    const { posted } = inKitchen(<LabelsPage />, {
      ...shelf,
      'GET /api/feed': () => ({ made }),
      'POST /api/feed': () => {
        made = true;
        return { path: '/feed/secret.ics' };
      },
    });
    await userEvent.click(await screen.findByText('Make an address'));
    await waitFor(() => expect(document.body.innerHTML).toContain('/feed/secret.ics'));
    expect(posted()).toHaveLength(1);
  });
});

describe('the record', () => {
  const happening = (id: number, day: string, undone = false) => ({
    id,
    at: `${day}T10:00:00Z`,
    kind: 'TAKEN',
    code: `X-${id}`,
    name: 'Balm',
    millilitres: 20 + id,
    detail: '',
    undone,
    batchId: 'b1',
    bottleId: id === 1 ? 'a' : undefined,
  });

  it('stands by days, and goes on to earlier ones', async () => {
    inKitchen(<HistoryPage />, {
      'GET /api/history?page=0': {
        page: 0,
        more: true,
        lines: [happening(1, '2030-03-05'), happening(2, '2030-03-04', true)],
      },
      'GET /api/history?page=1': { page: 1, more: false, lines: [happening(3, '2030-02-01')] },
    });
    expect(await screen.findByText('Tuesday 5 March')).toBeTruthy();
    expect(screen.queryByText('Monday 4 March')).toBeNull();
    await userEvent.click(screen.getByLabelText('Show what was taken back too'));
    expect(screen.getByText('Monday 4 March')).toBeTruthy();
    expect(screen.getByText('Balm X-1').getAttribute('href')).toBe('/keep/a');
    expect(screen.getByText('Balm X-2').getAttribute('href')).toBe('/brew/b1');
    await userEvent.click(screen.getByText('Earlier'));
    expect(await screen.findByText('Friday 1 February')).toBeTruthy();
    await waitFor(() => expect(screen.queryByText('Earlier')).toBeNull());
  });

  it('of waste says what to change', async () => {
    const month = (name: string, used: number, thrown: number) => ({
      month: name,
      brewedMl: used + thrown,
      usedMl: used,
      thrownMl: thrown,
      thrownShare: thrown / (used + thrown),
      cost: 0,
      reasons: [],
    });
    inKitchen(<WastePage />, {
      'GET /api/waste?months=6': {
        months: [month('2030-02', 300, 100), month('2030-03', 100, 100)],
        brewedMl: 600,
        usedMl: 400,
        thrownMl: 200,
        thrownShare: 1 / 3,
        formulas: [
          {
            formulaId: 'lemon-balm-spray',
            name: 'Lemon balm spray',
            batches: 2,
            brewedMl: 600,
            usedMl: 400,
            thrownMl: 200,
            cost: 3,
            thrownCost: 1,
            reasons: [{ reason: 'DATE', millilitres: 200 }],
            advice: 'Brew about 200 mL.',
          },
        ],
      },
    });
    expect(await screen.findByText('33 % thrown away')).toBeTruthy();
    expect(screen.getByText('25 % away')).toBeTruthy();
    expect(screen.getByText('50 % away')).toBeTruthy();
    expect(screen.getByText(/Brew about 200 mL/)).toBeTruthy();
  });
});

test('containers of a kind are counted', () => {
  const filled = (container: 'SPRAY' | 'JAR', sizeMl: number) => ({
    container,
    sizeMl,
    millilitres: sizeMl,
    owned: true,
  });
  expect(inWords([filled('SPRAY', 250), filled('SPRAY', 250), filled('JAR', 100)])).toBe(
    '2 × spray bottle of 250 mL, a jar of 100 mL',
  );
  expect(inWords([])).toBe('');
});
