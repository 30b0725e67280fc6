import { useEffect, useState, useSyncExternalStore } from 'react';
import { aimedAt, enterIn, listenToAim, typeInto } from '../app/aim.ts';

/** What the meter sends (docs/instruments.md). */
interface Shot {
  readonly id: number;
  readonly metres: number | null;
  readonly fault: 'no-return' | null;
}
type Link = 'waiting' | 'ready' | 'lost';

/** While it is shown, readings of the laser meter go to the length that has the focus, raw as they came, and on to the next. */
export default function LaserBar({ onNoTarget }: { onNoTarget: () => void }) {
  const [link, setLink] = useState<Link>('waiting');
  const [said, setSaid] = useState('');
  const target = useSyncExternalStore(listenToAim, () => aimedAt()?.label ?? null);
  useEffect(() => {
    const events = new EventSource('/instruments/laser/events');
    events.onopen = () => setLink('ready');
    events.onerror = () => setLink('lost');
    events.addEventListener('shot', (event: MessageEvent<string>) => {
      const shot = JSON.parse(event.data) as Shot;
      if (shot.metres === null)
        return setSaid(`Shot ${shot.id} got no answer: its target is too dark, too bright or too far. Aim again.`);
      if (!aimedAt()) onNoTarget();
      const at = aimedAt();
      const reading = `${shot.metres.toFixed(4)} m`;
      if (!at) return setSaid(`Shot ${shot.id}, ${reading}, went nowhere: click the length it belongs to.`);
      typeInto(at, () => reading);
      enterIn(at);
      setSaid(`${reading} went to “${at.label}”. Undo takes it back.`);
    });
    return () => events.close();
  }, [onNoTarget]);
  const state = {
    waiting: 'looking for the meter …',
    ready: target ? `the next reading goes to “${target}”` : 'the next reading goes to the first wall without a length',
    lost: 'the meter does not answer; type the lengths meanwhile, it is tried again by itself',
  }[link];
  return (
    <div className={`laser ${link}`} role="status">
      <b>Laser</b> {state}
      {said && <span>{said}</span>}
      <a href="/instruments/console/" target="_blank" rel="noreferrer">
        Its button (simulated)
      </a>
    </div>
  );
}
