/** By day and by lamp; and for a room in full sun, black on white. */
export const SCHEMES = ['light', 'dark', 'daylight'] as const;
export type Scheme = (typeof SCHEMES)[number];

/** Colours by what they are for. Stylesheets read them as `--paper`, `--clay-text` …; charts read them here. */
export interface Palette {
  readonly paper: string;
  readonly card: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  /** Round what can be pressed or written in, and round what has the focus: 3:1 on paper and card (WCAG 2.2, 1.4.11). */
  readonly rim: string;
  readonly focus: string;
  /** The focus on a band. */
  readonly bandFocus: string;
  readonly chosen: string;
  readonly shade: string;
  readonly spruce: string;
  readonly tape: string;
  /** Lettering on the tape, whatever the scheme. */
  readonly onTape: string;
  readonly ochre: string;
  readonly clay: string;
  readonly clayText: string;
  readonly slate: string;
  readonly lichen: string;
  /** Lettering on spruce, slate and clay. */
  readonly onDeep: string;
  readonly band: string;
  readonly bandInk: string;
  readonly bandSoft: string;
  readonly bandRisk: string;
  /** The drawing. */
  readonly wall: string;
  readonly ceiling: string;
  readonly trim: string;
  readonly region: string;
  readonly glass: string;
  readonly void: string;
  readonly edge: string;
}

export const PALETTES: Readonly<Record<Scheme, Palette>> = {
  light: {
    paper: '#f4f1ea',
    card: '#fbf9f4',
    ink: '#20302f',
    soft: '#566260',
    line: '#cfc8b8',
    rim: '#857f6f',
    focus: '#955a00',
    bandFocus: '#ebc65a',
    chosen: '#e4ebe3',
    shade: 'rgb(32 48 47 / 12%)',
    spruce: '#23564f',
    tape: '#ebc65a',
    onTape: '#20302f',
    ochre: '#d0912b',
    clay: '#b5523b',
    clayText: '#9c3f2a',
    slate: '#4c6a88',
    lichen: '#9db5a0',
    onDeep: '#fbf9f4',
    band: '#20302f',
    bandInk: '#f4f1ea',
    bandSoft: '#b9c2ba',
    bandRisk: '#f0b57f',
    wall: '#e4ddcb',
    ceiling: '#efebe0',
    trim: '#fbf9f4',
    region: '#cfd6c4',
    glass: '#d7e3e0',
    void: '#d5cebe',
    edge: '#20302f',
  },
  dark: {
    paper: '#182221',
    card: '#202d2b',
    ink: '#ece7da',
    soft: '#b4bdb4',
    line: '#43524e',
    rim: '#7b8d87',
    focus: '#e0a848',
    bandFocus: '#e0a848',
    chosen: '#2a3b38',
    shade: 'rgb(0 0 0 / 40%)',
    spruce: '#8fc4b5',
    tape: '#d9b346',
    onTape: '#20302f',
    ochre: '#e0a848',
    clay: '#d77a60',
    clayText: '#f0a58e',
    slate: '#8eb0d2',
    lichen: '#7d9a83',
    onDeep: '#202d2b',
    band: '#0f1716',
    bandInk: '#ece7da',
    bandSoft: '#a7b3aa',
    bandRisk: '#f0b57f',
    wall: '#5a5f55',
    ceiling: '#4a514a',
    trim: '#c9c6bb',
    region: '#4d6158',
    glass: '#33484a',
    void: '#2c3836',
    edge: '#74857f',
  },
  daylight: {
    paper: '#ffffff',
    card: '#ffffff',
    ink: '#000000',
    soft: '#2f3735',
    line: '#55584f',
    rim: '#000000',
    focus: '#8a4b00',
    bandFocus: '#ffd23f',
    chosen: '#d9efe2',
    shade: 'rgb(0 0 0 / 35%)',
    spruce: '#0a3f37',
    tape: '#ffd23f',
    onTape: '#000000',
    ochre: '#b86f00',
    clay: '#8e200d',
    clayText: '#8e200d',
    slate: '#123f6e',
    lichen: '#8fbf97',
    onDeep: '#ffffff',
    band: '#000000',
    bandInk: '#ffffff',
    bandSoft: '#e8e8e2',
    bandRisk: '#ffc38a',
    wall: '#efe7d2',
    ceiling: '#ffffff',
    trim: '#ffffff',
    region: '#c2d3b3',
    glass: '#c6e1ec',
    void: '#bdb49c',
    edge: '#000000',
  },
};

const kebab = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** A palette as custom properties. */
export const properties = (palette: Palette): Record<string, string> =>
  Object.fromEntries(Object.entries(palette).map(([name, colour]) => [`--${kebab(name)}`, String(colour)]));
