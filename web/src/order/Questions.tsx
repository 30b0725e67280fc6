import { ENDS } from '@kovelin/core/job/limits.ts';
import { COUNTRY_ROWS } from '@kovelin/core/job/region.ts';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { attempt } from '../app/database.ts';
import { ALL_OF_THE_KIT, KitQuestion } from '../app/KitQuestion.tsx';
import { meBefore, rememberKit, rememberMe } from '../store/kept.ts';
import type { WholeView } from '../app/whole.ts';
import { Message } from '../ui/Message.tsx';
import { PercentField } from '../ui/PercentField.tsx';

/** What a first quote needs to know, on the screen alone. */
export const Questions = ({ view }: { view: WholeView }) => (
  <div className="no-print">
    <TaxQuestion view={view} />
    <OwnedQuestion view={view} />
  </div>
);

/** A trade's quote does not sell the tools that they own. */
function OwnedQuestion({ view: { session, state, system } }: { view: WholeView }) {
  const { search } = useLocation();
  // until it is known that nothing was said, nothing is asked
  const [ownsNone, setOwnsNone] = useState(true);
  useEffect(() => {
    void attempt('What you said before was not found', meBefore).then((me) => me && setOwnsNone(me.ownsNone));
  }, []);
  if (ownsNone || Object.keys(state.job.owned).length) return null;
  const none = () => {
    setOwnsNone(true);
    void rememberMe({ ownsNone: true });
  };
  const all = () => {
    const edits = Object.entries(ALL_OF_THE_KIT).map(
      ([key, pieces]) => ({ name: 'setOwned', args: { key, pieces } }) as const,
    );
    session.run({ name: 'together', args: { edits } });
    void rememberKit(ALL_OF_THE_KIT);
  };
  return (
    <KitQuestion
      system={system}
      onAll={all}
      onNone={none}
      tick={
        <Button component={Link} variant="outlined" to={`../order${search}`} relative="path">
          Let me tick, in Order
        </Button>
      }
    />
  );
}

/** Asked at the first quote in a country that has a tax on such work; the answer goes on to later jobs there. */
function TaxQuestion({ view: { session, state } }: { view: WholeView }) {
  const { country } = state.job.region;
  const { tax } = state.job.pricing;
  const usual = COUNTRY_ROWS[country].tax;
  const [typed, setTyped] = useState<number | null>(null);
  if (usual === null || tax !== null) return null;
  const name = state.job.pricing.taxName;
  const rate = typed ?? usual;
  const answer = (said: number) => {
    session.edit({ name: 'setPricing', args: { set: { tax: said } } });
    void rememberMe({ tax: { country, rate: said } });
  };
  return (
    <div className="tax-question">
      <Message kind="note">Do you charge {name}? Until you say so, the quote says that it is not said.</Message>
      <PercentField
        label={`${name}, usually`}
        value={rate}
        ends={ENDS.share}
        onCommit={(next) => (setTyped(next), null)}
      />
      <Button variant="contained" onClick={() => answer(rate)}>
        Yes, {Number((rate * 100).toFixed(2))} %
      </Button>
      <Button variant="outlined" onClick={() => answer(0)}>
        No {name}
      </Button>
    </div>
  );
}
