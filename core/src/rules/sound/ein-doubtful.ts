import { EIN_SOURCE_OHMS, thermalNoiseDbu } from '../../units';
import { nameOf } from '../../passes/names';
import type { PortNode } from '../../graph';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** A preamp in use whose stated noise leaves it none of its own. */
interface Doubtful {
  readonly node: PortNode;
  readonly dbu: number;
}

/** Lower than this no input of 150 Ω can be, unweighted. @unit dBu @source handbook 2-sound, unknown is unknown */
const BELOW_PHYSICS_DBU = -131.1;

export const einDoubtful = eachSoundRule<Doubtful>(
  'sound.ein-doubtful',
  {
    looksFor:
      'A preamp whose stated input noise is no higher than what a resistance of 150 Ω makes alone.',
    why:
      'The sheet gives it in dB(A), or with the input shorted. Taken as it stands, the preamp would ' +
      'make no noise at all.',
    remedy:
      'Look up how it was measured: the weighting, and the source resistance. Type it for 150 Ω, unweighted.',
    source:
      'handbook 2-sound: EIN is specified with 150 Ω and contains its thermal noise, −130.92 dBu',
  },
  {
    all: (measured) =>
      measured.graph.ports.flatMap((node) => {
        if (node.links.length === 0 || node.port.direction !== 'in') return [];
        const stated = node.routes.flatMap(({ route }) => route.sound?.ein ?? []);
        const dbu = Math.min(...stated.map((row) => row.dbu));
        return dbu <= thermalNoiseDbu(EIN_SOURCE_OHMS) ? [{ node, dbu }] : [];
      }),
    about: ({ node }) => at({ deviceId: node.device.id, portId: node.id }),
    judge: ({ node, dbu }, measured) => ({
      level: dbu < BELOW_PHYSICS_DBU ? 'warn' : 'note',
      title: `Input noise of ${figure(dbu)} dBu: how was it measured?`,
      says:
        `${nameOf(measured, node)} is said to make ${figure(dbu)} dBu, and 150 Ω alone make ` +
        `${figure(thermalNoiseDbu(EIN_SOURCE_OHMS))}. Ratios through it are "at best". Look up the weighting and the ` +
        'source resistance it was measured with.',
    }),
    sums: ({ dbu }) => [
      {
        label: 'What is left for the preamp itself',
        formula: 'EIN − thermal noise of 150 Ω, as powers',
        inputs: [
          { name: 'EIN', value: dbu, unit: 'dBu' },
          { name: '150 Ω', value: thermalNoiseDbu(EIN_SOURCE_OHMS), unit: 'dBu' },
        ],
        result: null,
        unit: 'dBu',
        source: 'handbook 2-sound',
      },
    ],
  },
);
