import type { TaskKind } from '../job/vocabulary.ts';
import { phrase, type Word } from '../units/word.ts';
import { nameWord, type Name } from '../words/names.ts';

/** What a go of work is in a picture of the day: a letter, so that colour is never alone. */
export type Mark = 'none' | 'prepare' | 'prime' | 'cut' | 'roll' | 'brush' | 'mask' | 'look';

interface Said {
  readonly name: Word;
  readonly coat: number;
}
interface TaskRule {
  /** Done all over a room before anybody goes on, or surface by surface. */
  readonly scope: 'room' | 'surface';
  readonly mark: Mark;
  readonly word: (of: Said) => Word;
}
const withCoat = ({ coat }: Said): string => (coat ? `, coat ${coat}` : '');
const room = (mark: Mark, word: string) => ({ scope: 'room', mark, word: () => word }) as const;
const priming = { scope: 'surface', mark: 'prime', word: ({ name }: Said) => phrase`Prime ${name}` } as const;

/** All there is to say of a go of work; which operations are in it stands in their rows. Order: TASKS. */
const TASK_RULES = {
  protect: room('none', 'Cover the floor and furniture, power and plates off'),
  wash: room('prepare', 'Wash and rinse'),
  fill: { ...room('prepare', ''), word: ({ coat }) => (coat > 1 ? `Fill, visit ${coat}` : 'Scrape and fill') },
  sand: room('prepare', 'Sand and dust off'),
  caulk: room('prepare', 'Caulk the joints'),
  spot: room('prime', 'Dab the pinholes, prime the spots'),
  'prime-cut': { ...priming, word: ({ name }) => phrase`Cut in ${name} with primer` },
  'prime-roll': priming,
  'prime-brush': priming,
  mask: { scope: 'surface', mark: 'mask', word: (of) => phrase`Tape up for ${of.name}${withCoat(of)}` },
  card: room('mask', 'Set card along the floor'),
  lap: { scope: 'surface', mark: 'cut', word: (of) => phrase`Lap ${of.name}${withCoat(of)}` },
  cut: { scope: 'surface', mark: 'cut', word: (of) => phrase`Cut in ${of.name}${withCoat(of)}` },
  roll: { scope: 'surface', mark: 'roll', word: (of) => phrase`Roll ${of.name}${withCoat(of)}` },
  wet: { scope: 'surface', mark: 'roll', word: (of) => phrase`Cut in and roll ${of.name}${withCoat(of)}` },
  brush: { scope: 'surface', mark: 'brush', word: (of) => phrase`Paint ${of.name}${withCoat(of)}` },
  wax: { scope: 'surface', mark: 'brush', word: (of) => phrase`Wax ${of.name}` },
  unmask: { scope: 'surface', mark: 'mask', word: (of) => phrase`Pull the tape of ${of.name}` },
  look: room('look', 'Look it over, dry, from the side'),
  mend: {
    scope: 'surface',
    mark: 'look',
    word: ({ name, coat }) => phrase`Mend ${name}${coat > 1 ? `, visit ${coat}` : ''}`,
  },
  'touch-up': room('look', 'Touch up'),
  clear: room('none', 'Plates on, uncover and clear'),
} as const satisfies Record<TaskKind, TaskRule>;

/** The row of a task: its word, and what is in it. */
export const taskRule = (kind: TaskKind): TaskRule => TASK_RULES[kind];

/** “Cut in wall A, coat 2”, “Fill, visit 2”. */
export const taskWord = (task: {
  readonly kind: TaskKind;
  readonly coat: number;
  /** null: done to the room as a whole. */
  readonly name: Name | null;
}): Word => taskRule(task.kind).word({ name: task.name ? nameWord(task.name) : '', coat: task.coat });
