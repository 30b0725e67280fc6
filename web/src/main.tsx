import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import './app/styles/base.css';
import './app/styles/words.css';
import './app/styles/tables.css';
import './app/styles/panel.css';
import './app/styles/frame.css';
import './app/styles/paper.css';
import './app/styles/touch.css';
import { lazy, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App.tsx';
import { listenToDatabase } from './app/database.ts';
import { takeTypedOnLeaving } from './app/typed.ts';
import { say } from './app/say.ts';
import { onFileGone } from './app/stale.ts';
import { whyNot } from './store/why.ts';
import { STEPS } from './steps.ts';

const PAGES = [
  { path: '/', View: lazy(() => import('./jobs/JobsPage.tsx')) },
  { path: '/kept', View: lazy(() => import('./kept/KeptPage.tsx')) },
  { path: '/find', View: lazy(() => import('./find/FindPage.tsx')) },
  { path: '/bring-in', View: lazy(() => import('./kept/BringInPage.tsx')) },
  { path: '/hand-over/:id', View: lazy(() => import('./kept/HandOverPage.tsx')) },
  { path: '/help', View: lazy(() => import('./help/HelpPage.tsx')) },
  { path: '/help/words', View: lazy(() => import('./help/WordsPage.tsx')) },
  { path: '/help/:guide', View: lazy(() => import('./help/GuidePage.tsx')) },
  { path: '/kit', View: lazy(() => import('./ui/KitPage.tsx')) },
  { path: '/demo', View: lazy(() => import('./jobs/DemoPage.tsx')) },
];

// a promise nobody waits for that fails, or an error in an event: said, not swallowed
window.addEventListener('unhandledrejection', ({ reason }) => say(`Something did not work: ${whyNot(reason)}`));
window.addEventListener('error', ({ error }) => error && say(`Something did not work: ${whyNot(error)}`));
window.addEventListener('vite:preloadError', onFileGone);
listenToDatabase();
takeTypedOnLeaving();
// when the page is there
window.addEventListener('load', () => {
  void import('./app/offline.ts').then(({ workOffline }) => workOffline());
  void import('./app/rolling.ts').then(({ keepBackups }) => keepBackups());
});

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <App steps={STEPS} pages={PAGES} />
    </StrictMode>,
  );
