import { createColorScheme, createTheme } from '@mui/material/styles';
import { PALETTES, type Scheme } from './palette.ts';

declare module '@mui/material/styles' {
  interface ColorSchemeOverrides {
    daylight: true;
  }
}

/** MUI’s own names for our colours. */
function schemeOf(scheme: Scheme) {
  const p = PALETTES[scheme];
  return createColorScheme({
    palette: {
      mode: scheme === 'dark' ? 'dark' : 'light',
      primary: { main: p.spruce },
      secondary: { main: p.ochre },
      error: { main: p.clayText },
      background: { default: p.paper, paper: p.card },
      text: { primary: p.ink, secondary: p.soft },
    },
  });
}

/** MUI is the toolkit, not the look: square-shouldered, flat, condensed. */
export const THEME = createTheme({
  cssVariables: { colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: { light: schemeOf('light'), dark: schemeOf('dark'), daylight: schemeOf('daylight') },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: '"Atkinson Hyperlegible Next", sans-serif',
    fontSize: 14,
    button: {
      textTransform: 'none',
      fontFamily: '"Barlow Condensed", sans-serif',
      fontWeight: 600,
      fontSize: 17,
      letterSpacing: 0.2,
    },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { paddingInline: 14, minHeight: 34, lineHeight: 1.2 } },
    },
    MuiIconButton: { styleOverrides: { root: { borderRadius: 3 } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: {
      styleOverrides: { paper: { border: '1px solid var(--line)', boxShadow: '6px 6px 0 var(--shade)' } },
    },
    MuiMenu: { styleOverrides: { paper: { border: '1px solid var(--line)', boxShadow: '4px 4px 0 var(--shade)' } } },
    MuiSlider: {
      styleOverrides: {
        root: { color: 'var(--spruce)', height: 6, paddingBlock: 8 },
        rail: { background: 'var(--line)', opacity: 1, borderRadius: 0 },
        track: { border: 0, borderRadius: 0 },
        mark: { width: 2, height: 12, background: 'var(--ink)', opacity: 1 },
        markLabel: { top: 24, fontFamily: '"Barlow Condensed", sans-serif', fontSize: 15, color: 'var(--ink)' },
        thumb: {
          width: 16,
          height: 24,
          borderRadius: 2,
          background: 'var(--tape)',
          border: '2px solid var(--ink)',
          boxShadow: 'none',
        },
      },
    },
    MuiSnackbarContent: { styleOverrides: { root: { background: 'var(--band)', color: 'var(--band-ink)' } } },
    MuiTooltip: {
      styleOverrides: { tooltip: { background: 'var(--band)', color: 'var(--band-ink)', fontSize: 13 } },
    },
  },
});
