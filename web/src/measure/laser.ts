import { readShot, type Shot } from '@kovelin/core/exchange/instruments.ts';
import { freshId } from '../store/ids.ts';

export type Link = 'waiting' | 'ready' | 'lost';
interface Listening {
  /** A shot for this tab: the last one of those that listen which had the focus. */
  readonly onShot: (shot: Shot) => void;
  /** What the meter sent that is no shot. */
  readonly onNonsense: (sentence: string) => void;
  readonly onLink: (link: Link) => void;
}

const STREAM = 'kovelin-laser-stream';
type News = { readonly text: string } | { readonly taker: string } | { readonly link: Link };

/**
 * Listens to the meter. All tabs share one stream, for a browser opens six to an origin and no more: the tab that holds the
 * lock has it and tells the others. A tab that cannot be seen gives it up, and asks for what it missed when it is seen again.
 */
export function listenToLaser({ onShot, onNonsense, onLink }: Listening): () => void {
  const me = freshId();
  const channel = new BroadcastChannel(STREAM);
  const seen = new Set<string>();
  let [taker, last] = [me, ''];
  let giveUp: (() => void) | null = null;

  const hear = (text: string) => {
    const shot = readShot(text);
    if (!shot.ok) return onNonsense(shot.problems[0]?.message ?? '');
    if (seen.has(text)) return;
    seen.add(text);
    last = String(shot.value.id);
    if (taker === me) onShot(shot.value);
  };
  const tell = (news: News) => channel.postMessage(news);
  channel.onmessage = ({ data }: MessageEvent<News>) => {
    if ('text' in data) hear(data.text);
    else if ('taker' in data) taker = data.taker;
    else onLink(data.link);
  };
  const focused = () => {
    taker = me;
    tell({ taker });
  };

  /** Holds the stream until it is given up. */
  const hold = () =>
    new Promise<void>((release) => {
      const events = new EventSource(`/instruments/laser/events${last ? `?after=${last}` : ''}`);
      const link = (state: Link) => {
        onLink(state);
        tell({ link: state });
      };
      events.onopen = () => link('ready');
      events.onerror = () => link('lost');
      events.addEventListener('shot', ({ data }: MessageEvent<string>) => {
        hear(data);
        tell({ text: data });
      });
      giveUp = () => {
        events.close();
        release();
      };
    });
  let asking: AbortController | null = null;
  const look = () => {
    asking?.abort();
    giveUp?.();
    giveUp = null;
    if (document.visibilityState === 'hidden') return;
    asking = new AbortController();
    navigator.locks.request(STREAM, { signal: asking.signal }, hold).catch((error: unknown) => {
      // given up before its turn came
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    });
  };
  look();
  focused();
  document.addEventListener('visibilitychange', look);
  window.addEventListener('focus', focused);
  return () => {
    document.removeEventListener('visibilitychange', look);
    window.removeEventListener('focus', focused);
    asking?.abort();
    giveUp?.();
    channel.close();
  };
}
