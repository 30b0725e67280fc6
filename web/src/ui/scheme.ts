import { useColorScheme } from '@mui/material/styles';
import { PALETTES, SCHEMES, type Palette, type Scheme } from './palette.ts';

export const SCHEME_WORDS: Readonly<Record<Scheme, string>> = { light: 'Light', dark: 'Dark', daylight: 'Daylight' };

interface SchemeNow {
  readonly scheme: Scheme;
  readonly palette: Palette;
  /** What the button changes to. */
  readonly next: Scheme;
  readonly toNext: () => void;
}

/** The scheme of the page. MUI keeps it, as a mode (light or dark) and a scheme for each. */
export function useScheme(): SchemeNow {
  const { colorScheme, setMode, setColorScheme } = useColorScheme();
  const scheme = (colorScheme ?? 'light') as Scheme;
  const next = SCHEMES[(SCHEMES.indexOf(scheme) + 1) % SCHEMES.length] ?? 'light';
  const toNext = () => {
    setMode(next === 'dark' ? 'dark' : 'light');
    if (next !== 'dark') setColorScheme({ light: next as 'light', dark: 'dark' });
  };
  return { scheme, palette: PALETTES[scheme], next, toNext };
}
