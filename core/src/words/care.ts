import { counted, phrase, type Word } from '../units/word.ts';
import { THE } from './terms.ts';

/** What whoever lives there should know. */
export const careWords = (days: number): readonly Word[] => [
  phrase`Do not wash the walls for ${counted(Math.round(days), 'day')}: paint is dry long before it has cured. Dab what must come off with a damp cloth.`,
  'Later: a soft sponge, lukewarm water, little soap, from below upwards; try it where nobody looks.',
  phrase`Touching up: the same paint and batch, the same way as it was put on, thin, feathered outward; let it dry before you judge. Satin, deep colours and raked walls are better painted corner to corner.`,
  'Keep what is left closed, upside down if the lid is sound, where it does not freeze; stir it to the bottom before use.',
  phrase`A label with the same words is on the ${THE.can}, and may be hidden behind a plate: any phone reads its code.`,
];
