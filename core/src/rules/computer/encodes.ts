import { workloads } from '../../passes/computer/work';
import { at } from '../about';
import { computerRule } from '../rule-of';

export const encodes = computerRule(
  'computer.encodes',
  {
    matters: ['size'],
    looksFor: 'More encodes than the graphics hardware of a computer makes at once.',
    why: 'The rest falls back to the processor, which costs several times as much, and often without a word.',
    remedy: 'Write fewer files, record on a recorder or a switcher, or use a second machine.',
    source: 'handbook 3-picture: encoder, hardware sessions',
  },
  (measured) =>
    workloads(measured)
      .filter((load) => load.encodes > load.hardwareEncodes)
      .map(({ node, encodes: asked, hardwareEncodes }) => ({
        level: 'warn',
        about: at({ deviceId: node.id }),
        title: `${asked} encodes, ${hardwareEncodes} in hardware`,
        says:
          `${measured.device(node).name} makes ${asked} encodes at once and its graphics hardware makes ` +
          `${hardwareEncodes}. The rest burden the processor. Write fewer files, or record on a ` +
          'recorder or a switcher.',
      })),
  {
    sums: (measured, { about }) =>
      workloads(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .map(({ encodes: asked, hardwareEncodes }) => ({
          label: 'Encodes left to the processor',
          formula: 'encodes − hardware sessions',
          inputs: [
            { name: 'encodes', value: asked, unit: '' },
            { name: 'hardware sessions', value: hardwareEncodes, unit: '' },
          ],
          result: asked - hardwareEncodes,
          unit: 'encodes',
          source: 'typical of the class',
        })),
  },
);
