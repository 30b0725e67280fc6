import { capital, pair, phrase, type Word } from '../units/word.ts';
import { DEFECT } from './found.ts';
import { THE, TRIM } from './terms.ts';

/**
 * Words of the trade, each in a sentence or two. Coating terms mean what ISO 4618 means by them, in plainer words [from memory];
 * the rest is common practice, no source.
 */
export interface Entry {
  /** Its picture, and its place in the address of the page. */
  readonly key: string;
  readonly term: Word;
  readonly meaning: Word;
}

export const GLOSSARY: readonly Entry[] = [
  {
    key: 'baseboard',
    term: phrase`${TRIM.baseboard} and ${TRIM.casing}`,
    meaning: phrase`The board along the floor, and the moulding round a door or window. Both are painted round their whole profile, which is wider than the face.`,
  },
  {
    key: 'batch',
    term: 'batch and boxing',
    meaning: capital(
      phrase`${THE.can}s of one colour mixed at different times may differ a little. Boxing pours them together, so that one wall is one colour.`,
    ),
  },
  {
    key: 'chalking',
    term: 'chalking',
    meaning:
      'Powder on the face of old paint: a dark cloth drawn over it comes away pale. New paint does not hold on it.',
  },
  {
    key: 'coat',
    term: 'coat and film',
    meaning:
      'What goes on in one go is a coat; what is left of it when it has dried is the film, about a third as thick.',
  },
  {
    key: 'cross-cut',
    term: 'cross-cut',
    meaning:
      'Six cuts and six across them, tape pressed on and pulled off: how much comes away says how well the old paint holds. ISO 2409 counts 0 to 5.',
  },
  {
    key: 'cut-in',
    term: 'cutting in',
    meaning:
      'Painting along an edge with a brush, where a roller cannot go: at the ceiling, in corners, round woodwork.',
  },
  {
    key: 'delta-e',
    term: 'ΔE',
    meaning: phrase`How far two colours are apart to the eye (CIEDE2000). About 1 is just seen side by side; 3 is seen by anybody.`,
  },
  {
    key: 'feather',
    term: 'feathering',
    meaning:
      'Thinning an edge out to nothing, of filler with a broad knife and paper, of paint with a nearly dry brush, so that no ridge stays.',
  },
  {
    key: 'flashing',
    term: DEFECT.flashing.name,
    meaning: phrase`Patches that shine more or less than the rest, though the colour is right: the ground drank the paint unevenly.`,
  },
  {
    key: 'grain',
    term: 'grit',
    meaning: 'How fine a paper is: 120 takes down, 180 keys a sound film, 220 and finer smooths between coats.',
  },
  {
    key: 'hiding',
    term: 'hiding, or opacity',
    meaning:
      'How well a paint covers what is below, as the share of a white chart’s light that it sends back over black: 98 % hides in one full coat, 93 % asks for two or three.',
  },
  {
    key: 'miss',
    term: DEFECT.miss.name,
    meaning: 'A place that the roller did not reach. It is seen in raking light, and later than one would like.',
  },
  {
    key: 'key',
    term: pair('deglossing', 'keying'),
    meaning: pair(
      'Dulling a shiny film with paper or a liquid, so that the next coat has something to hold on to.',
      'Rubbing a shiny film dull with paper, so that the next coat has something to hold on to.',
    ),
  },
  {
    key: 'lap',
    term: DEFECT.lap.name,
    meaning: 'A band where wet paint went over paint that had begun to set: two films, seen as a stripe.',
  },
  {
    key: 'lay-off',
    term: 'laying off',
    meaning: 'The last strokes over paint that is still wet, all one way and without pressing, so that it dries even.',
  },
  {
    key: 'lead-lap',
    term: 'who laps over whom',
    meaning:
      'Where two finishes meet, the first is brought a little past the line and the second is cut to it: one straight edge instead of two.',
  },
  {
    key: 'lrv',
    term: 'LRV',
    meaning: phrase`The share of light a colour sends back, 0 for black, 100 for white. Dark colours ask more of a ground and show scuffs.`,
  },
  {
    key: 'misclosure',
    term: 'measurements that fit',
    meaning:
      'Walls walked round in order must end where they began. What is missing then is shared out, or points at the wall that was read wrong.',
  },
  {
    key: 'nap',
    term: phrase`${THE.pile} of a ${THE.cover}`,
    meaning:
      'The length of its hair. Short leaves a fine film on smooth walls; long holds more and reaches into rough ones.',
  },
  {
    key: 'open-time',
    term: 'open time and wet edge',
    meaning:
      'Paint can be joined without a mark only while its edge is wet; warm, dry or moving air makes that shorter.',
  },
  {
    key: 'primer',
    term: 'primer',
    meaning:
      'The first coat, for what lies below: it seals what drinks, holds on what is slippery, blocks stains that would come through.',
  },
  {
    key: 'raking',
    term: 'raking light',
    meaning:
      'Light that falls along a wall, from a window beside it or a lamp held close: it shows every ridge and hollow.',
  },
  {
    key: 'recoat',
    term: 'dry, and ready for the next coat',
    meaning:
      'Dry to the touch is not yet ready. The label’s recoat time holds at its own air; cold and damp make it longer.',
  },
  {
    key: 'run',
    term: DEFECT.run.name,
    meaning: 'Too much paint in one place runs down before it sets, and dries as a curtain.',
  },
  {
    key: 'sheen',
    term: 'sheen',
    meaning: pair(
      'How much a finish shines: flat, matte, eggshell, satin, semi-gloss, gloss. More shine wipes better and shows more.',
      'How much a finish shines: flat, matt, eggshell, satin, semi-gloss, gloss. More shine wipes better and shows more.',
    ),
  },
  {
    key: 'spread',
    term: 'spread rate',
    meaning: phrase`The area that a measure of paint covers in one coat. The label’s holds for a smooth wall; texture and thirst take more of the ${THE.can}.`,
  },
  {
    key: 'wash',
    term: 'sugar soap',
    meaning: 'A strong cleaner for walls: grease and smoke go first, or nothing holds. Rinse, and let it dry.',
  },
];
