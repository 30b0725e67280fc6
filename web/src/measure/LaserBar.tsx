import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Shot } from '@kovelin/core/exchange/instruments.ts';
import { aimedAt, enterIn, listenToAim, typeInto } from '../app/aim.ts';
import { listenToLaser, type Link } from './laser.ts';
import { Message } from '../ui/Message.tsx';

const KINDS = { waiting: 'doing', ready: 'done', lost: 'wrong' } as const;

/** While it is shown, readings of the laser meter go to the length that has the focus, raw as they came, and on to the next. */
export default function LaserBar({ onNoTarget }: { onNoTarget: () => void }) {
  const [link, setLink] = useState<Link>('waiting');
  const [said, setSaid] = useState('');
  const target = useSyncExternalStore(listenToAim, () => aimedAt()?.label ?? null);
  useEffect(() => {
    const onShot = (shot: Shot) => {
      if (shot.metres === null)
        return setSaid(`Shot ${shot.id} got no answer: its target is too dark, too bright or too far. Aim again.`);
      if (!aimedAt()) onNoTarget();
      const at = aimedAt();
      const reading = `${shot.metres.toFixed(4)} m`;
      if (!at) return setSaid(`Shot ${shot.id}, ${reading}, went nowhere: click the length it belongs to.`);
      typeInto(at, () => reading);
      enterIn(at);
      setSaid(`${reading} went to “${at.label}”. Undo takes it back.`);
    };
    return listenToLaser({ onShot, onNonsense: setSaid, onLink: setLink });
  }, [onNoTarget]);
  const state = {
    waiting: 'looking for the meter …',
    ready: target ? `the next reading goes to “${target}”` : 'the next reading goes to the first wall without a length',
    lost: 'the meter does not answer; type the lengths meanwhile, it is tried again by itself',
  }[link];
  return (
    <div className="laser">
      <Message kind={KINDS[link]}>
        <b>Laser</b> {state}
        {said && <span>{said}</span>}
        <a href="/instruments/console/" target="_blank" rel="noreferrer">
          Its button (simulated)
        </a>
      </Message>
    </div>
  );
}
