import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { ApiProblem } from '../api/problem.js';
import { Dressed } from '../ui/Dressed.js';
import { batchesQuery } from '../api/batches.js';
import { sessionQuery } from '../api/session.js';
import { workshopQuery } from '../api/workshop.js';
import { Fault, NotThere } from './Fault.js';
import { throwWithoutData } from './queries.js';
import { useSender } from '../run/useSender.js';
import { Shell } from './Shell.js';

/** A session that has run out shows at the next question: then the door is asked for. */
const onError = (error: Error): void => {
  if (error instanceof ApiProblem && error.status === 401)
    void client.invalidateQueries({ queryKey: ['session'] });
};

const client: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError }),
  mutationCache: new MutationCache({ onError }),
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (count, error) => !(error instanceof ApiProblem) && count < 2,
      refetchOnWindowFocus: true,
      throwOnError: throwWithoutData,
    },
    mutations: { networkMode: 'always' },
  },
});

// the Bench and what it shows are asked for at once, not one after the other
if (location.pathname === '/') {
  void import('../bench/Bench.js');
  void client.ensureQueryData(sessionQuery).then(
    ({ workshopId }) => {
      if (workshopId === null) return;
      void client.prefetchQuery(workshopQuery);
      void client.prefetchQuery(batchesQuery);
    },
    () => undefined,
  );
}

const SignIn = lazy(() => import('../access/SignIn.js'));
const Join = lazy(() => import('../access/Join.js'));
const Bench = lazy(() => import('../bench/Bench.js'));
const Shelf = lazy(() => import('../pattern/Shelf.js'));
const NewPattern = lazy(() => import('../pattern/NewPattern.js'));
const CopyScreen = lazy(() => import('../copy/CopyScreen.js'));
const CompareScreen = lazy(() => import('../compare/CompareScreen.js'));
const PatternScreen = lazy(() => import('../pattern/PatternScreen.js'));
const DraftPlan = lazy(() => import('../plan/DraftPlan.js'));
const BatchPlan = lazy(() => import('../plan/BatchPlan.js'));
const WorkshopScreen = lazy(() => import('../workshop/WorkshopScreen.js'));
const StockFrame = lazy(() => import('../stock/StockFrame.js'));
const ShelfScreen = lazy(() => import('../stock/ShelfScreen.js'));
const CuttingScreen = lazy(() => import('../stock/CuttingScreen.js'));
const LogScreen = lazy(() => import('../stock/LogScreen.js'));
const CylinderScreen = lazy(() => import('../stock/CylinderScreen.js'));
const DryingScreen = lazy(() => import('../stock/DryingScreen.js'));
const MaterialsScreen = lazy(() => import('../stock/MaterialsScreen.js'));
const LedgerScreen = lazy(() => import('../stock/LedgerScreen.js'));
const RunScreen = lazy(() => import('../run/RunScreen.js'));
const OrdersScreen = lazy(() => import('../order/OrdersScreen.js'));
const TwinsScreen = lazy(() => import('../twins/TwinsScreen.js'));

const router = createBrowserRouter([
  { path: '/sign-in', element: <SignIn />, errorElement: <Fault /> },
  { path: '/join/:token', element: <Join />, errorElement: <Fault /> },
  { path: '/batches/:id/run', element: <RunScreen />, errorElement: <Fault /> },
  {
    element: <Shell />,
    errorElement: <Fault />,
    children: [
      {
        errorElement: <Fault />,
        children: [
          { path: '/', element: <Bench /> },
          { path: '/orders', element: <OrdersScreen /> },
          { path: '/patterns', element: <Shelf /> },
          { path: '/patterns/new', element: <NewPattern /> },
          { path: '/patterns/copy', element: <CopyScreen /> },
          { path: '/patterns/:id/compare', element: <CompareScreen /> },
          { path: '/patterns/:id', element: <PatternScreen /> },
          { path: '/patterns/:id/plan/:stage?', element: <DraftPlan /> },
          {
            path: '/stock',
            element: <StockFrame />,
            children: [
              { index: true, element: <ShelfScreen /> },
              { path: 'cutting/:id?', element: <CuttingScreen /> },
              { path: 'logs/:id?', element: <LogScreen /> },
              { path: 'cylinder', element: <CylinderScreen /> },
              { path: 'drying/:id?', element: <DryingScreen /> },
              { path: 'materials/:id?', element: <MaterialsScreen /> },
              { path: 'ledger', element: <LedgerScreen /> },
            ],
          },
          { path: '/batches/:id/twins', element: <TwinsScreen /> },
          { path: '/batches/:id/:stage?', element: <BatchPlan /> },
          { path: '/workshop/:section?', element: <WorkshopScreen /> },
          { path: '*', element: <NotThere /> },
        ],
      },
    ],
  },
]);

/** What is kept on this device is sent from whatever screen is open. */
function Sending() {
  useSender();
  return null;
}

export function App() {
  return (
    <QueryClientProvider client={client}>
      <Sending />
      <Dressed>
        <Suspense fallback={<p className="page soft">One moment…</p>}>
          <RouterProvider router={router} />
        </Suspense>
      </Dressed>
    </QueryClientProvider>
  );
}
