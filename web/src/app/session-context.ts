import { createContext } from 'react';
import type { JobSession } from '../store/session.ts';

/** The open job of the page; null where there is none. */
export const SessionContext = createContext<JobSession | null>(null);
