import CssBaseline from '@mui/material/CssBaseline';
import GlobalStyles from '@mui/material/GlobalStyles';
import { StyledEngineProvider, ThemeProvider } from '@mui/material/styles';
import { type ComponentType, lazy, Suspense, useSyncExternalStore } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Fault } from './Fault.tsx';
import { LostPage } from './LostPage.tsx';
import { PALETTES, properties, SCHEMES } from '../ui/palette.ts';
import { listenToSaid, saidNow } from './say.ts';
import { StepsContext, type Step } from './step.ts';
import { THEME } from '../ui/theme.ts';

const JobFrame = lazy(() => import('./JobFrame.tsx'));
const Said = lazy(() => import('./Said.tsx'));

/** Our colours for stylesheets, one set a scheme. */
const COLOURS = Object.fromEntries(
  SCHEMES.map((scheme) => [
    scheme === 'light' ? ':root, [data-scheme="light"]' : `[data-scheme="${scheme}"]`,
    properties(PALETTES[scheme]),
  ]),
);

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

/** All pages by their addresses, each loaded when it is visited. */
export function App({ steps, pages }: { steps: readonly Step[]; pages: readonly Page[] }) {
  return (
    <StepsContext value={steps}>
      <StyledEngineProvider enableCssLayer>
        <ThemeProvider
          theme={THEME}
          defaultMode="system"
          modeStorageKey="kovelin-mode"
          colorSchemeStorageKey="kovelin-scheme"
        >
          <CssBaseline />
          <GlobalStyles styles={COLOURS} />

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
        </ThemeProvider>
      </StyledEngineProvider>
    </StepsContext>
  );
}
