import { createColorScheme, createTheme, type CSSObject } from '@mui/material/styles';
import { createElement } from 'react';
import { PALETTES, type Scheme } from './palette.ts';

declare module '@mui/material/styles' {
  interface ColorSchemeOverrides {
    daylight: true;
  }
}

/** Is the page as narrow as a phone? */
export const PHONE = '(max-width: 700px), (max-height: 480px)';
/** Where fingers press. */
export const TOUCH = '@media (max-width: 700px), (pointer: coarse)';
/** The least that a finger finds, px (WCAG 2.2, 2.5.5). */
export const FINGER = 44;

const CONDENSED = '"Barlow Condensed", sans-serif';
const condensed = (size: number) => ({ fontFamily: CONDENSED, fontWeight: 600, fontSize: size });

/** MUI’s own names for our colours. */
function schemeOf(scheme: Scheme) {
  const p = PALETTES[scheme];
  return createColorScheme({
    palette: {
      mode: scheme === 'dark' ? 'dark' : 'light',
      primary: { main: p.spruce, contrastText: p.onDeep },
      secondary: { main: p.ochre },
      error: { main: p.clayText },
      background: { default: p.paper, paper: p.card },
      text: { primary: p.ink, secondary: p.soft, disabled: p.soft },
      divider: p.line,
    },
  });
}

/** What is pressed: as high as a line of a table with a mouse, as high as a thumb without. */
const pressed = (height: number): CSSObject => ({
  minHeight: height,
  [TOUCH]: { minHeight: Math.max(height, FINGER) },
});

/** A list or a field that is written in. */
const WRITTEN: CSSObject = {
  ...condensed(17),
  fontWeight: 500,
  lineHeight: 1.2,
  fontVariantNumeric: 'tabular-nums',
  boxSizing: 'border-box',
  height: 'auto',
  padding: '4px 7px',
  border: '1px solid var(--rim)',
  background: 'var(--paper)',
  ...pressed(31),
  '&:focus': {
    borderColor: 'var(--focus)',
    outline: '1px solid var(--focus)',
    outlineOffset: 0,
    background: 'var(--paper)',
  },
  '&[aria-invalid=true]': { borderColor: 'var(--clay)', borderWidth: 2 },
  // a colour, not an opacity: each of those is a layer of its own to the browser
  '&::placeholder': { color: 'color-mix(in srgb, var(--soft) 75%, transparent)', opacity: 1 },
};
/** What is chosen has the tape’s colour, and says so to those who do not see it. */
const CHOSEN: CSSObject = { background: 'var(--tape)', color: 'var(--on-tape)' };
/** A box with nothing in it, and one with the tick of a pencil. */
const BOX = createElement('svg', { width: 20, height: 20, viewBox: '0 0 20 20' }, [
  createElement('path', {
    key: 'box',
    d: 'M2.5 2.5h15v15h-15z',
    fill: 'none',
    stroke: 'currentColor',
    strokeWidth: 1.5,
  }),
]);
const TICKED = createElement('svg', { width: 20, height: 20, viewBox: '0 0 20 20' }, [
  createElement('path', {
    key: 'box',
    d: 'M2.5 2.5h15v15h-15z',
    fill: 'var(--tape)',
    stroke: 'var(--ink)',
    strokeWidth: 1.5,
  }),
  createElement('path', {
    key: 'tick',
    d: 'M5 10l4 4.5L18 1',
    fill: 'none',
    stroke: 'var(--on-tape)',
    strokeWidth: 2.2,
  }),
]);
/** A rule at the side says what a sentence is. */
const ruled = (colour: string): CSSObject => ({ borderLeft: `4px solid ${colour}` });

/** MUI is the toolkit, not the look: square, flat, ruled, condensed. */
export const THEME = createTheme({
  cssVariables: { colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: { light: schemeOf('light'), dark: schemeOf('dark'), daylight: schemeOf('daylight') },
  shape: { borderRadius: 0 },
  // what opens is there at once
  transitions: {
    create: () => 'none',
    duration: { enteringScreen: 0, leavingScreen: 0, shortest: 0, shorter: 0, short: 0, standard: 0, complex: 0 },
  },
  typography: {
    fontFamily: '"Atkinson Hyperlegible Next", sans-serif',
    fontSize: 14,
    button: { textTransform: 'none', ...condensed(17), letterSpacing: 0.2 },
  },
  components: {
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: { '&.Mui-focusVisible': { outline: '2px solid var(--focus)', outlineOffset: 2 } },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true, color: 'inherit' },
      styleOverrides: {
        root: {
          paddingInline: 14,
          lineHeight: 1.2,
          minWidth: 0,
          ...pressed(34),
          '&.Mui-disabled': { color: 'var(--soft)', borderColor: 'var(--line)' },
        },
        outlined: { borderColor: 'var(--rim)', background: 'var(--card)', '&:hover': { background: 'var(--chosen)' } },
        contained: {
          background: 'var(--spruce)',
          color: 'var(--on-deep)',
          '&:hover': { background: 'var(--ink)', color: 'var(--card)' },
          '&.Mui-disabled': { background: 'var(--chosen)', color: 'var(--ink)' },
        },
        sizeSmall: { ...condensed(15.5), paddingInline: 9, paddingBlock: 2, ...pressed(30) },
        // for gloves
        sizeLarge: { ...condensed(24), paddingInline: 18, ...pressed(64) },
      },
    },
    MuiIconButton: {
      styleOverrides: {
        root: {
          color: 'var(--ink)',
          borderRadius: 0,
          border: '1px solid var(--rim)',
          background: 'var(--card)',
          padding: 4,
          ...pressed(31),
          '&:hover': { background: 'var(--chosen)' },
          [TOUCH]: { minWidth: FINGER, minHeight: FINGER },
        },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          ...condensed(16),
          lineHeight: 1.2,
          padding: '3px 12px',
          overflowWrap: 'normal',
          '.sides.full &': { paddingInline: 4 },
          color: 'var(--ink)',
          borderColor: 'var(--rim)',
          ...pressed(34),
          '&:hover': { background: 'var(--chosen)' },
          '&.Mui-selected, &.Mui-selected:hover': {
            ...CHOSEN,
            borderColor: 'var(--ink)',
            '& small': { color: 'inherit' },
          },
        },
      },
    },
    MuiLink: {
      defaultProps: { underline: 'always' },
      styleOverrides: {
        root: { color: 'var(--spruce)', textDecorationColor: 'inherit', textUnderlineOffset: 2 },
        button: {
          font: 'inherit',
          verticalAlign: 'baseline',
          textAlign: 'left',
          [TOUCH]: {
            display: 'inline-block',
            paddingBlock: 11,
            minHeight: FINGER,
            // in a sentence by the room above and below it
            'p &, dd &, td &': { display: 'inline' },
            'h2 &, h3 &': { paddingBlock: 2 },
          },
        },
      },
    },
    MuiInputBase: {
      defaultProps: { disableInjectingGlobalStyles: true },
      styleOverrides: { root: { display: 'flex' }, input: WRITTEN },
    },
    MuiNativeSelect: {
      styleOverrides: {
        select: { ...WRITTEN, '&&': { paddingRight: 22, minWidth: 0 } },
        icon: { color: 'var(--ink)', right: 1 },
      },
    },
    MuiFormHelperText: {
      styleOverrides: {
        root: {
          margin: '2px 0',
          fontSize: 13.5,
          lineHeight: 1.3,
          overflowWrap: 'anywhere',
          '&.Mui-error': { color: 'var(--clay-text)', '&::before': { content: '"! "', fontWeight: 700 } },
        },
      },
    },
    MuiFormControlLabel: {
      styleOverrides: {
        root: { margin: 0, gap: 7, paddingBlock: 2, alignItems: 'center', ...pressed(28) },
        label: { fontSize: 14, lineHeight: 1.25 },
      },
    },
    MuiCheckbox: {
      defaultProps: { size: 'small', icon: BOX, checkedIcon: TICKED },
      styleOverrides: { root: { padding: 2, color: 'var(--ink)' } },
    },
    MuiRadio: { defaultProps: { size: 'small' }, styleOverrides: { root: { padding: 2, color: 'var(--ink)' } } },
    MuiAlert: {
      styleOverrides: {
        root: {
          padding: '1px 8px',
          margin: '3px 0',
          fontSize: 13.5,
          lineHeight: 1.35,
          background: 'none',
          color: 'var(--ink)',
          '& .MuiAlert-icon': { color: 'inherit' },
          alignItems: 'baseline',
        },
        icon: {
          padding: 0,
          margin: 0,
          marginRight: 6,
          opacity: 1,
          fontSize: 'inherit',
          fontWeight: 700,
          color: 'inherit',
        },
        message: { padding: 0, overflowWrap: 'anywhere' },
        action: { padding: 0, alignItems: 'baseline' },
      },
      variants: [
        { props: { severity: 'error' }, style: { ...ruled('var(--clay)'), color: 'var(--clay-text)' } },
        { props: { severity: 'info' }, style: { ...ruled('var(--line)'), color: 'var(--soft)' } },
        { props: { severity: 'success' }, style: ruled('var(--spruce)') },
      ],
    },
    MuiAccordion: {
      defaultProps: {
        disableGutters: true,
        elevation: 0,
        slotProps: { transition: { unmountOnExit: true, timeout: 0 } },
      },
      styleOverrides: {
        root: { background: 'none', borderTop: '1px solid var(--line)', '&::before': { display: 'none' } },
      },
    },
    MuiAccordionSummary: {
      styleOverrides: {
        root: { padding: 0, ...pressed(34), '&:hover': { color: 'var(--spruce)' } },
        content: { ...condensed(16), margin: '4px 0' },
      },
    },
    MuiAccordionDetails: { styleOverrides: { root: { padding: '0 0 8px' } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: {
      styleOverrides: {
        paper: { border: '1px solid var(--line)', boxShadow: '6px 6px 0 var(--shade)' },
        paperFullScreen: { border: 0 },
      },
    },
    MuiDialogTitle: { styleOverrides: { root: { ...condensed(25), lineHeight: 1.15, padding: '16px 22px 8px' } } },
    MuiDialogContent: { styleOverrides: { root: { padding: '2px 22px 10px', containerType: 'inline-size' } } },
    MuiDialogActions: {
      styleOverrides: {
        root: { padding: '10px 22px 14px', justifyContent: 'flex-start', borderTop: '1px solid var(--line)' },
      },
    },
    MuiDrawer: {
      styleOverrides: {
        paper: {
          maxHeight: '80dvh',
          background: 'var(--paper)',
          color: 'var(--ink)',
          borderTop: '4px solid var(--tape)',
        },
      },
    },
    MuiListItemButton: {
      styleOverrides: {
        root: {
          ...condensed(19),
          width: '100%',
          gap: 12,
          ...pressed(48),
          '&.Mui-selected, &.Mui-selected:hover': CHOSEN,
        },
      },
    },
    MuiListSubheader: {
      styleOverrides: { root: { background: 'var(--paper)', color: 'var(--soft)', lineHeight: '32px' } },
    },
    MuiMenu: { styleOverrides: { paper: { border: '1px solid var(--line)', boxShadow: '4px 4px 0 var(--shade)' } } },
    MuiMenuItem: { styleOverrides: { root: { ...condensed(17), ...pressed(38) } } },
    MuiPopover: { styleOverrides: { paper: { border: '1px solid var(--line)', boxShadow: '4px 4px 0 var(--shade)' } } },
    MuiSlider: {
      styleOverrides: {
        root: { color: 'var(--spruce)', height: 6, paddingBlock: 8 },
        rail: { background: 'var(--line)', opacity: 1 },
        track: { border: 0 },
        mark: { width: 2, height: 12, background: 'var(--ink)', opacity: 1 },
        markLabel: { top: 24, ...condensed(15), fontWeight: 400, color: 'var(--ink)' },
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
    MuiSnackbar: {
      // at the lower edge is what is pressed: the sheets of a phone, the ledger
      defaultProps: { anchorOrigin: { vertical: 'top', horizontal: 'center' } },
      // stronger than the toolkit's own rule for wide windows
      styleOverrides: { root: { '&&': { top: 66 }, [`@media ${PHONE}`]: { '&&': { top: 54 } } } },
    },
    MuiSnackbarContent: {
      styleOverrides: {
        root: { background: 'var(--band)', color: 'var(--band-ink)' },
        action: { '& .MuiButton-root': { color: 'var(--tape)' } },
      },
    },
    MuiTable: { styleOverrides: { root: { fontVariantNumeric: 'tabular-nums' } } },
  },
});
