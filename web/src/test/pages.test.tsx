import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { NewHousehold } from '../features/accounts/NewHousehold';
import { BenchPage } from '../features/bench/BenchPage';
import { CardPage } from '../features/formulas/CardPage';
import { EditorPage } from '../features/formulas/EditorPage';
import { FormulaPage } from '../features/formulas/FormulaPage';
import { FormulasPage } from '../features/formulas/FormulasPage';
import { NewFormulaPage } from '../features/formulas/NewFormulaPage';
import { TakeInPage } from '../features/formulas/TakeInPage';
import { HandbookPage } from '../features/handbook/HandbookPage';
import { KitchenPage } from '../features/kitchens/KitchenPage';
import { MaterialsPage } from '../features/materials/MaterialsPage';
import { CausesPage } from '../features/faults/CausesPage';
import { CoursesPage } from '../features/journal/CoursesPage';
import { JournalPages } from '../features/journal/JournalPages';
import { PracticePage } from '../features/practice/PracticePage';
import { PracticesPage } from '../features/practice/PracticesPage';
import { BrewDayPage } from '../features/plan/BrewDayPage';
import { PeoplePage } from '../features/people/PeoplePage';
import { PersonPage } from '../features/people/PersonPage';
import { MeasurePage } from '../features/predictions/MeasurePage';
import { FridgePage } from '../features/shelf/FridgePage';
import { HistoryPage } from '../features/shelf/HistoryPage';
import { LabelsPage } from '../features/shelf/LabelsPage';
import { ShelfPage } from '../features/shelf/ShelfPage';
import { WastePage } from '../features/shelf/WastePage';
import { StoresPage } from '../features/stores/StoresPage';
import { TrayPage } from '../features/tray/TrayPage';
import { SheetPage } from '../features/washdays/SheetPage';
import { WeeksPage } from '../features/washdays/WeeksPage';
import recorded from './answers.json';
import { inKitchen, Refused, type Answers, type Sent } from './kitchen';

/** What the server of the demo kitchen answered, long lists cut short. */
const DEMO: Answers = {
  ...recorded,
  'GET /api/formulas/7': recorded['GET /api/formulas/linseed-gel'],
  'POST /api/stores/check': { lines: [], nothing: true },
  'GET /api/batches/7': new Refused(404, 'There is no such batch.'),
};

const OWN = { ...recorded['GET /api/formulas/linseed-gel'], own: true, version: 3 };

interface Page {
  name: string;
  node: ReactNode;
  /** The answer without which it shows nothing. */
  needs?: string;
  /** What stands there when all is there. */
  full: RegExp;
  /** Where the demo kitchen has another answer for it. */
  has?: Answers;
  /** The same answer of a household that has nothing yet, and what is said then. */
  empty?: [answer: unknown, said: RegExp];
}

const PAGES: Page[] = [
  {
    name: 'the formulas',
    node: <FormulasPage />,
    needs: 'GET /api/formulas',
    full: /Linseed styling gel/,
  },
  {
    name: 'a formula',
    node: <FormulaPage />,
    needs: 'GET /api/formulas/7',
    full: /Linseed styling gel/,
  },
  {
    name: "a formula's card",
    node: <CardPage />,
    needs: 'GET /api/formulas/7',
    full: /Linseed styling gel/,
  },
  {
    name: 'the editor',
    node: <EditorPage />,
    needs: 'GET /api/formulas/7',
    full: /Self-check/,
    has: { 'GET /api/formulas/7': OWN },
  },
  {
    name: 'the beginning of a formula',
    node: <NewFormulaPage />,
    needs: 'GET /api/methods',
    full: /pick the method/,
  },
  {
    name: 'the materials',
    node: <MaterialsPage />,
    needs: 'GET /api/materials',
    full: /Write one of our own down/,
  },
  { name: 'taking in', node: <TakeInPage />, full: /Take formulas in/ },
  {
    name: 'Measure',
    node: <MeasurePage />,
    needs: 'GET /api/formulas/7',
    full: /Two bottles of 250 mL/,
  },
  {
    name: 'the stores',
    node: <StoresPage />,
    needs: 'GET /api/stores',
    full: /To get/,
    empty: [{ today: '2030-03-05', month: 3, materials: [], season: [] }, /The stores are empty/],
  },
  {
    name: 'the bench',
    node: <BenchPage />,
    needs: 'GET /api/batches/running',
    full: /Fennel-seed rinse/,
  },
  {
    name: 'the shelf',
    node: <ShelfPage />,
    needs: 'GET /api/bottles',
    full: /Nettle powder scalp spray/,
    empty: [{ today: '2030-03-05', fridgeC: 5, bottles: [] }, /The shelf is empty/],
  },
  {
    name: 'the history',
    node: <HistoryPage />,
    needs: 'GET /api/history?page=0',
    full: /Everything that happened|History/i,
    empty: [{ lines: [], page: 0, more: false }, /Nothing has happened yet/],
  },
  {
    name: 'the waste',
    node: <WastePage />,
    needs: 'GET /api/waste?months=6',
    full: /By formula/,
    empty: [
      {
        months: [],
        formulas: [],
        brewedMl: 0,
        usedMl: 0,
        thrownMl: 0,
        thrownShare: 0,
      },
      /Nothing was bottled in this time/,
    ],
  },
  { name: 'the fridge', node: <FridgePage />, full: /Power cut/ },
  { name: 'the labels', node: <LabelsPage />, needs: 'GET /api/bottles', full: /Labels/ },
  {
    name: 'the tray',
    node: <TrayPage />,
    needs: 'GET /api/messages?page=0',
    full: /The tray/,
  },
  {
    name: 'the handbook',
    node: <HandbookPage />,
    needs: 'GET /api/handbook',
    full: /Handbook|handbook/,
  },
  {
    name: 'the kitchen',
    node: <KitchenPage />,
    needs: 'GET /api/kitchen',
    full: /Pots, bowls and jars/,
  },
  {
    name: 'the weeks of a household that plans nothing',
    node: <WeeksPage />,
    needs: 'GET /api/weeks?days=21',
    full: /Nothing is due in these weeks|What will be short/,
    has: { 'GET /api/plan': new Refused(503, 'Busy.') },
  },
  {
    name: 'an evening of brews',
    node: <BrewDayPage />,
    needs: 'GET /api/plan/days/7',
    full: /To fetch/,
  },
  {
    name: 'the weeks',
    node: <WeeksPage />,
    needs: 'GET /api/weeks?days=21',
    full: /What will be short/,
    has: { 'GET /api/people': recorded['GET /api/people'] },
  },
  {
    name: 'the wash day',
    node: <SheetPage />,
    needs: 'GET /api/weeks?days=28',
    full: /In this order/,
  },
  {
    name: 'the people',
    node: <PeoplePage />,
    needs: 'GET /api/people',
    full: /Tully/,
    empty: [{ today: '2030-03-05', people: [] }, /Nobody has a page yet/],
  },
  {
    name: 'a person',
    node: <PersonPage />,
    needs: 'GET /api/people/7',
    full: /What this head bears now/,
  },
  {
    name: 'the journal',
    node: <JournalPages />,
    needs: 'GET /api/journal',
    full: /Write something down/,
    empty: [
      { ...recorded['GET /api/journal'], pages: [] },
      /Nothing was brewed, used or written down here/,
    ],
  },
  { name: 'what went wrong', node: <CausesPage />, full: /Too thin/ },
  {
    name: 'courses',
    node: <CoursesPage />,
    needs: 'GET /api/courses',
    full: /Birch and sage decoction, Idris/,
    empty: [{ today: '2026-11-27', courses: [] }, /Begin a course/],
  },
  {
    name: 'practice',
    node: <PracticesPage />,
    needs: 'GET /api/practices',
    full: /Off the hob too soon/,
  },
  {
    name: 'a practised pot',
    node: <PracticePage />,
    needs: 'GET /api/practices/7',
    full: /Stir to the bottom/,
  },
  { name: 'a new household', node: <NewHousehold />, full: /household/i },
];

const NEVER = () => new Promise(() => undefined);

describe.each(PAGES)('$name', ({ node, needs, full, has, empty }) => {
  it('is drawn with what the demo kitchen has', async () => {
    inKitchen(node, { ...DEMO, ...has });
    expect((await screen.findAllByText(full)).length).toBeGreaterThan(0);
    expect(screen.queryByText('That did not come')).toBeNull();
    expect(document.querySelector('main')).not.toBeNull();
    // One thing above all others says where one is.
    expect(document.querySelectorAll('main h1').length).toBeLessThanOrEqual(1);
  });

  it.runIf(needs)('says that it waits', async () => {
    inKitchen(node, { ...DEMO, [needs!]: NEVER });
    expect((await screen.findAllByText(/One moment/)).length).toBeGreaterThan(0);
  });

  it.runIf(needs)('says what went wrong', async () => {
    inKitchen(node, { ...DEMO, [needs!]: new Refused(500, 'The cellar is flooded.') });
    expect((await screen.findAllByText(/The cellar is flooded/)).length).toBeGreaterThan(0);
    expect(document.querySelectorAll('main')).toHaveLength(1);
  });

  it.runIf(empty)('says what to do where nothing is yet', async () => {
    inKitchen(node, { ...DEMO, [needs!]: empty![0] });
    expect((await screen.findAllByText(empty![1])).length).toBeGreaterThan(0);
  });
});

describe('the way through a screen', () => {
  it('finds formulas by what is typed', async () => {
    inKitchen(<FormulasPage />, DEMO);
    await userEvent.type(await screen.findByLabelText('Find'), 'fennel');
    expect(screen.getByText('Fennel-seed rinse')).toBeTruthy();
    expect(screen.queryByText('Linseed styling gel')).toBeNull();
    await userEvent.type(screen.getByLabelText('Find'), ' and nothing such');
    expect(screen.getByText('Nothing answers all of that')).toBeTruthy();
  });

  it('says no more of an ingredient once the formula is changed', async () => {
    const finding = (what: string) => ({
      code: 'ADDED_TOO_HOT',
      severity: 'ERROR',
      place: 'steps[6]',
      what,
      why: 'Heat drives it off.',
      cure: 'Let it cool.',
    });
    const plan = recorded['POST /api/predictions'];
    inKitchen(<EditorPage />, {
      ...DEMO,
      'GET /api/formulas/7': OWN,
      'PUT /api/formulas/7': (sent: Sent) => ({ ...OWN, ...(sent.body as object), version: 4 }),
      'POST /api/predictions': (sent: Sent) => ({
        ...plan,
        findings: (sent.body as { formula: { name: string } }).formula.name.endsWith('cooled')
          ? [{ ...finding('It is thin.'), code: 'THIN' }]
          : [
              finding('The benzoate goes in hot.'),
              finding('The scent goes in hot.'),
              { ...finding('It is thin.'), code: 'THIN' },
            ],
      }),
    });
    expect((await screen.findAllByText(/The benzoate goes in hot/)).length).toBeGreaterThan(0);
    expect(screen.getAllByText(/The scent goes in hot/).length).toBeGreaterThan(0);
    await userEvent.type(screen.getByLabelText('Name'), ', cooled');
    await waitFor(() => expect(screen.queryAllByText(/goes in hot/)).toHaveLength(0));
    expect(screen.getAllByText(/It is thin/).length).toBeGreaterThan(0);
  });

  it('shows the stores when the line is back', async () => {
    let tries = 0;
    inKitchen(<StoresPage />, {
      ...DEMO,
      'GET /api/stores': () => {
        if (++tries === 1) throw new Error('no line');
        return recorded['GET /api/stores'];
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: /again/i }));
    expect((await screen.findAllByText(/To get/)).length).toBeGreaterThan(0);
  });
});
