import type { Model, Route } from '../rig/devices/model';
import { deviceClass, each, gain, micIn, preampToDigital, route, toggle } from './parts';
import type { ClassId } from './typical-figures';

const stageBox = (id: ClassId, name: string, microphones: number): Model =>
  deviceClass(id, {
    name,
    kind: 'stage-box',
    step: 'combine',
    about: 'Preamps near the microphones; the channels travel over one network cable.',
    ports: {
      ...each(microphones, 'mic', (n) => micIn(`Channel ${n}`, 3000, 18, `phantom-${n}`)),
      network: {
        family: 'network',
        direction: 'out',
        name: 'Network',
        connector: 'rj45',
        gbps: 1,
        soundChannels: microphones,
      },
    },
    routes: each<Route>(microphones, 'mic', (n) =>
      route(
        `mic-${n}`,
        'network',
        { ms: 1 },
        { sound: preampToDigital(`gain-${n}`, -126.5, 60, 112, `pad-${n}`) },
      ),
    ),
    controls: {
      ...each(microphones, 'gain', (n) => gain(`Gain ${n}`, 0, 60, 40)),
      ...each(microphones, 'phantom', (n) => toggle(`Phantom power ${n}`)),
      ...each(microphones, 'pad', (n) => toggle(`Pad ${n}, 20 dB`)),
    },
  });

/** Preamps near the microphones, on one cable to the desk. */
export const stageBoxes: readonly Model[] = [
  stageBox('stage-box-8', 'Stage box, eight channels', 8),
  stageBox('stage-box-16', 'Stage box, sixteen channels', 16),
];
