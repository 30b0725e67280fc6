import { createTheme } from '@mui/material/styles';

export type Scheme = 'light' | 'dark';

const INK = { light: '#20302f', dark: '#ece7da' };
const SPRUCE = { light: '#23564f', dark: '#8fc4b5' };

/** MUI is the toolkit, not the look: square-shouldered, flat, condensed. Colours beyond MUI's are in app.css. */
export const themeFor = (scheme: Scheme) =>
  createTheme({
    palette: {
      mode: scheme,
      primary: { main: SPRUCE[scheme] },
      secondary: { main: '#d0912b' },
      error: { main: scheme === 'light' ? '#a1432f' : '#ec9a80' },
      background:
        scheme === 'light' ? { default: '#f4f1ea', paper: '#fbf9f4' } : { default: '#182221', paper: '#202d2b' },
      text: { primary: INK[scheme], secondary: scheme === 'light' ? '#566260' : '#b4bdb4' },
    },
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
      MuiToggleButton: {
        styleOverrides: {
          root: {
            paddingBlock: 3,
            paddingInline: 11,
            color: 'var(--ink)',
            borderColor: 'var(--line)',
            fontSize: 16,
            '&.Mui-selected': { background: 'var(--tape)', color: '#20302f', '&:hover': { background: 'var(--tape)' } },
          },
        },
      },
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
