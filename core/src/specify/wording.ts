type Say = (w: Readonly<Record<string, string | number>>) => string;
const round = (value: string | number | undefined, digits = 1) => Number(value).toFixed(digits);

/** Every rule in the reader's words; `with` holds the numbers it used. */
export const WORDING = {
  'prep.plates': () => 'plates come off, so that no line is cut round them',
  'prep.hardware': () => 'hardware comes off or is masked',
  'prep.kitchen': () => 'grease from cooking makes paint crawl',
  'prep.handled': () => 'hands leave wax and grease here',
  'prep.wash': () => 'paint does not hold on dust and soot',
  'prep.peeling': () => 'what peels is scraped and feathered, or the new coat lifts with it',
  'prep.repairs': (w) => `${w['repairs']} ${w['repairs'] === 1 ? 'hole' : 'holes'} to fill`,
  'prep.chalky': () => 'chalk is washed off, or the paint holds to powder',
  'prep.wax-unknown': () => 'nobody knows whether it was waxed: washed and sanded as if; a test spot could save it',
  'prep.gloss': (w) => `the ${w['sheen']} coat there gives no key`,
  'prep.oil': () => 'an oil or clear coat is always sanded before anything water-borne',
  'prep.flat-sand': () => 'filled places and old edges are sanded level',
  'prep.joints': () => 'open joints show as dark lines beside fresh paint',
  'primer.weak-twice': () =>
    'weak ground needs a penetrating primer, twice by your practice: the second saves finish paint',
  'primer.chalky': () => 'chalk is bound by a penetrating primer; a film-forming one would hold to powder',
  'primer.not-wiped': () =>
    'nobody knows whether it chalks, so it is treated as if it did; wiping it with a dark cloth could save this coat',
  'primer.tint': (w) => `this coat is needed anyway: tinted to ${w['tint']} it saves ${w['saves']} of paint`,
  'primer.tint-alone': (w) =>
    `a full undercoat tinted to ${w['tint']} saves ${w['saves']} of paint: more than it costs`,
  'primer.weak': () => 'weak or chalky ground needs a penetrating primer; a film-forming one lets the paint lift',
  'primer.oil': (w) => `the existing coat is ${w['coat']}: a bonding primer first, then any finish`,
  'primer.unknown': () => 'the existing coat is unknown, so it is treated as oil; a solvent rub could save this coat',
  'primer.bare-board': () => 'bare board takes its own primer',
  'primer.bare-plaster': () => 'bare plaster drinks: a penetrating primer strengthens it',
  'primer.bare-wood': (w) => `bare ${w['substrate']} takes an undercoat`,
  'primer.bare-metal': () => 'bare metal takes a bonding primer',
  'primer.bare-masonry': () => 'bare masonry takes a penetrating primer',
  'primer.stains': (w) => `stains (${w['stains']}) come through water-borne paint; block them`,
  'primer.peeling': () => 'scraped places are spot-primed',
  'primer.repairs': () => 'patches drink and flash, so they are spot-primed',
  'primer.none': (w) => `a sound ${w['coat']} coat in good order needs no primer`,
  'prep.wax': () => 'wax or polish is washed off and the surface sanded, or paint crawls',
  'prep.adhesion': (w) =>
    `the old coat came away in the cross-cut (class ${w['adhesion']}): scrape and sand to what holds`,
  'primer.rubbed': () => 'nothing came off on alcohol: the coat is oil, and a bonding primer goes first',
  'primer.adhesion': () => 'the old coat holds badly: a bonding primer over what is left',
  'sheen.washing-wins': (w) => `raking light would like less than ${w['sheen']}; here washing weighs more`,
  'sheen.light-wins': (w) =>
    `raking light on board of ${w['level']} shows every joint under ${w['sheen']}: one step flatter`,
  'coats.cut-band': (w) => `the brushed band along the edges is thinner and wants ${w['coats']}`,
  'coats.tint': (w) =>
    `a full coat of undercoat tinted to ${w['tint']} saves ${w['saves']} of paint: ${w['coats']} over it`,
  'warn.oil': (w) =>
    `water-borne paint over ${w['coat'] === 'unknown' ? 'a coat nobody knows' : `a coat of ${w['coat']}`} without a bonding primer peels; “self-priming” on a label does not make it one`,
  'warn.weak': (w) =>
    `over ${w['condition']} ground a film-forming coat lifts off with what it holds to; let a penetrating primer in first`,
  'warn.fresh': () => 'plaster or filler here has not dried through: paint blisters; wait, and measure its moisture',
  'warn.damp': () => 'damp comes from somewhere: find and stop it before anything is painted',
  'warn.stains': () => 'stains come through without a blocking primer; “self-priming” on a label does not make it one',
  'warn.wax': () => 'there is wax or polish below: without washing and sanding the paint crawls into beads',
  'warn.adhesion': (w) =>
    `the old coat failed the cross-cut (class ${w['adhesion']}); what does not hold must come off`,
  'warn.flat-wet': () => 'flat paint in a room with steam marks and cannot be wiped',
  'warn.pile-gloss': () => 'so long a pile leaves orange peel that gloss will show',
  'warn.raking': (w) =>
    `${w['sheen']} in raking light over board of ${w['level']} shows joints and screws; Level 5 is asked for there`,
  'warn.thin': (w) =>
    `after ${w['coats']} ${w['coats'] === 1 ? 'coat' : 'coats'} the old colour shows through at thin spots (ΔE ${round(w['delta'])})`,
  'caution.lead': () =>
    'Paint from before 1978, or your country’s own date, may hold lead. Test before you scrape or sand; follow your local code, and leave what it reserves to certified people.',
  'caution.asbestos': () =>
    'Old sprayed textures may hold asbestos. Do not scrape, sand or wet them before a laboratory has tested them; follow your local code and leave removal to licensed people.',
  'caution.dust': () => 'Sanding dust harms lungs: wear a mask that fits, keep others out, and catch it as you go.',
  'caution.solvent': () =>
    'Solvents burn and harm: air the room, no flames. Rags with oil paint heat themselves up: dry them flat outside, or keep them under water.',
  'caution.electricity': () =>
    'Plates off only with the power off at the board, and tested. Anything beyond a plate is an electrician’s work.',
  'caution.damp': () =>
    'Mould over a large area, or damp that comes back, is work for someone who treats it; follow your local advice.',
  'sheen.school-touch': (w) => `your practice: flat walls that touch up; the price is a wall ${w['price']}`,
  'sheen.school-wipe': (w) => `your practice: satin walls that wipe; the price is ${w['price']}`,
  'paint.oil': () => 'the paint chosen is oil: an oil enamel',
  'paint.piece': () => 'a chalk-type paint on a loose piece, sealed with wax',
  'paint.trim': () => 'an enamel sets hard: doors and trim are handled, and must not stick',
  'paint.wet': () => 'a paint made for wet rooms stands steam; an ordinary one needs good airing',
  'paint.ceiling': () => 'ceiling paint is dead flat and spatters little',
  'paint.wall': () => 'an ordinary water-borne wall paint: quick to dry, and it does not yellow',
  'style.equal': () => 'two equal coats, by your practice: the most film for the number of coats',
  'style.thin': () =>
    'a thin first coat, then full ones, by your practice: it dries soon and shows what was missed, for a little less film',
  'conditioner.oil': () => 'flow conditioner is for water-borne paint',
  'conditioner.door': () =>
    'a face of a door is done in one go: conditioner keeps its edge wet, for a little less film',
  'conditioner.gloss': (w) => `${w['sheen']} shows every lap: conditioner keeps the edge wet, for a little less film`,
  'conditioner.deep': (w) =>
    `a deep colour in ${w['sheen']} shows laps: conditioner keeps the edge wet, for a little less film`,
  'conditioner.none': () => 'laps hardly show here: no conditioner, all its hiding kept',
  'cover.house': () => 'your house-standard cover is the very one: touch-ups will match',
  'cover.house-long': () => 'your house-standard cover serves: one pile longer, a little more stipple; touch-ups match',
  'cover.house-short': () => 'your house-standard cover serves: one pile shorter, a little less paint; touch-ups match',
  'cover.house-not': () => 'your house-standard cover does not serve here',
  'cover.brick-half': () => 'your practice: half-inch on brick, less spatter, with more working in',
  'warn.family': (w) => `${w['family']} paint on what is handled stays soft and sticks: an enamel sets hard`,
  'warn.one-heavy': () =>
    'one heavy coat sags and dries slowly; it is defended only on doors whose colour does not change',
  'warn.moisture': (w) => `a reading of ${w['moisture']} % is above ${w['dry']} %: let it dry further before painting`,
  'how.plates-off': () => 'power off, plates off, screws bagged; tape over what stays',
  'how.hardware-off': () => 'handles and catches off, or masked',
  'how.wash': () => 'sponge with sugar soap, rinse, let dry',
  'how.degrease': () => 'degrease, rinse twice, let dry; look out for wax',
  'how.scrape': () => 'scrape to what holds; feather the edges',
  'how.fill': () => 'fill proud, let dry, rub level',
  'how.degloss': () => 'rub until it is dull all over',
  'how.sand': () => 'sand, catching the dust',
  'how.dust': () => 'vacuum and wipe; no dust while paint is wet',
  'how.caulk': () => 'a fine bead in open joints, wiped once',
  'how.between': () => 'rub down lightly between coats, and dust',
  'hole.pinhole': () => 'fine filler pressed in with a knife',
  'hole.coin': () => 'back it first, then fill in two goes',
  'hole.large': () => 'cut square, back, patch with board and tape',
  'hole.anchor': () => 'drawn out by its screw, then filled',
  'sheen.wet-ceiling': () => 'steam in this room: a matte ceiling wipes, a flat one marks',
  'sheen.ceiling': () => 'flat hides what the light across a ceiling would show',
  'sheen.bath': () => 'splashed and steamed walls need satin',
  'sheen.wiped': (w) => `walls here are wiped (${w['use']}): eggshell at least`,
  'sheen.rough': (w) => `sheen would show every bump of ${w['texture']}`,
  'sheen.living': () => 'eggshell for a living room: it wipes and still forgives',
  'sheen.quiet': () => 'little wear here: matte forgives flaws and touches up',
  'sheen.wet-trim': () => 'trim in a wet room is wiped often: semi-gloss',
  'sheen.trim': () => 'satin for trim: durable, and it shows fewer brush marks than gloss',
  'sheen.offered': (w) => `${w['wanted']} was wanted, but this paint is made in ${w['offered']}`,
  'cover.deep': () => 'a deep texture needs the longest pile to reach its hollows',
  'cover.brick': (w) => `${w['texture']} needs a long pile`,
  'cover.rough': (w) => `${w['texture']} needs more than a smooth-wall pile`,
  'cover.gloss': (w) => `${w['sheen']} shows stipple: the shortest pile`,
  'cover.door': () => 'doors want the shortest pile',
  'cover.trim': () => 'a narrow short-pile cover for runs of trim, then laid off with the brush',
  'cover.smooth': (w) => `${w['texture']}, ${w['sheen']}: the ordinary wall pile; longer would leave stipple`,
  'cover.fabric-board': () => 'nylon-polyester for primer and paint on bare board',
  'cover.fabric-gloss': () => 'foam leaves the finest film for gloss',
  'cover.fabric-long': () => 'woven carries paint into texture',
  'cover.fabric': () => 'microfibre sheds least and washes well',
  'cover.narrow': () => '4 in for trim and doors',
  'cover.wide': () => '9 in for a wall or ceiling',
  'brush.broad': () => 'a 2 1/2 in angled sash holds a line along walls and ceilings',
  'brush.trim': () => 'a 2 in angled sash for trim and doors',
  'brush.synthetic': () => 'water-borne paint softens natural bristle',
  'brush.natural': () => 'natural bristle lays oil paint best',
  'coats.hiding': (w) =>
    `thin spots come within ΔE ${round(w['limit'])} of full hiding after ${w['hiding']} (ΔE ${round(w['delta'])})`,
  'coats.not-hiding': (w) =>
    `thin spots still differ by ΔE ${round(w['delta'])} after ${w['hiding']}; a tinted primer or a better-hiding paint is called for`,
  'coats.minimum': (w) => `never under ${w['minimum']} in a new colour or sheen: one rolled film is too uneven to wear`,
  'coats.refresh': () => 'the same colour and sheen on a sound coat: one refreshes it',
} as const satisfies Record<string, Say>;

export type RuleId = keyof typeof WORDING;

/** Why: the rule and the numbers or words it used. */
export interface Reason {
  readonly rule: RuleId;
  readonly with: Readonly<Record<string, string | number>>;
}

/** The sentence of a reason, made here and nowhere else. */
export const word = (reason: Reason): string => (WORDING[reason.rule] as Say)(reason.with);
