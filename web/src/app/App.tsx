import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { ProblemError } from '../api/client';
import { useSession, useSignedOut } from '../api/queries';
import { NewHousehold } from '../features/accounts/NewHousehold';
import { SignIn } from '../features/accounts/SignIn';
import { BenchPage } from '../features/bench/BenchPage';
import { CardPage } from '../features/formulas/CardPage';
import { EditorPage } from '../features/formulas/EditorPage';
import { FormulaPage } from '../features/formulas/FormulaPage';
import { FormulasPage } from '../features/formulas/FormulasPage';
import { NewFormulaPage } from '../features/formulas/NewFormulaPage';
import { TakeInPage } from '../features/formulas/TakeInPage';
import { HandbookPage } from '../features/handbook/HandbookPage';
import { KitchenPage } from '../features/kitchens/KitchenPage';
import { MeasurePage } from '../features/predictions/MeasurePage';
import { BottlePage } from '../features/shelf/BottlePage';
import { FridgePage } from '../features/shelf/FridgePage';
import { LabelsPage } from '../features/shelf/LabelsPage';
import { WastePage } from '../features/shelf/WastePage';
import { HistoryPage } from '../features/shelf/HistoryPage';
import { ShelfPage } from '../features/shelf/ShelfPage';
import { TrayPage } from '../features/tray/TrayPage';
import { StoresPage } from '../features/stores/StoresPage';
import { Shell } from './Shell';
import { Waiting } from './states';
import { theme } from './theme';

const client = new QueryClient({
  defaultOptions: {
    // The server is on this machine or at home: whether the internet is there says nothing about it.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      // What the server refused stays refused; only a lost line is worth another try.
      retry: (count, error) => count < 3 && error instanceof ProblemError && error.offline,
    },
  },
});

export function App() {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <QueryClientProvider client={client}>
        <Notifications position="top-right" />
        <BrowserRouter>
          <Views />
        </BrowserRouter>
      </QueryClientProvider>
    </MantineProvider>
  );
}

function Views() {
  const session = useSession();
  useSignedOut();
  if (session.isPending) return <Waiting />;
  if (!session.data?.signIn) {
    return (
      <Routes>
        <Route path="/new-household" element={<NewHousehold />} />
        <Route path="*" element={<SignIn demo={session.data?.demo ?? false} />} />
      </Routes>
    );
  }
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route path="/choose" element={<FormulasPage />} />
        <Route path="/choose/new" element={<NewFormulaPage />} />
        <Route path="/choose/take-in" element={<TakeInPage />} />
        <Route path="/choose/stores" element={<StoresPage />} />
        <Route path="/choose/:id" element={<FormulaPage />} />
        <Route path="/choose/:id/measure" element={<MeasurePage />} />
        <Route path="/choose/:id/change" element={<EditorPage />} />
        <Route path="/choose/:id/card" element={<CardPage />} />
        <Route path="/brew" element={<BenchPage />} />
        <Route path="/brew/:id" element={<BenchPage />} />
        <Route path="/keep" element={<ShelfPage />} />
        <Route path="/keep/history" element={<HistoryPage />} />
        <Route path="/keep/fridge" element={<FridgePage />} />
        <Route path="/keep/waste" element={<WastePage />} />
        <Route path="/keep/labels" element={<LabelsPage />} />
        <Route path="/keep/:id" element={<BottlePage />} />
        <Route path="/tray" element={<TrayPage />} />
        <Route path="/learn" element={<HandbookPage />} />
        <Route path="/kitchen" element={<KitchenPage />} />
        <Route path="*" element={<Navigate to="/keep" replace />} />
      </Route>
    </Routes>
  );
}
