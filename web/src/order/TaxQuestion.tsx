import { ENDS } from '@kovelin/core/job/limits.ts';
import { COUNTRY_ROWS } from '@kovelin/core/job/region.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { rememberMe } from '../store/kept.ts';
import type { WholeView } from '../app/whole.ts';
import { Message } from '../ui/Message.tsx';
import { PercentField } from '../ui/PercentField.tsx';

/** Asked at the first quote in a country that has a tax on such work; the answer goes on to later jobs there. */
export function TaxQuestion({ view: { session, state } }: { view: WholeView }) {
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
    <div className="tax-question no-print">
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
