import { readAir } from '@kovelin/core/exchange/instruments.ts';
import { isNews } from '@kovelin/core/site/air.ts';
import { useEffect, useEffectEvent, useState } from 'react';
import type { SiteLog } from '../app/useLog.ts';

/** The logger is asked so often, ms. */
const EVERY = 60_000;

/** What the logger answers; a sentence where it does not. */
async function ask(): Promise<ReturnType<typeof readAir> | string> {
  try {
    const response = await fetch('/instruments/climate/now');
    return response.ok ? readAir(await response.text()) : 'it did not answer';
  } catch {
    return 'it cannot be reached';
  }
}

export interface Logger {
  readonly isFollowed: boolean;
  readonly follow: (isFollowed: boolean) => void;
  /** What is wrong, since when it read last; null: nothing. */
  readonly problem: string | null;
}

/** Follows the climate logger: what it reads is noted where it is news, and the clocks go by it. */
export function useLogger(log: SiteLog, who: string): Logger {
  const [isFollowed, follow] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const take = useEffectEvent((read: Awaited<ReturnType<typeof ask>>): void => {
    if (typeof read === 'string') return setProblem(read);
    if (!read.ok) return setProblem(read.problems[0]?.message ?? '');
    setProblem(null);
    const last = log.entries?.findLast((entry) => entry.kind === 'air');
    const since = last ? (Date.now() - Date.parse(last.at)) / 60_000 : Infinity;
    if (isNews(last?.kind === 'air' ? last.value : null, read.value, since))
      log.say({ kind: 'air', who, note: 'as the logger read it', value: read.value });
  });
  useEffect(() => {
    if (!isFollowed) return;
    let isLeft = false;
    const look = (): void => void ask().then((read) => !isLeft && take(read));
    look();
    const timer = setInterval(look, EVERY);
    return () => {
      isLeft = true;
      clearInterval(timer);
    };
  }, [isFollowed]);
  return { isFollowed, follow, problem: isFollowed ? problem : null };
}
