import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';

/** A colour for paper (light) and one for charcoal (dark). */
const both = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });

const config = defineConfig({
  globalCss: {
    'html, body': { '@media print': { bg: 'white', color: 'black', height: 'auto' }, bg: 'paper', color: 'ink', fontFamily: 'body', fontSize: '15px', lineHeight: '1.5', height: '100%' },
    '*:focus-visible': { outline: '2px solid {colors.madder}', outlineOffset: '2px' },
    '.figures': { fontFamily: 'mono', fontVariantNumeric: 'tabular-nums' },
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
        'paper': both('#f7f2e9', '#24211e'),
        'paper.deep': both('#efe7d9', '#2f2b27'),
        'paper.card': both('#fdfaf4', '#2a2623'),
        'ink': both('#211d1a', '#efe8dc'),
        'ink.soft': both('#655c52', '#b5aa9c'),
        'rule': both('#d8ccb8', '#47403a'),
        'rule.strong': both('#7d7266', '#8b8074'),
        'madder': both('#9e2f2f', '#e08a80'),
        'madder.ink': both('#ffffff', '#24110f'),
        'madder.wash': both('#f4e0da', '#43292a'),
        'level.stop': both('#a8261f', '#f0867a'),
        'level.warn': both('#966300', '#e3ac45'),
        'level.note': both('#1f6d79', '#71bfca'),
        'level.well': both('#3f6b35', '#93c083'),
        'thread.picture': both('#1f6478', '#69b4c9'),
        'thread.analogue': both('#8a4b08', '#dba25f'),
        'thread.digital': both('#5a4b98', '#ada0e6'),
        'thread.data': both('#3f6b35', '#93c083'),
        'bg': both('#f7f2e9', '#24211e'),
        'bg.panel': both('#fdfaf4', '#2a2623'),
        'bg.subtle': both('#efe7d9', '#2f2b27'),
        'bg.muted': both('#efe7d9', '#2f2b27'),
        'fg': both('#211d1a', '#efe8dc'),
        'fg.muted': both('#655c52', '#b5aa9c'),
        'border': both('#d8ccb8', '#47403a'),
      },
      shadows: { xs: { value: 'none' }, sm: { value: 'none' }, md: { value: 'none' }, lg: { value: 'none' }, xl: { value: 'none' } },
    },
  },
});

export const system = createSystem(defaultConfig, config);
