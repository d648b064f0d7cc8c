import { createTheme, type MantineColorsTuple } from '@mantine/core';

const woad: MantineColorsTuple = [
  '#eef5f9',
  '#d9e6ee',
  '#b3cddc',
  '#8fb3c7',
  '#6a9ab4',
  '#4a82a1',
  '#2c5f80',
  '#254f6b',
  '#1d3f56',
  '#152f41',
];

const madder: MantineColorsTuple = [
  '#fbeeea',
  '#f3d8d1',
  '#e5b1a5',
  '#d68876',
  '#c8654f',
  '#b84e37',
  '#a23e2a',
  '#873322',
  '#6c291b',
  '#521f14',
];

/** Two rounded and two square corners, like a folded label. */
const FOLDED = '14px 2px 14px 2px';

/** The one theme: every screen takes its look from here and from look.css. */
export const theme = createTheme({
  fontFamily: "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', sans-serif",
  headings: {
    fontFamily: "'Bricolage Grotesque Variable', 'Bricolage Grotesque', sans-serif",
    fontWeight: '700',
  },
  primaryColor: 'woad',
  primaryShade: { light: 6, dark: 4 },
  colors: { woad, madder },
  defaultRadius: 2,
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    Button: {
      defaultProps: { size: 'md' },
      styles: { root: { borderRadius: FOLDED, minHeight: 44 } },
    },
    TextInput: { defaultProps: { size: 'md' } },
    PasswordInput: { defaultProps: { size: 'md' } },
    NumberInput: {
      defaultProps: {
        size: 'md',
        hideControls: true,
        clampBehavior: 'none',
        allowedDecimalSeparators: [',', '.'],
      },
    },
    Textarea: { defaultProps: { size: 'md' } },
    FileInput: { defaultProps: { size: 'md' } },
    NativeSelect: { defaultProps: { size: 'md' } },
    Chip: { defaultProps: { size: 'md' } },
    InputLabel: { defaultProps: { size: 'md' } },
    SegmentedControl: { defaultProps: { size: 'md', radius: 2 } },
  },
});
