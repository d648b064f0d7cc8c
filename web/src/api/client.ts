import createClient from 'openapi-fetch';
import type { components, paths } from './generated/schema';

type Schemas = components['schemas'];
export type Problem = Schemas['Problem'];
export type FieldProblem = NonNullable<Problem['errors']>[number];
export type Prediction = Schemas['PredictionJson'];
export type Verdict = Schemas['VerdictJson'];
export type StepPlan = Schemas['StepPlanJson'];
export type Target = Schemas['TargetJson'];
export type Run = Schemas['RunView'];
export type RunLine = Schemas['RunLine'];
export type BottleLine = Schemas['BottleLine'];
export type BottleView = Schemas['BottleView'];
export type BottleEvent = Schemas['BottleEventForm'];
export type ContainerLine = Schemas['ContainerLine'];
export type LeftoverLine = Schemas['LeftoverLine'];
export type FridgeOutcome = Schemas['FridgeOutcome'];
export type LabelFormat = Schemas['Labels']['format'];
export type Session = Schemas['SessionView'];
export type Household = Schemas['HouseholdView'];
export type Kitchen = Schemas['KitchenJson'];
export type FormulaLine = Schemas['FormulaLine'];
export type HistoryLine = Schemas['HistoryLine'];
export type Container = BottleLine['container'];
export type DiscardReason = Schemas['Discard']['reason'];
export type Formula = Schemas['FormulaJson'];
export type FormulaView = Schemas['FormulaView'];
export type Step = Schemas['StepJson'];
export type Ingredient = Schemas['IngredientJson'];
export type Method = Formula['method'];
export type Purpose = NonNullable<Formula['purposes']>[number];
export type Material = Schemas['MaterialJson'];
export type Task = Schemas['TaskJson'];
export type MethodView = Schemas['MethodView'];
export type Handbook = Schemas['Handbook'];
export type Figure = Schemas['FigureJson'];
export type Finding = Schemas['FindingJson'];
export type Change = Schemas['ChangeJson'];
export type StoreLine = Schemas['StoreLine'];
export type LotLine = Schemas['LotLine'];
export type Reading = Schemas['Reading'];
export type PersonLine = Schemas['PersonLine'];
export type PersonPage = Schemas['PersonPage'];
export type Hair = Schemas['HairJson'];
export type Routine = Schemas['RoutineJson'];
export type Occasion = Schemas['OccasionJson'];
export type SlotKind = Schemas['SlotJson']['kind'];
export type Limit = Schemas['LimitJson'];
export type Weeks = Schemas['WeeksView'];
export type OccasionLine = Schemas['OccasionLine'];
export type Sheet = Schemas['SheetView'];
export type WashRun = Schemas['WashRunView'];
export type Plans = Schemas['PlansView'];
export type BrewPlan = Schemas['PlanView'];
export type PlannedBrew = Schemas['PlannedBrewView'];
export type BrewForm = Schemas['BrewForm'];
export type PlanSettings = Schemas['PlanSettings'];
export type BrewDay = Schemas['BrewDayView'];
export type Calibration = Schemas['CalibrationView'];
export type ForetoldBatch = Schemas['ForetoldBatch'];
export type TaughtFigure = Schemas['TaughtView'];
export type Lengths = Schemas['LengthsView'];
export type LengthSection = Schemas['SectionView'];
export type Trials = Schemas['TrialsView'];
export type Trial = Schemas['TrialView'];
export type Practices = Schemas['PracticesView'];
export type Practice = Schemas['PracticeView'];
export type Debrief = Schemas['DebriefView'];
export type Journal = Schemas['JournalView'];
export type JournalPage = Schemas['JournalPage'];
export type JournalEntry = Schemas['EntryView'];
export type Courses = Schemas['CoursesView'];
export type Versus = Schemas['VersusView'];
export type Causes = Schemas['CausesView'];
export type NoteRead = Schemas['NoteRead'];
export type NoteStretch = Schemas['StretchJson'];
export type Criterion = Schemas['CriterionView'];
export type MeasureSystem = Household['measures'];

/** A request that was not carried out, with what the server said of it. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }

  /** Nobody answered: the network or the server is away. */
  get offline() {
    return this.problem.status === 0;
  }

  /**
   * It was not taken now, but the same request may be taken later: nobody answered, nobody is signed
   * in, or the server has too much to do.
   */
  get passing() {
    const { status } = this.problem;
    return status === 0 || status === 401 || status === 429 || status >= 500;
  }

  /** What is said of one field, if anything is. */
  of(field: string): FieldProblem | undefined {
    return this.problem.errors?.find((e) => e.field === field);
  }
}

const OFFLINE: Problem = {
  type: 'urn:dremsa:problem:offline',
  title: 'No answer',
  status: 0,
  detail: 'Dremsa does not answer. What you typed is still here; try again in a moment.',
};

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((c) => c.startsWith(name + '='));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

/** The typed client of the whole API. Pass its calls through {@link ask}. */
export const api = createClient<paths>({
  baseUrl: typeof window === 'undefined' ? '' : window.location.origin,
  fetch: (request) => globalThis.fetch(request),
});

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
    }
    return request;
  },
});

/** The name of the event that tells whether the last request found the server. */
export const LINE = 'dremsa-line';

function tellLine(open: boolean) {
  window.dispatchEvent(new CustomEvent(LINE, { detail: open }));
}

/** The name of the event that tells that the session has ended. */
export const SIGNED_OUT = 'dremsa-signed-out';
const NOBODY = 'urn:dremsa:problem:signed-out';

/**
 * Waits for an answer and hands out its data.
 *
 * @throws ProblemError when the server refused, or nobody answered
 */
export async function ask<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>) {
  let answer;
  try {
    answer = await call;
  } catch (error) {
    // A question that is asked no more says nothing about the line.
    if (!(error instanceof DOMException && error.name === 'AbortError')) tellLine(false);
    throw new ProblemError(OFFLINE);
  }
  tellLine(true);
  if (answer.error !== undefined || !answer.response.ok) {
    const said = answer.error as Partial<Problem> | undefined;
    if (said?.type === NOBODY) window.dispatchEvent(new CustomEvent(SIGNED_OUT));
    throw new ProblemError({
      type: said?.type ?? 'urn:dremsa:problem:unexpected',
      title: said?.title ?? 'Not done',
      status: answer.response.status,
      detail: said?.detail ?? 'That did not work. Look whether it was done before you try again.',
      errors: said?.errors,
    });
  }
  return answer.data as T;
}

/** A key for a request that may be repeated: the same tap always carries the same one. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}

/** Query keys; everything of a household hangs below one, so that a change refreshes it all. */
export const keys = {
  session: ['session'] as const,
  all: ['household'] as const,
  household: ['household', 'settings'] as const,
  kitchen: ['household', 'kitchen'] as const,
  climates: ['household', 'climates'] as const,
  shelf: ['household', 'shelf'] as const,
  bottle: (id: string) => ['household', 'bottle', id] as const,
  running: ['household', 'running'] as const,
  inUse: ['household', 'in-use'] as const,
  run: (id: string) => ['household', 'run', id] as const,
  history: ['household', 'history'] as const,
  prediction: (question: unknown) => ['household', 'prediction', question] as const,
  formulas: ['household', 'formulas'] as const,
  formula: (id: string) => ['household', 'formulas', id] as const,
  materials: ['household', 'materials'] as const,
  kinds: ['household', 'kinds'] as const,
  today: ['household', 'today'] as const,
  sheets: ['household', 'sheets'] as const,
  stores: ['household', 'stores'] as const,
  shopping: ['household', 'shopping'] as const,
  handbook: ['household', 'handbook'] as const,
  methods: ['methods'] as const,
  notes: ['household', 'notes'] as const,
  note: (text: string, answers: unknown) => ['household', 'notes', text, answers] as const,
  written: (id: string) => ['household', 'formulas', id, 'note'] as const,
  ownWords: ['household', 'own-words'] as const,
  tray: ['household', 'tray'] as const,
  push: ['household', 'push'] as const,
  fridge: ['household', 'fridge'] as const,
  waste: (months: number) => ['household', 'waste', months] as const,
  feed: ['household', 'feed'] as const,
  containers: ['household', 'containers'] as const,
  leftovers: ['household', 'leftovers'] as const,
  whatIf: (id: string, event: unknown) => ['household', 'what-if', id, event] as const,
  people: ['household', 'people'] as const,
  person: (id: string) => ['household', 'person', id] as const,
  formulasFor: (id: string) => ['household', 'formulas-for', id] as const,
  heads: (bottle: string) => ['household', 'heads', bottle] as const,
  wanted: (formula: string) => ['household', 'wanted', formula] as const,
  weeks: (days: number, from?: string) => ['household', 'weeks', days, from] as const,
  washRuns: ['household', 'wash-runs'] as const,
  plan: ['household', 'plan'] as const,
  calibration: ['household', 'calibration'] as const,
  trials: ['household', 'trials'] as const,
  trialJars: (id: string) => ['household', 'trial-jars', id] as const,
  journal: (look: unknown) => ['household', 'journal', look] as const,
  batchJournal: (id: string) => ['household', 'batch-journal', id] as const,
  courses: ['household', 'courses'] as const,
  versus: (sides: unknown) => ['household', 'versus', sides] as const,
  causes: (asked: unknown) => ['household', 'causes', asked] as const,
  practices: ['household', 'practices'] as const,
  practice: (id: string) => ['household', 'practice', id] as const,
  lengths: (id: string) => ['household', 'lengths', id] as const,
  planIf: (brews: unknown) => ['household', 'plan-if', brews] as const,
  planned: (formula: string) => ['household', 'planned', formula] as const,
  brewDay: (day: string) => ['household', 'brew-day', day] as const,
  sheet: (form: unknown) => ['household', 'sheet', form] as const,
  devices: ['devices'] as const,
  imports: ['household', 'imports'] as const,
  backups: ['household', 'backups'] as const,
  members: ['household', 'members'] as const,
  invitations: ['household', 'invitations'] as const,
  signedIn: ['household', 'signed-in'] as const,
  recovery: ['household', 'recovery'] as const,
  passkeys: ['household', 'passkeys'] as const,
  audit: ['household', 'audit'] as const,
  cooling: (id: string, version: number) => ['household', 'cooling', id, version] as const,
};

/**
 * Sends a large file and tells how much of it is on its way.
 *
 * @param told the share that was sent, 0 to 1
 * @throws ProblemError when the server refused, or nobody answered
 */
export function send(path: string, file: Blob, type: string, told: (share: number) => void) {
  const sent = new Promise<{ data?: unknown; error?: unknown; response: Response }>(
    (resolve, reject) => {
      const request = new XMLHttpRequest();
      request.open('POST', path);
      request.setRequestHeader('Content-Type', type);
      request.setRequestHeader('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
      request.upload.onprogress = (e) => told(e.total > 0 ? e.loaded / e.total : 0);
      request.onerror = () => reject(new Error('no line'));
      request.onload = () => {
        const response = new Response(null, { status: request.status });
        let body: unknown;
        try {
          body = JSON.parse(request.responseText);
        } catch {
          body = undefined;
        }
        resolve(response.ok ? { response, data: body } : { response, error: body ?? {} });
      };
      request.send(file);
    },
  );
  return ask(sent);
}

/**
 * Sends a file as it is, and hands out what is answered; nothing where nothing is.
 *
 * @throws ProblemError when the server refused, or nobody answered
 */
export async function post<T = void>(path: string, file: Blob, type: string): Promise<T> {
  const sent = fetch(path, {
    method: 'POST',
    body: file,
    headers: { 'Content-Type': type, 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') },
  }).then(async (response) => {
    const body: unknown = await response.json().catch(() => undefined);
    return response.ok ? { response, data: body as T } : { response, error: body ?? {} };
  });
  return ask<T>(sent);
}
