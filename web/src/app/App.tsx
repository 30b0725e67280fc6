import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Fault } from './Fault.tsx';
import { LostPage } from './LostPage.tsx';
import { keep, recall } from './remembered.ts';
import { listenToSaid, saidNow } from './say.ts';
import { SchemeContext } from './scheme.ts';
import { themeFor, type Scheme } from './theme.ts';

const Jobs = lazy(() => import('../jobs/JobsPage.tsx'));
const Demo = lazy(() => import('../jobs/DemoPage.tsx'));
const JobFrame = lazy(() => import('./JobFrame.tsx'));
const Measure = lazy(() => import('../measure/MeasureView.tsx'));
const Specify = lazy(() => import('../specify/SpecifyView.tsx'));
const Order = lazy(() => import('../order/OrderView.tsx'));
const Sequence = lazy(() => import('../sequence/SequenceView.tsx'));
const FinishSheet = lazy(() => import('../specify/FinishSheet.tsx'));
const QuoteSheet = lazy(() => import('../order/QuoteSheet.tsx'));
const ShoppingPage = lazy(() => import('../order/ShoppingPage.tsx'));
const Said = lazy(() => import('./Said.tsx'));
const DaySheet = lazy(() => import('../sequence/DaySheet.tsx'));

const queries = new QueryClient();
const KEY = 'kovelin-scheme';

function firstScheme(): Scheme {
  const kept = recall(KEY);
  if (kept === 'light' || kept === 'dark') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

/** Its file is fetched when there is something to say. */
function Saying() {
  const some = useSyncExternalStore(listenToSaid, () => saidNow().length > 0);
  return <Suspense fallback={null}>{some && <Said />}</Suspense>;
}

export function App() {
  const [scheme, setScheme] = useState(firstScheme);
  const theme = useMemo(() => themeFor(scheme), [scheme]);
  useEffect(() => {
    document.documentElement.dataset['scheme'] = scheme;
  }, [scheme]);
  const context = useMemo(
    () => ({
      scheme,
      toggle: () => {
        const next = scheme === 'light' ? 'dark' : 'light';
        keep(KEY, next);
        setScheme(next);
      },
    }),
    [scheme],
  );
  return (
    <SchemeContext value={context}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <BrowserRouter>
            <Fault>
              <Suspense fallback={<p className="waiting">One moment …</p>}>
                <Routes>
                  <Route path="/" element={<Jobs />} />
                  <Route path="/demo" element={<Demo />} />
                  <Route path="/job/:id" element={<JobFrame />}>
                    <Route index element={<Navigate to="measure" replace />} />
                    <Route path="measure" element={<Measure />} />
                    <Route path="specify" element={<Specify />} />
                    <Route path="order" element={<Order />} />
                    <Route path="sequence" element={<Sequence />} />
                    <Route path="schedule" element={<FinishSheet />} />
                    <Route path="quote" element={<QuoteSheet />} />
                    <Route path="list" element={<ShoppingPage />} />
                    <Route path="sheet" element={<DaySheet />} />
                  </Route>
                  <Route path="*" element={<LostPage />} />
                </Routes>
              </Suspense>
            </Fault>
            <Saying />
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </SchemeContext>
  );
}
