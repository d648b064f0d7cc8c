import {
  keepPreviousData,
  useInfiniteQuery,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { called } from './called';
import type { components } from './generated/schema';
import {
  api,
  ask,
  keys,
  LINE,
  SIGNED_OUT,
  type BottleEvent,
  type BrewForm,
  type Causes,
} from './client';

export type Question = components['schemas']['Question'];
export type SheetForm = components['schemas']['SheetForm'];

export const useSession = () =>
  useQuery({
    queryKey: keys.session,
    queryFn: () => ask(api.GET('/api/session')),
    // What this device remembers of it may be of before a sign-in or its end.
    staleTime: 0,
  });

/** Whether there is more to look at than the bench: a guest asks for nothing else. */
export const useLooksAround = () => useSession().data?.role !== 'GUEST';

/** Shows the door as soon as an answer tells that the session has ended. */
export function useSignedOut() {
  const client = useQueryClient();
  useEffect(() => {
    const tell = () => void client.invalidateQueries({ queryKey: keys.session });
    window.addEventListener(SIGNED_OUT, tell);
    return () => window.removeEventListener(SIGNED_OUT, tell);
  }, [client]);
}

export const useHousehold = () =>
  useQuery({ queryKey: keys.household, queryFn: () => ask(api.GET('/api/household')) });

/** What of the kitchen is held by what brews or is planned. */
export const useInUse = () =>
  useQuery({ queryKey: keys.inUse, queryFn: () => ask(api.GET('/api/batches/in-use')) });

export const useKitchen = () =>
  useQuery({ queryKey: keys.kitchen, queryFn: () => ask(api.GET('/api/kitchen')) });

export const useFormulas = () =>
  useQuery({
    queryKey: keys.formulas,
    queryFn: () => ask(api.GET('/api/formulas')),
    staleTime: 60_000,
  });

export const useFormula = (id: string) =>
  useQuery({
    queryKey: keys.formula(id),
    queryFn: () => ask(api.GET('/api/formulas/{id}', { params: { path: { id } } })),
    staleTime: 60_000,
  });

export const useMaterials = () =>
  useQuery({
    queryKey: keys.materials,
    queryFn: () => ask(api.GET('/api/materials')),
    staleTime: 60_000,
  });

/** What else a word is called here, by the other names of materials. */
export function useCalled() {
  const { data } = useMaterials();
  return useMemo(() => called(data ?? []), [data]);
}

export const useMethods = () =>
  useQuery({
    queryKey: keys.methods,
    queryFn: () => ask(api.GET('/api/methods')),
    staleTime: Infinity,
  });

export const useHandbook = () =>
  useQuery({
    queryKey: keys.handbook,
    queryFn: () => ask(api.GET('/api/handbook')),
    staleTime: 60_000,
  });

export const useStores = () =>
  useQuery({ queryKey: keys.stores, queryFn: () => ask(api.GET('/api/stores')) });

export const useShopping = () =>
  useQuery({ queryKey: keys.shopping, queryFn: () => ask(api.GET('/api/shopping')) });

/** How a brew would go; keeps the last answer on screen while the next one is on its way. */
export const usePrediction = (question: Question) =>
  useQuery({
    queryKey: keys.prediction(question),
    queryFn: ({ signal }) => ask(api.POST('/api/predictions', { body: question, signal })),
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useShelf = () =>
  useQuery({
    enabled: useLooksAround(),
    queryKey: keys.shelf,
    queryFn: () => ask(api.GET('/api/bottles')),
  });

/** What is to be done now; asked again as time goes on. */
export const useToday = () =>
  useQuery({
    enabled: useLooksAround(),
    queryKey: keys.today,
    queryFn: () => ask(api.GET('/api/today')),
    refetchInterval: 30_000,
  });

export const useSheets = () =>
  useQuery({
    queryKey: keys.sheets,
    queryFn: () => ask(api.GET('/api/labels/sheets')),
    staleTime: Infinity,
  });

export const useContainers = () =>
  useQuery({ queryKey: keys.containers, queryFn: () => ask(api.GET('/api/containers')) });

export const useLeftovers = () =>
  useQuery({ queryKey: keys.leftovers, queryFn: () => ask(api.GET('/api/leftovers')) });

export const useBottle = (id: string) =>
  useQuery({
    queryKey: keys.bottle(id),
    queryFn: () => ask(api.GET('/api/bottles/{id}', { params: { path: { id } } })),
  });

export const useRunning = () =>
  useQuery({
    queryKey: keys.running,
    queryFn: () => ask(api.GET('/api/batches/running')),
    // While something runs a lost line is noticed within half a minute.
    refetchInterval: (query) => (query.state.data?.length ? 30_000 : false),
  });

export const useRun = (id: string) =>
  useQuery({
    queryKey: keys.run(id),
    queryFn: () => ask(api.GET('/api/batches/{id}', { params: { path: { id } } })),
    // A late step shortens the keeping: ask again now and then even when nothing was tapped.
    refetchInterval: 60_000,
  });

export const useHistory = () =>
  useInfiniteQuery({
    queryKey: keys.history,
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/history', { params: { query: { page: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.more ? last.page + 1 : undefined),
  });

/**
 * Listens for changes made elsewhere and asks again for what is shown.
 *
 * @returns whether the line to the server is open
 */
export function useChanges(): boolean {
  const client = useQueryClient();
  const [open, setOpen] = useState(true);
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let stream: EventSource | undefined;
    const listen = () => {
      stream?.close();
      stream = new EventSource('/api/changes');
      stream.addEventListener('revision', () => {
        setOpen(true);
        void client.invalidateQueries({ queryKey: keys.all });
      });
      stream.onopen = () => setOpen(true);
      stream.onerror = () => setOpen(false);
    };
    // A page kept for the way back would hold its line open, and a browser has but six to a server.
    const leave = () => stream?.close();
    const back = (e: PageTransitionEvent) => {
      if (e.persisted) listen();
    };
    // A cut line leaves a stream hanging; a request that found nobody knows better.
    const heard = (e: Event) => setOpen((e as CustomEvent<boolean>).detail);
    listen();
    window.addEventListener(LINE, heard);
    window.addEventListener('pagehide', leave);
    window.addEventListener('pageshow', back);
    return () => {
      window.removeEventListener(LINE, heard);
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('pageshow', back);
      leave();
    };
  }, [client]);
  return open;
}

/** What was called out, and what will be. */
export const useTray = () =>
  useQuery({
    enabled: useLooksAround(),
    queryKey: keys.tray,
    queryFn: () => ask(api.GET('/api/messages', { params: { query: { page: 0 } } })),
  });

/** The devices of the kitchen; asked for again now and then, as they are switched on and off. */
export const useDevices = () =>
  useQuery({
    enabled: useLooksAround(),
    queryKey: keys.devices,
    queryFn: () => ask(api.GET('/api/devices')),
    refetchInterval: 60_000,
    staleTime: 20_000,
  });

/** The ways to cool at the present or next cooling of a run. */
export const useCooling = (id: string, version: number) =>
  useQuery({
    queryKey: keys.cooling(id, version),
    queryFn: () => ask(api.GET('/api/batches/{id}/cooling', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
    retry: false,
  });

/** What an event would do to a bottle's last day; asked for once it is said completely. */
export const useWhatIf = (id: string, event: BottleEvent | undefined) =>
  useQuery({
    queryKey: keys.whatIf(id, event),
    queryFn: () =>
      ask(api.POST('/api/bottles/{id}/what-if', { params: { path: { id } }, body: event! })),
    enabled: event !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** What happened to the fridge before. */
export const useFridge = () =>
  useQuery({ queryKey: keys.fridge, queryFn: () => ask(api.GET('/api/fridge')) });

/** What was brewed, used and thrown away over some months. */
export const useWaste = (months: number) =>
  useQuery({
    queryKey: keys.waste(months),
    queryFn: () => ask(api.GET('/api/waste', { params: { query: { months } } })),
    placeholderData: keepPreviousData,
  });

/** Whether there is a private calendar address. */
export const useFeed = () =>
  useQuery({ queryKey: keys.feed, queryFn: () => ask(api.GET('/api/feed')) });

/** Everybody whose hair is cared for here. */
export const usePeople = () =>
  useQuery({ queryKey: keys.people, queryFn: () => ask(api.GET('/api/people')) });

/** One of them, with what they bear. */
export const usePerson = (id: string) =>
  useQuery({
    queryKey: keys.person(id),
    queryFn: () => ask(api.GET('/api/people/{id}', { params: { path: { id } } })),
  });

/** Formulas, as they suit one head; nothing is asked for nobody. */
export const useFormulasFor = (id: string) =>
  useQuery({
    queryKey: keys.formulasFor(id),
    queryFn: () => ask(api.GET('/api/people/{id}/formulas', { params: { path: { id } } })),
    enabled: id !== '',
  });

/** Whose head a bottle is for, and for whose not. */
export const useHeads = (bottle: string) =>
  useQuery({
    queryKey: keys.heads(bottle),
    queryFn: () => ask(api.GET('/api/bottles/{id}/heads', { params: { path: { id: bottle } } })),
  });

/** Who would use a brew of a formula in the days to come. */
export const useWanted = (formula: string) =>
  useQuery({
    queryKey: keys.wanted(formula),
    queryFn: () => ask(api.GET('/api/formulas/{id}/wanted', { params: { path: { id: formula } } })),
  });

/** Wash days on a line, with what feeds them. */
export const useWeeks = (days: number, from?: string) =>
  useQuery({
    queryKey: keys.weeks(days, from),
    queryFn: () => ask(api.GET('/api/weeks', { params: { query: { days, from } } })),
    placeholderData: keepPreviousData,
  });

/** The plan as agreed, as it would go now, and what would be better. */
export const usePlan = () =>
  useQuery({
    queryKey: keys.plan,
    queryFn: () => ask(api.GET('/api/plan')),
    // What is found in the background comes by the change stream; this only makes sure of it.
    refetchInterval: (query) =>
      ['ASKED', 'RUNNING'].includes(query.state.data?.search?.state ?? '') ? 3_000 : false,
  });

/** What the kitchen taught, and how far it is worked out. */
export const useCalibration = () =>
  useQuery({
    queryKey: keys.calibration,
    queryFn: () => ask(api.GET('/api/calibration')),
    // How far it is comes by the change stream; this only makes sure of it.
    refetchInterval: (query) =>
      ['ASKED', 'RUNNING'].includes(query.state.data?.state ?? '') ? 2_000 : false,
  });

/** How long somebody's hair was, and what that says. */
export const useLengths = (id: string) =>
  useQuery({
    queryKey: keys.lengths(id),
    queryFn: () => ask(api.GET('/api/people/{id}/lengths', { params: { path: { id } } })),
    enabled: id !== '',
  });

/** Trials on sections of heads, and what they say together. */
export const useTrials = () =>
  useQuery({ queryKey: keys.trials, queryFn: () => ask(api.GET('/api/trials')) });

/** What is looked for in the journal. */
export interface JournalLook {
  until?: string;
  person?: string;
  formula?: string;
  words?: string;
}

/** Pages of the journal: the last ones, or those that say something. */
export const useJournal = (look: JournalLook) =>
  useQuery({
    queryKey: keys.journal(look),
    queryFn: () => ask(api.GET('/api/journal', { params: { query: look } })),
    placeholderData: keepPreviousData,
  });

/** What was written down of a batch. */
export const useBatchJournal = (id: string) =>
  useQuery({
    queryKey: keys.batchJournal(id),
    queryFn: () => ask(api.GET('/api/batches/{id}/journal', { params: { path: { id } } })),
  });

/** Courses, and what can be told of them. */
export const useCourses = () =>
  useQuery({ queryKey: keys.courses, queryFn: () => ask(api.GET('/api/courses')) });

/** One of two that are held side by side. */
export interface Side {
  formula: string;
  version?: number;
}

/** Two formulas, or two versions of one, as they were brewed and judged. */
export const useVersus = (left: Side | undefined, right: Side | undefined) =>
  useQuery({
    queryKey: keys.versus([left, right]),
    queryFn: () =>
      ask(
        api.GET('/api/versus', {
          params: {
            query: {
              left: left!.formula,
              right: right!.formula,
              ...(left!.version !== undefined && { leftVersion: left!.version }),
              ...(right!.version !== undefined && { rightVersion: right!.version }),
            },
          },
        }),
      ),
    enabled: left !== undefined && right !== undefined,
    retry: false,
  });

/** What may have caused what is wrong with a batch or a formula. */
export const useCauses = (asked: {
  symptom?: Causes['symptom'];
  batch?: string;
  formula?: string;
}) =>
  useQuery({
    queryKey: keys.causes(asked),
    queryFn: () =>
      ask(
        api.GET('/api/causes', {
          params: { query: { ...asked, symptom: asked.symptom! } },
        }),
      ),
    enabled: asked.symptom !== undefined && (asked.batch ?? asked.formula) !== undefined,
    retry: false,
  });

/** What can be practised, and what is or was. */
export const usePractices = () =>
  useQuery({ queryKey: keys.practices, queryFn: () => ask(api.GET('/api/practices')) });

/** A pot that is practised at; looked at once a second, however fast its time goes. */
export const usePractice = (id: string) =>
  useQuery({
    queryKey: keys.practice(id),
    queryFn: () => ask(api.GET('/api/practices/{id}', { params: { path: { id } } })),
    refetchInterval: ({ state: { data } }) =>
      !data || data.over || data.pace === 0 ? false : 1000,
  });

/** What is in the jars of a trial, for whoever fills them. */
export const useTrialJars = (id: string, asked: boolean) =>
  useQuery({
    queryKey: keys.trialJars(id),
    queryFn: () => ask(api.GET('/api/trials/{id}/jars', { params: { path: { id } } })),
    enabled: asked,
  });

/** How these brews would go. */
export const usePlanIf = (brews: BrewForm[] | undefined) =>
  useQuery({
    queryKey: keys.planIf(brews),
    queryFn: () => ask(api.POST('/api/plan/what-if', { body: { brews } })),
    enabled: brews !== undefined,
    placeholderData: keepPreviousData,
  });

/** What the plan needs of a formula next. */
export const usePlanned = (formula: string) =>
  useQuery({
    queryKey: keys.planned(formula),
    queryFn: () =>
      ask(api.GET('/api/formulas/{id}/planned', { params: { path: { id: formula } } })),
  });

/** An evening's brews. */
export const useBrewDay = (day: string) =>
  useQuery({
    queryKey: keys.brewDay(day),
    queryFn: () => ask(api.GET('/api/plan/days/{day}', { params: { path: { day } } })),
  });

/** Wash days that are under way. */
export const useWashRuns = () =>
  useQuery({
    queryKey: keys.washRuns,
    queryFn: () => ask(api.GET('/api/wash-runs')),
    refetchInterval: (query) => (query.state.data?.length ? 30_000 : false),
  });

/** A sheet, worked out; the last one stays on screen while the next is on its way. */
export const useSheet = (form: SheetForm | undefined) =>
  useQuery({
    queryKey: keys.sheet(form),
    queryFn: ({ signal }) => ask(api.POST('/api/sheets', { body: form!, signal })),
    enabled: form !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
