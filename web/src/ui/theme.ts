import { createTheme, type MantineColorsTuple } from '@mantine/core'

const quiet: MantineColorsTuple = [
  '#e7f2f0',
  '#cfe4e1',
  '#a3cbc6',
  '#74b0a9',
  '#4f9a92',
  '#368b82',
  '#1f6f68',
  '#185d57',
  '#124d48',
  '#083c38',
]

const hot: MantineColorsTuple = [
  '#fdeee6',
  '#f8dccd',
  '#f0b79a',
  '#e79066',
  '#dd6c38',
  '#d0561f',
  '#bd4416',
  '#a53a12',
  '#8b300e',
  '#6f250a',
]

/** Ink on drafting paper; one quiet colour for work going on, one hot colour for what needs a person now. */
export const theme = createTheme({
  fontFamily: "'Archivo Variable', sans-serif",
  headings: { fontFamily: "'Archivo Variable', sans-serif", fontWeight: '700' },
  colors: { quiet, hot },
  primaryColor: 'quiet',
  primaryShade: 6,
  autoContrast: true,
  defaultRadius: 0,
  cursorType: 'pointer',
  respectReducedMotion: true,
})
