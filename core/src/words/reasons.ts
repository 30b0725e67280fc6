import type {
  Conditioner,
  BoardLevel,
  Condition,
  ExistingCoat,
  Fibres,
  Hand,
  LineMethod,
  PaintFamily,
  PrimerKind,
  RoomUse,
  Sheen,
  Stain,
  Substrate,
  Texture,
  Toucher,
} from '../job/vocabulary.ts';
import { INCH } from '../units/si.ts';
import { aboutLength } from '../units/length.ts';
import { capital, counted, inBoth, inOrder, phrase, type Word } from '../units/word.ts';
import { across, coatsWord, conditionerWord, pileWord } from './systems.ts';
import {
  BRUSH,
  COAT,
  CONDITION,
  FABRIC,
  FAMILY,
  HAND,
  LEVEL,
  PRIMER,
  ROOM_USE,
  SHEEN,
  STAIN,
  SUBSTRATE,
  TEXTURE,
  THE,
  TOUCHER,
  type Words,
} from './terms.ts';

const deltaE = (delta: number): string => `ΔE ${delta.toFixed(1)}`;
/** What a finish would go over. */
const OVER: Words<ExistingCoat> = {
  'water-borne': 'a coat of water-based paint',
  oil: 'a coat of oil',
  clear: 'a clear coat',
  bare: 'bare ground',
  unknown: 'a coat nobody knows',
};
type Hidden = { readonly hiding: number; readonly delta: number; readonly limit: number };
const BRIGHT = { red: 'a bright red', orange: 'a bright orange', yellow: 'a bright yellow', 'deep-red': 'a deep red' };
const perCent = (share: number): string => `${Math.round(share * 100)} %`;
const allOf = <K extends string>(table: Readonly<Record<K, Word>>, keys: readonly K[]): Word =>
  inOrder(keys.map((key) => table[key]));

const far = (metres: number): Word => inBoth((system) => aboutLength(metres, system));
/** “about 1 in 40”: as few digits as are known. */
export function oneIn(share: number): string {
  const n = 1 / share;
  const step = n < 10 ? 1 : n < 100 ? 5 : 10 ** Math.floor(Math.log10(n));
  return n > 2000 ? 'hardly any' : n < 1.5 ? 'nearly all' : `about 1 in ${Math.round(n / step) * step}`;
}
const dosedWith = ({ seen, dose }: { seen: number; dose: Conditioner }): Word =>
  phrase`${dose ? phrase`, with conditioner (${conditionerWord(dose)})` : ''}: a mark is seen on ${oneIn(seen)} like it`;
/** How many strips are laid off in one; 0: all of the surface. */
const stripsWord = (strips: number): string =>
  strips === 0 ? 'all of it at the end' : strips === 1 ? 'one strip at a time' : `${strips} strips at a time`;

/** What each way of making a line asks of the hand. */
const METHOD_HOW: Readonly<Partial<Record<LineMethod, Word>>> = {
  tape: 'burnish the tape with a hard plastic or metal edge; it is for one coat, and comes off at once',
  'tape-sealed': phrase`burnish the tape, and seal its edge with the colour underneath, so that what bleeds is not seen`,
  'tape-caulked': 'run a thin bead along the tape’s edge and wipe it; pull before the bead has skinned',
  straightened: 'sand the corner, run a bead no wider than it needs and let it dry: the line is cut to the bead',
  shield: 'wipe the shield at every step, so that its back stays clean',
  edger: 'load the pad with a brush, and keep its wheels clean: what is on them is on the ceiling next',
  wrap: 'the roller goes into the corner by itself; only where its rough edge need not be fine',
};

/** What makes a line harder or easier, whichever way round it is made. */
const LINE_REASONS = {
  overhead: 'a ceiling cut overhead against a finished wall is hard to keep straight',
  'off-hand': 'it runs at the side where the hand is worse',
  wavy: 'the corner is wavy: tape it straight to the eye, or sand it and run a fine bead first',
  rough: 'into rough plaster a light load drinks in: easier by hand than on smooth',
  popcorn: 'sprayed texture is kept clear of by a hair, by brush; do not disturb it',
  'light-over-deep': 'light paint has a deep lap to hide here',
  'deep-on-light': 'a slip of deep paint on the light side is seen from the door',
} as const satisfies Record<string, string>;
export type LineReason = keyof typeof LINE_REASONS;

/** Every rule in the reader's words; what it is given are the numbers and keys the rule used. */
export const WORDING = {
  'prep.plates': () => 'plates come off, so that no line is cut round them',
  'prep.hardware': () => 'hardware comes off or is masked',
  'prep.kitchen': () => 'grease from cooking makes paint crawl',
  'prep.handled': () => 'hands leave wax and grease here',
  'prep.wash': () => 'paint does not hold on dust and soot',
  'prep.peeling': () => 'what peels is scraped and feathered, or the new coat lifts with it',
  'prep.repairs': (w: { repairs: number }) => phrase`${counted(w.repairs, 'hole')} to fill`,
  'prep.chalky': () => 'chalk is washed off, or the paint holds to powder',
  'prep.wax-unknown': () => 'nobody knows whether it was waxed: washed and sanded as if; a test spot could save it',
  'prep.smoke': () => 'soot and grease come off first, or they come through and paint crawls',
  'prep.sand-school': () => 'your practice, sound old paint: sanded, lumps scraped, wiped damp; no washing to wait for',
  'prep.clear': () => 'clear over clear: sanded dull, and all dust off',
  'prep.bare-wood': () => 'bare wood is sanded before its primer: it has no old coat to wash',
  'prep.bare-metal': () => 'bare metal is degreased and keyed',
  'prep.bare': (w: { substrate: Substrate }) =>
    phrase`bare ${SUBSTRATE[w.substrate === 'unknown' ? 'drywall' : w.substrate]} is dusted, nothing more`,
  'prep.no-water': () => 'no water on bare ground: filler and joints soften, wood swells',
  'prep.suspect': (w: { texture: Texture; fibres: Fibres }) =>
    w.fibres === 'found'
      ? phrase`asbestos was found in this ${TEXTURE[w.texture]}: nothing touches it but paint, rolled on gently; removal is for licensed people`
      : phrase`an old ${TEXTURE[w.texture]} nobody has tested: kept clear of, and painted over gently; nothing washed, scraped or sanded before a laboratory has seen it`,
  'prep.soft-texture': () => 'a sprayed texture comes off with water or paper: dusted at most',
  'prep.chalk-type': () => 'chalk-type paint asks for a clean surface and no more',
  'prep.gloss': (w: { sheen: Sheen }) => phrase`the ${SHEEN[w.sheen]} coat there gives no key`,
  'prep.oil': () => 'an oil or clear coat is always sanded before anything water-based',
  'prep.flat-sand': () => 'filled places and old edges are sanded level',
  'prep.joints': () => 'open joints show as dark lines beside fresh paint',
  'primer.weak-twice': () =>
    'weak ground needs a penetrating primer, twice by your practice: the second saves finish paint',
  'primer.chalky': () => 'chalk is bound by a penetrating primer; a film-forming one would hold to powder',
  'primer.not-wiped': () =>
    'nobody knows whether it chalks, so it is treated as if it did; wiping it with a dark cloth could save this coat',
  'primer.tint': (w: { tint: string; saves: number }) =>
    phrase`this coat is needed anyway: tinted to ${w.tint} it saves ${coatsWord(w.saves)} of paint`,
  'primer.tint-alone': (w: { tint: string; saves: number }) =>
    phrase`a full undercoat tinted to ${w.tint} saves ${coatsWord(w.saves)} of paint: more than it costs`,
  'primer.chalk-type': () => 'chalk-type paint holds without a primer',
  'primer.clear': () => 'a clear finish goes on without a primer',
  'primer.bare-places': () => 'bare places on wood take an undercoat, by brush',
  'primer.no-stains': () => 'no stains to block',
  'primer.smoke': () => 'smoke comes through everywhere: it is blocked all over',
  'primer.pinholes': () => 'pinholes on sound paint are dabbed with the finish itself: no primer for them',
  'primer.patched-wood': () => 'filled places on wood take a spot of undercoat',
  'primer.weak': () => 'weak or chalky ground needs a penetrating primer; a film-forming one lets the paint lift',
  'primer.oil': (w: { coat: ExistingCoat }) =>
    phrase`the existing coat is ${COAT[w.coat]}: a bonding primer first, then any finish`,
  'primer.unknown': () => 'the existing coat is unknown, so it is treated as oil; a solvent rub could save this coat',
  'primer.bare-board': () => phrase`bare ${SUBSTRATE.drywall} takes its own primer`,
  'primer.bare-plaster': () => 'bare plaster drinks: a penetrating primer strengthens it',
  'primer.bare-wood': (w: { substrate: Substrate }) => phrase`bare ${SUBSTRATE[w.substrate]} takes an undercoat`,
  'primer.bare-metal': () => 'bare metal takes a bonding primer',
  'primer.bare-masonry': () => 'bare masonry takes a penetrating primer',
  'primer.stains': (w: { stains: readonly Stain[] }) =>
    phrase`stains (${allOf(STAIN, w.stains)}) come through water-based paint; block them`,
  'primer.peeling': () => 'scraped places are spot-primed',
  'primer.repairs': () => 'patches drink and flash: a spot of sealing primer on each, by brush',
  'primer.none': (w: { coat: ExistingCoat }) => phrase`a sound ${COAT[w.coat]} coat in good order needs no primer`,
  'prep.wax': () => 'wax or polish is washed off and the surface sanded, or paint crawls',
  'prep.adhesion': (w: { adhesion: number }) =>
    `the old coat came away in the cross-cut (class ${w.adhesion}): scrape and sand to what holds`,
  'primer.rubbed': () => 'nothing came off on alcohol: the coat is oil, and a bonding primer goes first',
  'primer.adhesion': () => 'the old coat holds badly: a bonding primer over what is left',
  'sheen.washing-wins': (w: { sheen: Sheen }) =>
    phrase`raking light would like less than ${SHEEN[w.sheen]}; here washing weighs more`,
  'sheen.light-wins': (w: { level: BoardLevel; sheen: Sheen }) =>
    phrase`raking light on ${SUBSTRATE.drywall} of ${LEVEL[w.level]} shows every joint under ${SHEEN[w.sheen]}: one step flatter`,
  'coats.clear': () => 'two coats of clear: the first seals, the second builds; nothing has to be hidden',
  'coats.opacity': (w: { hue: keyof typeof BRIGHT; contrast: number; label: number }) =>
    phrase`${BRIGHT[w.hue]} hides worse than the pale colours a label speaks of: ${perCent(w.contrast)} taken for ${perCent(w.label)}, a starting value`,
  'coats.cut-band': (w: { coats: number }) =>
    phrase`the brushed band along the edges is thinner and wants ${coatsWord(w.coats)}`,
  'coats.tint': (w: { tint: string; saves: number; coats: number }) =>
    phrase`a full coat of undercoat tinted to ${w.tint} saves ${coatsWord(w.saves)} of paint: ${coatsWord(w.coats)} over it`,
  'warn.oil': (w: { coat: ExistingCoat }) =>
    phrase`water-based paint over ${OVER[w.coat]} without a bonding primer peels; “self-priming” on a label does not make it one`,
  'warn.weak': (w: { condition: Condition }) =>
    phrase`over ${CONDITION[w.condition]} ground a film-forming coat lifts off with what it holds to; let a penetrating primer in first`,
  'warn.fresh': () => 'plaster or filler here has not dried through: paint blisters; wait, and measure its moisture',
  'warn.damp': () => 'damp comes from somewhere: find and stop it before anything is painted',
  'warn.stains': () => 'stains come through without a blocking primer; “self-priming” on a label does not make it one',
  'warn.smoke': () => 'smoke comes through wherever it is not blocked: all of it takes the blocking primer',
  'warn.no-primer': (w: { kind: PrimerKind }) =>
    phrase`nothing in this job does what is asked here: add a ${PRIMER[w.kind]} in Order; none is ordered now`,
  'warn.wet-room': (w: { product: string }) =>
    `${w.product} is not made for wet rooms; steam lifts and stains it unless the room is aired well`,
  'warn.scrub': (w: { scrub: number }) =>
    `scrub class ${w.scrub} wears through where a wall is wiped; class 1 or 2 lasts`,
  'warn.recoat': (w: { recoat: number; least: number }) =>
    `a recoat after ${w.recoat} min over filled places soaks the filler and lifts it: give those ${w.least} min`,
  'warn.clear': () => 'a clear finish shows what it lies on: the old coat will be seen through it',
  'warn.suspect': () =>
    'this old texture may hold asbestos: washing, scraping and sanding it are not for this job before it was tested',
  'warn.wax': () => 'there is wax or polish below: without washing and sanding the paint crawls into beads',
  'warn.adhesion': (w: { adhesion: number }) =>
    `the old coat failed the cross-cut (class ${w.adhesion}); what does not hold must come off`,
  'warn.flat-wet': () => 'flat paint in a room with steam marks and cannot be wiped',
  'warn.pile-gloss': () => phrase`so long a ${THE.pile} leaves orange peel that gloss will show`,
  'warn.raking': (w: { sheen: Sheen; level: BoardLevel }) =>
    phrase`${SHEEN[w.sheen]} in raking light over ${SUBSTRATE.drywall} of ${LEVEL[w.level]} shows joints and screws; Level 5 is asked for there`,
  'warn.thin': (w: { coats: number; delta: number }) =>
    phrase`after ${coatsWord(w.coats)} the old colour shows through at thin spots (${deltaE(w.delta)})`,
  'caution.lead': (w: { year: number }) =>
    `Paint from before ${w.year} may hold lead, and your own code may name another year. Test before you scrape or sand; follow your local code, and leave what it reserves to certified people.`,
  'caution.asbestos': () =>
    'Old sprayed and deep textures may hold asbestos. Do not scrape, sand or wet them before a laboratory has tested them; follow your local code and leave removal to licensed people.',
  'caution.dust': () => 'Sanding dust harms lungs: wear a mask that fits, keep others out, and catch it as you go.',
  'caution.solvent': () =>
    'Solvents burn and harm: air the room, no flames. Rags with oil paint heat themselves up: dry them flat outside, or keep them under water.',
  'caution.electricity': () =>
    'Plates off only with the power off at the board, and tested. Anything beyond a plate is an electrician’s work.',
  'caution.wax-rags': () => 'Rags with oily wax heat themselves up: dry them flat outside, or keep them under water.',
  'caution.damp': () =>
    phrase`${capital(THE.mould)} over a large area, or damp that comes back, is work for someone who treats it; follow your local advice.`,
  'sheen.school-touch': (w: { wiped: 'often' | 'seldom' }) =>
    `your practice: flat walls that touch up; the price is a wall ${w.wiped === 'often' ? 'marked by wiping' : 'harder to wash'}`,
  'sheen.school-wipe': (w: { bumps: Texture | 'none' }) =>
    phrase`your practice: satin walls that wipe; the price is ${w.bumps === 'none' ? 'touch-ups that show' : phrase`every bump of ${TEXTURE[w.bumps]} shown`}`,
  'paint.oil': () => 'the paint chosen is oil: an oil enamel',
  'paint.piece': () => 'a chalk-type paint on a loose piece, sealed with wax',
  'paint.clear': () => 'the finish chosen is clear: it protects and hides nothing',
  'paint.trim': () => 'an enamel sets hard: doors and trim are handled, and must not stick',
  'paint.wet': () => 'a paint made for wet rooms stands steam; an ordinary one needs good airing',
  'paint.ceiling': () => 'ceiling paint is dead flat and spatters little',
  'paint.wall': () => 'an ordinary water-based wall paint: quick to dry, and it does not yellow',
  'style.equal': () => 'two equal coats, by your practice: the most film for the number of coats',
  'style.thin': () =>
    'a thin first coat, then full ones, by your practice: it dries soon and shows what was missed, for a little less film',
  'seal.chalk-type': () => 'chalk-type paint is soft: wax closes it; record it, for it hinders the next repaint',
  'seal.none': () => 'the paint is its own protection',
  'conditioner.oil': () => 'flow conditioner is for water-based paint',
  'conditioner.wet': (w: { seen: number; dose: Conditioner }) =>
    phrase`it stays open longer: with conditioner (${conditionerWord(w.dose)}) a mark is seen on ${oneIn(w.seen)}, and the marks it saves would cost more`,
  'conditioner.none': () => 'laps hardly show here, or it would cost more than the marks it saves: all its hiding kept',
  'cover.house': () => phrase`your house-standard ${THE.cover} is the very one: touch-ups will match`,
  'cover.house-long': () =>
    phrase`your house-standard ${THE.cover} serves: one ${THE.pile} longer, a little more stipple; touch-ups match`,
  'cover.house-short': () =>
    phrase`your house-standard ${THE.cover} serves: one ${THE.pile} shorter, a little less paint; touch-ups match`,
  'cover.house-not': () => phrase`your house-standard ${THE.cover} does not serve here`,
  'cover.brick-half': () => phrase`your practice: ${pileWord(0.013)} on brick, less spatter, with more working in`,
  'warn.family': (w: { family: PaintFamily }) =>
    phrase`${FAMILY[w.family]} on what is handled stays soft and sticks: an enamel sets hard`,
  'warn.one-heavy': () =>
    phrase`one heavy coat sags and dries slowly; it is defended only on doors whose colour does not change`,
  'warn.moisture': (w: { moisture: number; dry: number }) =>
    `a reading of ${w.moisture} % is above ${w.dry} %: let it dry further before painting`,
  'how.plates-off': () => 'power off, plates off, each with its own screws in a bag; tape over what stays',
  'how.hardware-off': () => 'handles and catches off, or masked',
  'how.wash': () => 'sponge with sugar soap, rinse, let dry',
  'how.degrease': () => 'degrease, rinse twice, let dry; look out for wax',
  'how.scrape': () => 'scrape to what holds; feather the edges',
  'how.fill': () => 'fill proud, let dry, rub level',
  'how.degloss': () => 'rub until it is dull all over',
  'how.sand': () => 'scrape lumps, sand, catching the dust',
  'how.dust': () => 'vacuum and wipe; no dust while paint is wet',
  'how.wipe': () => 'wipe with a damp, wrung cloth; it is dry in minutes',
  'how.caulk': () => 'a fine bead in open joints, wiped once',
  'how.between': () => 'rub down lightly between coats, and dust',
  'hole.pinhole': () => 'fine filler pressed in with a knife',
  'hole.coin': () => 'back it first, then fill in two goes',
  'hole.large': () => phrase`cut square, back, patch with ${SUBSTRATE.drywall} and tape`,
  'hole.anchor': () => 'drawn out by its screw, then filled',
  'sheen.wet-ceiling': () => phrase`steam in this room: a ${SHEEN.matte} ceiling wipes, a flat one marks`,
  'sheen.ceiling': () => 'flat hides what the light across a ceiling would show',
  'sheen.scrub': (w: { scrub: number }) =>
    phrase`scrub class ${w.scrub} wipes whatever its sheen: ${SHEEN.matte} forgives, and touches up`,
  'sheen.bath': () => 'splashed and steamed walls need satin',
  'sheen.wiped': (w: { touched: readonly Toucher[]; use: RoomUse }) =>
    phrase`walls here are wiped (${w.touched.length ? allOf(TOUCHER, w.touched) : ROOM_USE[w.use]}): eggshell at least`,
  'sheen.rough': (w: { texture: Texture }) => phrase`sheen would show every bump of ${TEXTURE[w.texture]}`,
  'sheen.living': () => 'eggshell for a living room: it wipes and still forgives',
  'sheen.quiet': () => phrase`little wear here: ${SHEEN.matte} forgives flaws and touches up`,
  'sheen.wet-trim': () => 'trim in a wet room is wiped often: semi-gloss',
  'sheen.trim': () => 'satin for trim: durable, and it shows fewer brush marks than gloss',
  'sheen.offered': (w: { wanted: Sheen; offered: readonly Sheen[] }) =>
    phrase`${SHEEN[w.wanted]} was wanted, but this paint is made in ${allOf(SHEEN, w.offered)}`,
  'cover.deep': () => phrase`a deep texture needs the longest ${THE.pile} to reach its hollows`,
  'cover.brick': (w: { texture: Texture }) => phrase`${TEXTURE[w.texture]} needs a long ${THE.pile}`,
  'cover.rough': (w: { texture: Texture }) => phrase`${TEXTURE[w.texture]} needs more than a smooth-wall ${THE.pile}`,
  'cover.gloss': (w: { sheen: Sheen }) => phrase`${SHEEN[w.sheen]} shows stipple: the shortest ${THE.pile}`,
  'cover.door-textured': () => phrase`a textured door is rolled with a longer ${THE.pile}, then brushed out`,
  'cover.door': () => phrase`doors want the shortest ${THE.pile}`,
  'cover.trim': () => phrase`a narrow short-${THE.pile} ${THE.cover} for runs of trim, then laid off with the brush`,
  'cover.smooth': (w: { texture: Texture; sheen: Sheen }) =>
    phrase`${TEXTURE[w.texture]}, ${SHEEN[w.sheen]}: the ordinary wall ${THE.pile}; longer would leave stipple`,
  'cover.fabric-board': () => phrase`nylon-polyester for primer and paint on bare ${SUBSTRATE.drywall}`,
  'cover.fabric-gloss': () => 'foam leaves the finest film for gloss',
  'cover.fabric-long': () => 'woven carries paint into texture',
  'cover.fabric': () => phrase`${FABRIC.microfibre} sheds least and washes well`,
  'cover.narrow': () => phrase`${across(4 * INCH)} for trim and doors`,
  'cover.wide': () => phrase`${across(9 * INCH)} for a wall or ceiling`,
  'cover.medium': () => phrase`${across(6 * INCH)} for what is small`,
  'cover.large': () => phrase`${across(12 * INCH)} in a large room`,
  'cover.vast': () => phrase`${across(18 * INCH)} in a hall`,
  'brush.broad': () => phrase`a ${across(2.5 * INCH)} ${BRUSH['angled-sash']} holds a line along walls and ceilings`,
  'brush.trim': () => phrase`a ${across(2 * INCH)} ${BRUSH['angled-sash']} for trim and doors`,
  'brush.synthetic': () => 'water-based paint softens natural bristle',
  'brush.natural': () => 'natural bristle lays oil paint best',
  'coats.hiding': (w: Hidden) =>
    phrase`thin spots come within ${deltaE(w.limit)} of full hiding after ${coatsWord(w.hiding)} (${deltaE(w.delta)})`,
  'coats.not-hiding': (w: Hidden) =>
    phrase`thin spots still differ by ${deltaE(w.delta)} after ${coatsWord(w.hiding)}; a tinted primer or a better-hiding paint is called for`,
  'coats.minimum': (w: { minimum: number }) =>
    phrase`never under ${w.minimum} in a new colour or sheen: one rolled film is too uneven to wear`,
  'lag.covered': () => 'floor and furniture are covered before anything else',
  'lag.washed': () => 'what was washed is dry first',
  'lag.visit': () => 'filler dries before more goes on it: deep holes in layers',
  'lag.filled': () => 'filler is dry before it is sanded or painted',
  'lag.dust': () => 'no dust once paint is wet: the whole room is sanded and dusted first',
  'lag.caulked': () => 'caulk skins before it is painted',
  'lag.waxed': () => 'chalk-type paint is dry before it is worn, highlighted and waxed',
  'lag.spotted': () => 'spot-priming is dry before the coat',
  'lag.primed': () => 'primer is dry before the coat',
  'lag.recoat': () => 'the recoat time of the label',
  'lag.cut-first': () => 'cut in first, then rolled close to the cut',
  'lag.wet-cut': () => 'the last coat is rolled while its cut is wet, or a halo stays',
  'lag.wet-edge': () => 'nothing is cut against a film of another finish before it is dry',
  'lag.dust-wet': () => 'no dust in a room where a film is wet',
  'lag.follow': () => 'one cuts, one rolls behind, before the cut sets',
  'lag.top-down': () => 'walls are cut against a ceiling that is dry',
  'lag.over-trim': () => 'the ceiling’s last coat spatters: trim waits for it',
  'lag.lapped': () => 'an edge that was lapped is dry before the other side is cut to it',
  'lag.face-waxed': () => 'sashes are waxed where they meet when they are dry, before they are shut for the evening',
  'lag.first-thing': () => 'edges that get tape are lapped first thing: they have hardened when it is put on',
  'lag.deep-first': () => phrase`deep colours dry slowly: they go on first`,
  'lag.lap-first': () => 'the lap may go on long before its field',
  'lag.tape-after': () => 'fresh paint hardens before tape lies on it',
  'lag.pull-tacky': () => 'by your practice, tape comes off while the paint is tacky',
  'lag.pull-dry': () => 'by your practice, tape comes off dry, its edge scored',
  'lag.trim-first': () => 'your practice, trim first: walls are cut to trim that is dry',
  'lag.walls-first': () => 'your practice, trim last: it is painted against walls that are dry',
  'lag.dry-to-mask': () => 'masked when what it lies on is dry',
  'lag.masked': () => 'masked first',
  'lag.pulled': () => 'tape comes off when the last coat is on',
  'lag.look': () => 'looked at when dry: some lines vanish, some appear',
  'lag.look-whole': () => 'looked at when the masking is off',
  'lag.mend': () => 'mended when it is dry and was looked at',
  'lag.mended': () => 'each step of mending dries before the next',
  'lag.mend-first': () => 'mended before the next coat, which hides it',
  'lag.touch-up': () => 'touched up where the look found something',
  'lag.clear': () => 'the room is cleared last, never beside wet walls',
  'caution.stairs': () =>
    'Over stairs only from a platform or scaffold made for stairs, never a ladder on a tread; follow your local code, and have it put up by somebody trained.',
  'caution.height': () =>
    'Above a pole’s reach: a ladder leans at 4 up to 1 out, footed and tied; longer work wants a tower with its rails on. Follow your local code.',
  'play.landing': () =>
    phrase`land the brush ${across(0.25 * INCH)} off the line, then ease up to it; check it from the floor`,
  'play.short': () =>
    phrase`stop ${across(0.125 * INCH)} to ${across(0.25 * INCH)} short of trim and of other finishes: only the last coat is cut to the line`,
  'play.inside': () =>
    phrase`where tape lay for the first coat, cut ${across(INCH / 16)} to ${across(0.125 * INCH)} inside its line: quicker, and nothing shows`,
  'play.pole': () => 'roll from the floor with a pole; what it does not reach from a tower or steps',
  'play.rolled-first': () => 'rolled as close to the line as possible before it is cut: this coat is not the last',
  'play.back-rolled': (w: { width: number }) =>
    phrase`roll over the brushed band with a ${across(w.width)} ${THE.cover} while it is wet, for its stipple to match`,
  'play.twice': () => 'the band is cut again when it is dry: a brushed film is thinner than a rolled one',
  'play.rest': () => phrase`a new ${THE.cover}: work its first load in and let it rest about a minute`,
  'play.hand': (w: { hand: Hand; from: Hand }) =>
    `${HAND[w.hand]}: from the ${w.from}, and the hands are changed at the far corner`,
  'play.out-of-corner': (w: { cover: number }) =>
    phrase`start half a ${THE.cover} (${across(w.cover / 2)}) out of the corner; each later load half to one from the last strip, then back into the wet`,
  'play.zigzag': () => 'spread each load in a W or an M, and fill it in without lifting the roller',
  'play.upright': () => 'spread each load up and down, stroke beside stroke',
  'play.ends-last': () => 'keep off top and bottom until the roller is unloaded',
  'play.lay-off-up-and-back': (w: { strips: number }) =>
    phrase`lay off upward and back in one, ${stripsWord(w.strips)}`,
  'play.lay-off-down': (w: { strips: number }) => phrase`lay off downward only, ${stripsWord(w.strips)}`,
  'play.no-lay-off': () => 'not laid off: this paint dries too fast to be gone over',
  'play.whole': () => 'corner to corner without a stop; what is setting is left alone',
  'play.narrow': () => 'so narrow that it is rolled along its length',
  'play.ceiling-across': () => 'across the light of the window; the next coat along it',
  'play.ceiling-along': () => 'along the light of the window, across the coat before',
  'play.ceiling-none': () => 'no window decides the way: either will do, each coat across the last',
  'play.half': () => 'overlap each strip by half; edges and round fittings come first',
  'play.tray': () => 'the tray goes along, so that no load is carried far',
  'play.ladder': () =>
    'what a hand does not reach is cut from a ladder, moved rather than leaned from; lean it 1 out for 4 up, and keep to the rules of the site',
  'play.hung': () => 'the door stays hung, wedged from below; hardware is off or masked',
  'play.edges': () => 'edges first, with little paint',
  'play.joints': () => 'the piece that butts before the one that closes its joint: panels, muntins, rails, stiles',
  'play.row-by-row': () => 'row by row, for the paint sets too fast for all panels first',
  'play.smooth': (w: { pile: number }) =>
    phrase`smooth: ${pileWord(w.pile)}, mouldings by brush, each piece laid off along its grain`,
  'play.rolled-out': (w: { pile: number }) =>
    phrase`textured: ${pileWord(w.pile)} over the whole face, then brushed out in the order of its joints`,
  'play.pieces': (w: { pile: number }) =>
    phrase`textured: ${pileWord(w.pile)}, each piece rolled and brushed out by itself`,
  'play.faces-in-turn': () => 'one face without a stop, then the other',
  'play.drips': () => phrase`look for drips last, at the mouldings and under the edges`,
  'play.waxed': () => 'when it is dry, wax the faces that meet the stops; degrease them before the next repaint',
  'play.run': () => 'small sections, strokes one way: out of the dry, into the wet',
  'play.sash': () => 'bars, then rails, then stiles; the paint just laps onto the glass',
  'play.moved': () => 'sash by sash, and each is moved while it dries, so that it does not stick',
  'play.spindles': () => 'each from the top down, its faces one after the other; the handrail last',
  'play.radiator': () => 'cold, and what is behind and between first, with a bent brush; the front last',
  'play.shelf': () => 'what is hard to reach first: backs and undersides, then tops, the front edge last',
  'play.raised': () => 'raised on blocks off the floor; what stands behind first, the top last',
  'air.cold': () => 'too cold to paint: the film does not form',
  'air.hot': () => 'too hot to paint: it dries while it is worked',
  'air.damp': () => 'so damp that it dries late and may run',
  'air.dew': () => 'the surface is less than 3 °C above the dew point: it may be wet without looking so',
  'air.still-wet': () => 'in this air nothing dries',
  'wet.whole': (w: { seen: number; dose: Conditioner }) => phrase`roll it in one go${dosedWith(w)}`,
  'wet.sections': (w: { seen: number; dose: Conditioner; long: number }) =>
    phrase`section by section, ${far(w.long)} at a time${dosedWith(w)}`,
  'wet.follow': (w: { seen: number; dose: Conditioner; long: number }) =>
    phrase`one cuts and one rolls behind, never more than ${far(w.long)} apart${dosedWith(w)}`,
  'wet.two': (w: { seen: number; dose: Conditioner }) => phrase`two, from the middle outwards${dosedWith(w)}`,
  'wet.dry-edges': (w: { seen: number; dose: Conditioner }) =>
    phrase`cut all edges, let them dry, then roll it in one go${dosedWith(w)}`,
  'wet.face': (w: { seen: number; dose: Conditioner }) => phrase`brush out each face in one go${dosedWith(w)}`,
  'line.there': () => 'the other side is there already and is not painted with this job',
  'line.hidden': () => 'trim that is fitted later hides this line: it need not be fine',
  'line.cheaper': (w: { share: number }) => `${perCent(w.share)} cheaper than the other way round`,
  'line.as-a-whole': () => 'the other way round is cheaper here, and dearer for the room as a whole',
  'line.how': (w: { method: LineMethod }) =>
    METHOD_HOW[w.method] ?? 'the brush lands beside the line and eases up to it',
  'line.pinned': () => 'you pinned it',
  'line.other-way': (w: { reason: LineReason }) => phrase`the other way round: ${LINE_REASONS[w.reason]}`,
  'line.here': (w: { reason: LineReason }) => LINE_REASONS[w.reason],
  'line.trim-first': () => 'your practice, trim first: it laps onto the walls, and they are cut to it',
  'line.trim-last': () => 'your practice, trim last: it is cut to finished walls',
  'line.one-day': () => phrase`your practice, all in a day: ceilings and deep colours early, for they dry slowly`,
  'line.accent-out': () => 'your practice, accent first: it laps out round its corners, under the ceiling’s own lap',
  'line.accent-last': () => phrase`your practice, accent last: its neighbours and the ceiling lap onto it`,
  'coats.refresh': () => phrase`the same colour and sheen on a sound coat: one refreshes it`,
} satisfies Readonly<Record<string, (used: never) => Word>>;

export type RuleId = keyof typeof WORDING;
/** What a rule has to say with: nothing, or its numbers and keys. */
export type Uses<R extends RuleId> = Parameters<(typeof WORDING)[R]>;

/** Why: the rule and the numbers or keys it used. */
export interface Reason {
  readonly rule: RuleId;
  readonly with: Readonly<Record<string, string | number | readonly string[]>>;
}

/** Only with what the rule's sentence needs. */
export const because = <R extends RuleId>(rule: R, ...[used]: Uses<R>): Reason => ({ rule, with: used ?? {} });

/** The sentence of a reason, made here and nowhere else; `because` saw to it that it has its words. */
export const reasonWord = ({ rule, with: used }: Reason): Word =>
  (WORDING[rule] as (used: Reason['with']) => Word)(used);
