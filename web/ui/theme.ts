import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';

/** A colour for paper (light) and one for charcoal (dark). */
const both = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });

const config = defineConfig({
  globalCss: {
    'html, body': {
      '@media print': { bg: 'white', color: 'black', height: 'auto' },
      bg: 'paper',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '0.9375rem',
      lineHeight: '1.5',
      height: '100%',
    },
    '*:focus-visible': { outline: '2px solid {colors.madder}', outlineOffset: '2px' },
    '[aria-label="Side sheet"]:focus-visible': { outlineOffset: '-2px' },
    '.figures': { fontFamily: 'mono', fontVariantNumeric: 'tabular-nums' },
    '.print-only': { display: 'none', '@media print': { display: 'block' } },
    '.screen-only': { '@media print': { display: 'none !important' } },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: "'Source Sans 3 Variable', sans-serif" },
        heading: { value: "'Source Sans 3 Variable', sans-serif" },
        mono: { value: "'Spline Sans Mono Variable', monospace" },
      },
      radii: { sm: { value: '2px' }, md: { value: '3px' }, lg: { value: '4px' } },
    },
    semanticTokens: {
      colors: {
        paper: {
          DEFAULT: both('#f7f2e9', '#24211e'),
          deep: both('#efe7d9', '#2f2b27'),
          card: both('#fdfaf4', '#2a2623'),
        },
        ink: { DEFAULT: both('#211d1a', '#efe8dc'), soft: both('#655c52', '#b5aa9c') },
        rule: { DEFAULT: both('#d8ccb8', '#47403a'), strong: both('#7d7266', '#8b8074') },
        madder: {
          DEFAULT: both('#9e2f2f', '#e08a80'),
          ink: both('#ffffff', '#24110f'),
          wash: both('#f4e0da', '#43292a'),
        },
        level: {
          stop: both('#a8261f', '#f0867a'),
          warn: both('#966300', '#e3ac45'),
          note: both('#1f6d79', '#71bfca'),
          well: both('#3f6b35', '#93c083'),
        },
        /** Pools of light on the plan, and nothing else */
        lamp: both('#d9a520', '#e8c66a'),
        thread: {
          picture: both('#1f6478', '#69b4c9'),
          analogue: both('#8a4b08', '#dba25f'),
          digital: both('#5a4b98', '#ada0e6'),
          data: both('#3f6b35', '#93c083'),
        },
        bg: {
          DEFAULT: both('#f7f2e9', '#24211e'),
          panel: both('#fdfaf4', '#2a2623'),
          subtle: both('#efe7d9', '#2f2b27'),
          muted: both('#efe7d9', '#2f2b27'),
        },
        /** What buttons are made of: in the dark their edge is seen too */
        gray: {
          contrast: both('#fdfaf4', '#24211e'),
          fg: both('#211d1a', '#efe8dc'),
          subtle: both('#efe7d9', '#2f2b27'),
          muted: both('#e2d8c6', '#3a342f'),
          emphasized: both('#d8ccb8', '#47403a'),
          solid: both('#211d1a', '#efe8dc'),
          border: both('#b9ab95', '#6b6158'),
        },
        fg: { DEFAULT: both('#211d1a', '#efe8dc'), muted: both('#655c52', '#b5aa9c') },
        border: {
          DEFAULT: both('#d8ccb8', '#47403a'),
          subtle: both('#d8ccb8', '#47403a'),
          muted: both('#b9ab95', '#6b6158'),
          emphasized: both('#7d7266', '#8b8074'),
        },
      },
      shadows: {
        xs: { value: 'none' },
        sm: { value: 'none' },
        md: { value: 'none' },
        lg: { value: 'none' },
        xl: { value: 'none' },
      },
    },
  },
});

export const system = createSystem(defaultConfig, config);
