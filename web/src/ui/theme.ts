// The look of Valise as an MUI theme; every colour comes from tokens.json.
import type {} from '@mui/x-date-pickers/themeAugmentation'
import { createTheme } from '@mui/material/styles'
import { SelectArrow } from './SelectArrow.tsx'
import { colour as colours } from './tokens.json'

type Scheme = 'light' | 'dark'
type ColourName = keyof typeof colours

function paletteOf(scheme: Scheme) {
  const of = (name: ColourName) => colours[name][scheme]
  const paired = (name: ColourName, text: ColourName) => ({
    main: of(name),
    dark: of(name),
    light: of(name),
    contrastText: of(text),
  })
  return {
    primary: { ...paired('petrol', 'on-petrol'), dark: of('petrol2') },
    secondary: paired('tan-text', 'sheet'),
    success: paired('moss', 'sheet'),
    warning: paired('ochre', 'sheet'),
    error: paired('brick', 'sheet'),
    background: { default: of('lining'), paper: of('sheet') },
    text: { primary: of('ink'), secondary: of('ink2') },
    divider: of('line'),
  }
}

const serif = 'var(--serif)'
const heading = (px: number, lineHeight: number) => ({
  fontFamily: serif,
  fontSize: rem(px),
  lineHeight,
  fontWeight: 560,
  letterSpacing: '-0.008em',
  fontVariationSettings: "'SOFT' 70, 'WONK' 0",
})

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme', cssVarPrefix: 'mui' },
  colorSchemes: { light: { palette: paletteOf('light') }, dark: { palette: paletteOf('dark') } },
  breakpoints: { values: { xs: 0, sm: 480, md: 768, lg: 1280, xl: 1600 } },
  spacing: 4,
  shape: { borderRadius: 7 },
  typography: {
    fontFamily: 'var(--sans)',
    h1: {
      ...heading(29, 1.12),
      letterSpacing: '-0.014em',
      '@media (max-width: 767.95px)': { fontSize: rem(25) },
    },
    h2: heading(20, 1.2),
    h3: heading(17, 1.25),
    h4: heading(15.5, 1.25),
    body1: {
      fontSize: rem(14.5),
      lineHeight: 1.42,
      '@media (max-width: 767.95px)': { fontSize: rem(16), lineHeight: 1.5 },
    },
    body2: { fontSize: rem(13), lineHeight: 1.36 },
    caption: { fontSize: rem(12.5), lineHeight: 1.32 },
    button: { fontSize: rem(14), fontWeight: 560, textTransform: 'none' },
  },
  transitions: {
    duration: {
      shortest: 120,
      shorter: 120,
      short: 180,
      standard: 180,
      complex: 240,
      enteringScreen: 180,
      leavingScreen: 120,
    },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiButton: {
      defaultProps: { variant: 'outlined', color: 'inherit', disableElevation: true },
      styleOverrides: {
        root: {
          minHeight: 34,
          padding: '0 13px',
          '@media (pointer: coarse), (max-width: 767.95px)': { minHeight: 44, fontSize: rem(15) },
        },
        outlined: { borderColor: 'var(--line2)', background: 'var(--sheet)' },
        text: { color: 'var(--tan-text)', padding: '0 8px' },
        // Where the system takes the colours, an edge is all that tells a button from words.
        contained: { '@media (forced-colors: active)': { border: '1px solid ButtonBorder' } },
      },
    },
    // Labels stand above their field, at a size that can be read.
    MuiInputLabel: {
      defaultProps: { shrink: true },
      styleOverrides: {
        root: {
          position: 'static',
          transform: 'none',
          marginBottom: 4,
          fontSize: rem(13),
          lineHeight: 1.36,
          color: 'var(--ink2)',
          whiteSpace: 'normal',
          maxWidth: 'none',
        },
      },
    },
    MuiInputBase: {
      // What a field asks for is read as well: MUI's own is too pale for that.
      styleOverrides: { input: { '&::placeholder': { color: 'var(--ink2)', opacity: 1 } } },
    },
    MuiOutlinedInput: {
      defaultProps: { notched: false },
      styleOverrides: {
        root: { background: 'var(--sheet)' },
        notchedOutline: { borderColor: 'var(--line2)', top: 0, '& legend': { display: 'none' } },
        multiline: { padding: 0 },
        input: {
          padding: '8px 11px',
          height: '1.25em',
          '@media (pointer: coarse), (max-width: 767.95px)': { padding: '11px' },
        },
      },
    },
    MuiPickersOutlinedInput: {
      styleOverrides: {
        root: { background: 'var(--sheet)', paddingLeft: 11, paddingRight: 7 },
        notchedOutline: { borderColor: 'var(--line2)', top: 0, '& legend': { display: 'none' } },
        sectionsContainer: {
          padding: '8px 0',
          '@media (pointer: coarse), (max-width: 767.95px)': { padding: '11px 0' },
        },
      },
    },
    MuiPickerPopper: {
      styleOverrides: { paper: { boxShadow: 'var(--lifted)', border: '1px solid var(--line)' } },
    },
    MuiPickerDay: { styleOverrides: { root: { borderRadius: 7 } } },
    MuiSelect: {
      defaultProps: { IconComponent: SelectArrow },
      styleOverrides: {
        select: { minHeight: '1.25em', lineHeight: '1.25em' },
        icon: { right: 9, color: 'var(--ink2)' },
      },
    },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 0, fontSize: rem(13), lineHeight: 1.36 } } },
    MuiLink: {
      defaultProps: { color: 'secondary', underline: 'always' },
      styleOverrides: {
        root: {
          fontWeight: 560,
          textUnderlineOffset: '3px',
          textDecorationThickness: '1px',
          textDecorationColor: 'currentColor',
        },
      },
    },
    // It may be longer than the window: then keys scroll it.
    MuiDialogContent: { defaultProps: { tabIndex: 0 } },
    MuiDialog: {
      styleOverrides: {
        paper: { boxShadow: 'var(--lifted)', borderRadius: 10 },
        paperFullScreen: { borderRadius: 0 },
      },
    },
    MuiMenu: { styleOverrides: { paper: { boxShadow: 'var(--lifted)', border: '1px solid var(--line)' } } },
    MuiMenuItem: {
      styleOverrides: {
        root: {
          minHeight: 36,
          '&:hover': { background: 'var(--apricot0)' },
          '&.Mui-selected, &.Mui-selected:hover, &.Mui-selected.Mui-focusVisible': {
            background: 'var(--apricot)',
          },
          '@media (pointer: coarse)': { minHeight: 44 },
        },
      },
    },
    MuiTooltip: {
      styleOverrides: {
        tooltip: { fontSize: rem(12.5), background: 'var(--base)', color: 'var(--on-base)' },
      },
    },
  },
})

function rem(px: number): string {
  return `${px / 16}rem`
}
