import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { type ComponentType, lazy, Suspense, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Fault } from './Fault.tsx';
import { LostPage } from './LostPage.tsx';
import { keep, recall } from './remembered.ts';
import { listenToSaid, saidNow } from './say.ts';
import { SchemeContext } from './scheme.ts';
import { StepsContext, type Step } from './step.ts';
import { NoWorker } from '../workers/ask.ts';
import { onFileGone } from './stale.ts';
import { themeFor, type Scheme } from './theme.ts';

const JobFrame = lazy(() => import('./JobFrame.tsx'));
const Said = lazy(() => import('./Said.tsx'));

const queries = new QueryClient({
  queryCache: new QueryCache({ onError: (error) => error instanceof NoWorker && onFileGone() }),
});
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

/** A page that is not of one job. */
export interface Page {
  readonly path: string;
  readonly View: ComponentType;
}

export function App({ steps, pages }: { steps: readonly Step[]; pages: readonly Page[] }) {
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
    <StepsContext value={steps}>
      <SchemeContext value={context}>
        <ThemeProvider theme={theme}>
          <CssBaseline />
          <QueryClientProvider client={queries}>
            <BrowserRouter>
              <Fault>
                <Suspense fallback={<p className="waiting">One moment …</p>}>
                  <Routes>
                    {pages.map(({ path, View }) => (
                      <Route key={path} path={path} element={<View />} />
                    ))}
                    <Route path="/job/:id" element={<JobFrame />}>
                      <Route index element={<Navigate to={steps[0]?.key ?? '/'} replace />} />
                      {steps
                        .flatMap((step) => [step, ...step.papers])
                        .map(({ key, View }) => (
                          <Route key={key} path={key} element={<View />} />
                        ))}
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
    </StepsContext>
  );
}
