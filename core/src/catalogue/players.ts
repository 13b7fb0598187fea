import type { Model } from '../rig/devices/model';
import { emits } from './camera-class';
import { deviceClass, hdmi, sdi, toggle } from './parts';
import { codings, HD_60, sourceFormats, UHD_30, UHD_60 } from './picture-parts';

/** Sources of pictures that are no cameras, in boxes of their own. */
export const players: readonly Model[] = [
  deviceClass('player-slides', {
    name: 'Slides computer',
    kind: 'player',
    step: 'source',
    about: 'A laptop whose second screen is a source: slides, a browser, clips with sound.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 8.16),
        emits: {
          ...emits({ copyProtected: 'protected', codingControl: 'coding' }),
          sound: { type: 'digital', levelDbfs: -20, crestDb: 12, noiseDbfs: -90 },
        },
      },
    },
    controls: {
      format: sourceFormats('Output format', UHD_30, '1920x1080p60'),
      coding: codings(['rgb 8 full', 'rgb 8 limited'], 'rgb 8 limited'),
      protected: toggle('Shows protected content', false),
    },
  }),
  deviceClass('player-graphics', {
    name: 'Graphics computer, three outputs',
    kind: 'player',
    step: 'source',
    about:
      'Titles, score and slides from three outputs of an expansion card, each its own picture.',
    ports: Object.fromEntries(
      [1, 2, 3].map((n) => [
        `sdi-${n}`,
        {
          ...sdi('out', `Card output ${n}`, 2.97),
          emits: {
            picture: {
              formatControl: `format-${n}`,
              clean: true,
              copyProtected: false,
              encodingControl: null,
            },
          },
        },
      ]),
    ),
    controls: Object.fromEntries(
      [1, 2, 3].map((n) => [
        `format-${n}`,
        sourceFormats(`Output ${n} format`, HD_60, '1920x1080p60'),
      ]),
    ),
  }),
  deviceClass('player-console', {
    name: 'Games console',
    kind: 'player',
    step: 'source',
    about: 'HDMI source that protects its picture until told not to.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 14.4),
        emits: {
          ...emits({ copyProtected: 'protected', codingControl: 'coding' }),
          sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -90 },
        },
      },
    },
    controls: {
      format: sourceFormats('Output format', UHD_60, '1920x1080p60'),
      coding: codings(['rgb 8 full', 'rgb 8 limited', '420 8 limited'], 'rgb 8 limited'),
      protected: toggle('Copy protection', true),
    },
  }),
  deviceClass('player-console-fast', {
    name: 'Games console, ten bits at 2160p60',
    kind: 'player',
    step: 'source',
    about: 'HDMI source that asks for a 42 Gb/s link, and protects its picture until told not to.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 42.67),
        emits: {
          ...emits({ copyProtected: 'protected', codingControl: 'coding' }),
          sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -90 },
        },
      },
    },
    controls: {
      format: sourceFormats('Output format', UHD_60, '3840x2160p60'),
      coding: codings(['rgb 10 limited', 'rgb 8 limited', '420 8 limited'], 'rgb 10 limited'),
      protected: toggle('Copy protection', true),
    },
  }),
];
