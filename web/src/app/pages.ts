import { lazy, type ComponentType } from 'react';

type Loader = () => Promise<{ default: ComponentType }>;

const loaders: Loader[] = [];

/** A screen that comes when it is first gone to, or beforehand by {@link loadAll}. */
function page<K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) {
  const loader = async () => ({ default: (await load())[name] });
  loaders.push(loader);
  return lazy(loader);
}

export const BenchPage = page(() => import('../features/bench/BenchPage'), 'BenchPage');
export const BottlePage = page(() => import('../features/shelf/BottlePage'), 'BottlePage');
export const BrewDayPage = page(() => import('../features/plan/BrewDayPage'), 'BrewDayPage');
export const CardPage = page(() => import('../features/formulas/CardPage'), 'CardPage');
export const EditorPage = page(() => import('../features/formulas/EditorPage'), 'EditorPage');
export const FormulaPage = page(() => import('../features/formulas/FormulaPage'), 'FormulaPage');
export const FormulasPage = page(() => import('../features/formulas/FormulasPage'), 'FormulasPage');
export const FridgePage = page(() => import('../features/shelf/FridgePage'), 'FridgePage');
export const TaughtPage = page(() => import('../features/learning/TaughtPage'), 'TaughtPage');
export const LengthsPage = page(() => import('../features/learning/LengthsPage'), 'LengthsPage');
export const JournalPages = page(() => import('../features/journal/JournalPages'), 'JournalPages');
export const BatchStory = page(() => import('../features/journal/BatchStory'), 'BatchStory');
export const VersusPage = page(() => import('../features/journal/VersusPage'), 'VersusPage');
export const CoursesPage = page(() => import('../features/journal/CoursesPage'), 'CoursesPage');
export const CausesPage = page(() => import('../features/faults/CausesPage'), 'CausesPage');
export const PracticesPage = page(
  () => import('../features/practice/PracticesPage'),
  'PracticesPage',
);
export const PracticePage = page(() => import('../features/practice/PracticePage'), 'PracticePage');
export const TrialsPage = page(() => import('../features/learning/TrialsPage'), 'TrialsPage');
export const HandbookPage = page(() => import('../features/handbook/HandbookPage'), 'HandbookPage');
export const HistoryPage = page(() => import('../features/shelf/HistoryPage'), 'HistoryPage');
export const KitchenPage = page(() => import('../features/kitchens/KitchenPage'), 'KitchenPage');
export const LabelsPage = page(() => import('../features/shelf/LabelsPage'), 'LabelsPage');
export const MaterialsPage = page(
  () => import('../features/materials/MaterialsPage'),
  'MaterialsPage',
);
export const MeasurePage = page(() => import('../features/predictions/MeasurePage'), 'MeasurePage');
export const NewFormulaPage = page(
  () => import('../features/formulas/NewFormulaPage'),
  'NewFormulaPage',
);
export const NewHousehold = page(() => import('../features/accounts/NewHousehold'), 'NewHousehold');
export const JoinPage = page(() => import('../features/members/JoinPage'), 'JoinPage');
export const RecoverPage = page(() => import('../features/members/RecoverPage'), 'RecoverPage');
export const YouPage = page(() => import('../features/members/YouPage'), 'YouPage');
export const CodesPage = page(() => import('../features/members/CodesPage'), 'CodesPage');
export const PeoplePage = page(() => import('../features/people/PeoplePage'), 'PeoplePage');
export const PersonPage = page(() => import('../features/people/PersonPage'), 'PersonPage');
export const ShelfPage = page(() => import('../features/shelf/ShelfPage'), 'ShelfPage');
export const StoresPage = page(() => import('../features/stores/StoresPage'), 'StoresPage');
export const NotePage = page(() => import('../features/notes/NotePage'), 'NotePage');
export const TakeInPage = page(() => import('../features/formulas/TakeInPage'), 'TakeInPage');
export const TrayPage = page(() => import('../features/tray/TrayPage'), 'TrayPage');
export const SheetPage = page(() => import('../features/washdays/SheetPage'), 'SheetPage');
export const WeeksPage = page(() => import('../features/washdays/WeeksPage'), 'WeeksPage');
export const WastePage = page(() => import('../features/shelf/WastePage'), 'WastePage');

/**
 * Loads every screen while nothing else is to do: a line lost at the hob must not keep anybody from
 * another one. One that does not come now comes when it is gone to.
 */
export async function loadAll() {
  for (const load of loaders) {
    try {
      await load();
    } catch {
      return;
    }
  }
}
