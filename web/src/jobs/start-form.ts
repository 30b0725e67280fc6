import type { PlainRoom } from '@kovelin/core/job/plain-room.ts';
import type { Reading } from '@kovelin/core/units/reading.ts';

export type Key = 'length' | 'width' | 'height';
/** What is asked on the first page; a length that is null was not typed. */
export type StartForm = Omit<PlainRoom, Key> & Record<Key, Reading | null>;
