import { MantineProvider } from '@mantine/core';
import { QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { lazy, Suspense, useEffect, type ReactNode } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { keys, ProblemError } from '../api/client';
import { useSession, useSignedOut } from '../api/queries';
import { SignIn } from '../features/accounts/SignIn';
import { keeping } from './keeping';
import { Shell } from './Shell';
import {
  BenchPage,
  BottlePage,
  BrewDayPage,
  CardPage,
  EditorPage,
  FormulaPage,
  FormulasPage,
  FridgePage,
  BatchStory,
  CausesPage,
  CoursesPage,
  HandbookPage,
  HistoryPage,
  CodesPage,
  JoinPage,
  RecoverPage,
  YouPage,
  JournalPages,
  KitchenPage,
  LabelsPage,
  LengthsPage,
  MaterialsPage,
  MeasurePage,
  NewFormulaPage,
  NewHousehold,
  NotePage,
  PeoplePage,
  PersonPage,
  PracticePage,
  PracticesPage,
  SheetPage,
  ShelfPage,
  StoresPage,
  TakeInPage,
  TaughtPage,
  TrayPage,
  TrialsPage,
  VersusPage,
  WastePage,
  WeeksPage,
  loadAll,
} from './pages';
import { Helpers, Keepers } from '../kit/role';
import { Waiting } from '../kit/states';
import { theme } from '../kit/theme';

const Notes = lazy(() => import('../kit/notes'));

const client = new QueryClient({
  defaultOptions: {
    // The server is on this machine or at home: whether the internet is there says nothing about it.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      // What the bench was last told is kept for when there is no line (keeping.ts).
      gcTime: 24 * 3600_000,
      // What the server refused stays refused; only a lost line is worth another try.
      retry: (count, error) => count < 3 && error instanceof ProblemError && error.offline,
    },
  },
});

export function App() {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <PersistQueryClientProvider client={client} persistOptions={keeping}>
        <Suspense>
          <Notes />
        </Suspense>
        <BrowserRouter>
          <Views />
        </BrowserRouter>
      </PersistQueryClientProvider>
    </MantineProvider>
  );
}

/** A screen on which keepers change things; helpers look at it. */
const kept = (screen: ReactNode) => <Keepers>{screen}</Keepers>;

function Views() {
  const session = useSession();
  useSignedOut();
  const inside = Boolean(session.data?.signIn);
  const outside = session.data !== undefined && !inside;
  useEffect(() => {
    // Whoever is signed out leaves nothing of the household on this device.
    if (outside) client.removeQueries({ queryKey: keys.all });
  }, [outside]);
  useEffect(() => {
    if (!inside) return;
    const soon = setTimeout(() => void loadAll(), 2000);
    return () => clearTimeout(soon);
  }, [inside]);
  if (session.isPending) return <Waiting />;
  const looking = (
    <Helpers>
      <BenchPage />
    </Helpers>
  );
  if (!inside) {
    return (
      <Suspense fallback={<Waiting />}>
        <Routes>
          <Route path="/new-household" element={<NewHousehold />} />
          <Route path="/join" element={<JoinPage />} />
          <Route path="/recover" element={<RecoverPage />} />
          <Route
            path="*"
            element={
              <SignIn demo={session.data?.demo ?? false} signUp={session.data?.signUp ?? false} />
            }
          />
        </Routes>
      </Suspense>
    );
  }
  if (session.data?.role === 'GUEST') {
    return (
      <Routes>
        <Route path="/join" element={<JoinPage />} />
        <Route element={<Shell />}>
          <Route path="/brew" element={looking} />
          <Route path="/brew/:id" element={looking} />
          <Route path="/you" element={<YouPage />} />
          <Route path="/you/codes" element={<CodesPage />} />
          <Route path="*" element={<Navigate to="/brew" replace />} />
        </Route>
      </Routes>
    );
  }
  return (
    <Routes>
      <Route path="/join" element={<JoinPage />} />
      <Route element={<Shell />}>
        <Route path="/you" element={<YouPage />} />
        <Route path="/you/codes" element={<CodesPage />} />
        <Route path="/choose" element={<FormulasPage />} />
        <Route path="/choose/new" element={kept(<NewFormulaPage />)} />
        <Route path="/choose/note" element={<NotePage />} />
        <Route path="/choose/take-in" element={kept(<TakeInPage />)} />
        <Route path="/choose/stores" element={<StoresPage />} />
        <Route path="/choose/materials" element={<MaterialsPage />} />
        <Route path="/choose/materials/:material" element={<MaterialsPage />} />
        <Route path="/choose/:id" element={<FormulaPage />} />
        <Route path="/choose/:id/measure" element={<MeasurePage />} />
        <Route path="/choose/:id/change" element={kept(<EditorPage />)} />
        <Route path="/choose/:id/card" element={<CardPage />} />
        <Route path="/brew" element={<BenchPage />} />
        <Route path="/brew/:id" element={<BenchPage />} />
        <Route path="/keep" element={<ShelfPage />} />
        <Route path="/keep/history" element={<HistoryPage />} />
        <Route path="/keep/fridge" element={<FridgePage />} />
        <Route path="/keep/waste" element={<WastePage />} />
        <Route path="/keep/labels" element={<LabelsPage />} />
        <Route path="/keep/:id" element={<BottlePage />} />
        <Route path="/use" element={<WeeksPage />} />
        <Route path="/use/sheet" element={<SheetPage />} />
        <Route path="/use/brew-day/:id" element={<BrewDayPage />} />
        <Route path="/use/people" element={<PeoplePage />} />
        <Route path="/use/people/:id" element={<PersonPage />} />
        <Route path="/use/people/:id/:part" element={<PersonPage />} />
        <Route path="/tray" element={<TrayPage />} />
        <Route path="/learn" element={<HandbookPage />} />
        <Route path="/learn/kitchen" element={kept(<TaughtPage />)} />
        <Route path="/learn/lengths" element={kept(<LengthsPage />)} />
        <Route path="/learn/journal" element={<JournalPages />} />
        <Route path="/learn/journal/:id" element={<BatchStory />} />
        <Route path="/learn/versus" element={<VersusPage />} />
        <Route path="/learn/courses" element={kept(<CoursesPage />)} />
        <Route path="/learn/causes" element={<CausesPage />} />
        <Route path="/learn/practice" element={<PracticesPage />} />
        <Route path="/learn/practice/:id" element={<PracticePage />} />
        <Route path="/learn/trials" element={<TrialsPage />} />
        <Route path="/kitchen" element={<KitchenPage />} />
        <Route path="*" element={<Navigate to="/keep" replace />} />
      </Route>
    </Routes>
  );
}
