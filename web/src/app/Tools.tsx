import { lazy, Suspense, useState } from 'react';
import { spelt } from '@kovelin/core/units/word.ts';
import { useJob } from './job-context.ts';
import { SCHEME_WORDS, useScheme } from '../ui/scheme.ts';
import Button from '@mui/material/Button';
import { useTyping } from './typed.ts';

const RegionDialog = lazy(() => import('./RegionDialog.tsx'));

const SAVING = { saved: 'Saved', saving: 'Saving …', failed: 'Not saved', gone: 'Deleted' } as const;

/** Whether it is saved, undo and redo, units, the scheme, and the list of keys. */
export function Tools({ onHelp }: { onHelp: () => void }) {
  const view = useJob();
  const { session, state } = view;
  const [region, setRegion] = useState(false);
  const { next, toNext } = useScheme();
  const typing = useTyping();
  const other = state.job.units === 'imperial' ? 'metric' : 'imperial';
  return (
    <div className="tools">
      <span className={`saving ${state.saving}`} role="status">
        {typing && state.saving === 'saved' ? 'Typing …' : SAVING[state.saving]}
      </span>
      <Button size="small" disabled={!state.canUndo} onClick={() => session.undo()}>
        Undo
      </Button>
      <Button size="small" disabled={!state.canRedo} onClick={() => session.redo()}>
        Redo
      </Button>
      <Button
        size="small"
        onClick={() => session.run({ name: 'setUnits', args: { units: other } })}
        title={spelt('Feet and inches, or metres', view.system)}
      >
        {state.job.units === 'imperial' ? 'ft in' : 'm mm'}
      </Button>
      <Button size="small" onClick={() => setRegion(true)} title="Where the job is" aria-label="Where the job is">
        {state.job.region.country === 'other' ? state.job.currency : state.job.region.country}
      </Button>
      <Button size="small" onClick={toNext} title="Light, dark, or for full daylight">
        {SCHEME_WORDS[next]}
      </Button>
      <Button size="small" onClick={onHelp} aria-label="Keys and guides">
        ?
      </Button>
      {region && (
        <Suspense fallback={null}>
          <RegionDialog view={view} onClose={() => setRegion(false)} />
        </Suspense>
      )}
    </div>
  );
}
