import type { PlainRoom } from '@kovelin/core/job/plain-room.ts';
import type { Reading } from '@kovelin/core/units/reading.ts';

export type Key = 'length' | 'width' | 'height';
/** A rectangular room as it is being said; a length that is null was not typed. */
export type SaidRoom = Omit<PlainRoom, Key> & Record<Key, Reading | null>;
