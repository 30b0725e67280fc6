import Joi from 'joi';
import { MOST } from '@kovelin/core/job/limits.ts';
import type { SaidRoom } from './said-room.ts';

const WALL = 'Type how long this wall is, then the room can be drawn.';
const wall = Joi.object().required().messages({ '*': WALL });

/** What a room is drawn from: two lengths there must be, the rest has a usual value. */
export default Joi.object<SaidRoom>({
  length: wall,
  width: wall,
  name: Joi.string()
    .trim()
    .min(1)
    .max(MOST.name)
    .messages({ '*': `1 to ${MOST.name} characters are accepted.` }),
});
