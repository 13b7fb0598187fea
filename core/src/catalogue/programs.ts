import type { Kind, Model } from '../rig/devices/model';
import { deviceClass, software } from './parts';
import { sourceFormats, UHD_60 } from './picture-parts';
import type { ClassId } from './typical-figures';

/**
 * What a computer makes itself: programs on it that are sources. They have no body and cost nothing
 * here; what they are put into is the computer's own work.
 */

const PICTURE = {
  formatControl: 'format',
  clean: true,
  copyProtected: false,
  encodingControl: null,
} as const;

interface Sound {
  readonly levelDbfs: number;
  readonly crestDb: number;
}

const program = (
  id: ClassId,
  name: string,
  about: string,
  { picture, sound, kind = 'player' }: { picture: boolean; sound: Sound | null; kind?: Kind },
): Model =>
  deviceClass(id, {
    name,
    kind,
    step: 'source',
    about,
    ports: {
      out: software('out', 'To the computer', {
        emits: {
          ...(picture ? { picture: PICTURE } : {}),
          ...(sound ? { sound: { type: 'digital' as const, noiseDbfs: -96, ...sound } } : {}),
        },
      }),
    },
    controls: picture
      ? { format: sourceFormats('Size it is made in', UHD_60, '1920x1080p60') }
      : {},
  });

export const programs: readonly Model[] = [
  program(
    'program-screen',
    'The computer’s own screen',
    'What stands on a screen of the computer, taken by the computer itself.',
    { picture: true, sound: null },
  ),
  program(
    'program-slides',
    'Slides on the computer',
    'Slides, pictures and short clips, made by the computer that mixes.',
    { picture: true, sound: { levelDbfs: -20, crestDb: 12 } },
  ),
  program(
    'program-game',
    'Game on the computer',
    'A game on the computer that mixes, with its sound.',
    { picture: true, sound: { levelDbfs: -20, crestDb: 16 } },
  ),
  program(
    'program-browser',
    'Browser or player on the computer',
    'Pages and clips on the computer that mixes, with their sound.',
    { picture: true, sound: { levelDbfs: -20, crestDb: 14 } },
  ),
  program(
    'program-instrument',
    'Instrument played by the computer',
    'Sounds that the computer makes from what is played on keys.',
    { picture: false, sound: { levelDbfs: -18, crestDb: 14 }, kind: 'instrument' },
  ),
];
