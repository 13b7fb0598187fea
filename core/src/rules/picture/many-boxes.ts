import { type DeviceNode, stagesOf, type Thread } from '../../graph';
import type { Measured } from '../../passes/measured';
import type { Kind } from '../../rig';
import { at } from '../about';
import { pictureRule } from '../rule-of';

const BETWEEN: ReadonlySet<Kind> = new Set(['splitter', 'selector', 'converter']);
/** What puts the picture to use: the row ends there. */
const USES: ReadonlySet<Kind> = new Set(['switcher', 'capture', 'computer', 'encoder', 'recorder']);
/** So many boxes between a camera and what uses its picture are many */
const MANY = 3;

const boxesOf = (thread: Thread): DeviceNode[] => {
  const boxes = new Set<DeviceNode>();
  for (const {
    at: { device },
  } of stagesOf(thread.last)) {
    if (USES.has(device.model.kind)) break;
    if (BETWEEN.has(device.model.kind)) boxes.add(device);
  }
  return [...boxes];
};

/**
 * How many boxes each stage has behind it, up to what uses the picture; counted along the tree,
 * since most rows are short.
 */
const countBoxes = ({ stages }: Measured['traced']): Uint8Array => {
  const counts = new Uint8Array(stages.length);
  for (const { index, signal, parent, via, at } of stages) {
    if (signal !== 'picture' || !parent) continue;
    const { kind } = at.device.model;
    counts[index] = (counts[parent.index] ?? 0) + (via.by === 'link' && BETWEEN.has(kind) ? 1 : 0);
  }
  return counts;
};

/** The longest row of boxes of each source that has many. */
const rows = (measured: Measured): Map<DeviceNode, DeviceNode[]> => {
  const found = new Map<DeviceNode, DeviceNode[]>();
  const counts = countBoxes(measured.traced);
  for (const thread of measured.traced.threads) {
    if (thread.signal !== 'picture' || (counts[thread.last.index] ?? 0) < MANY) continue;
    const boxes = boxesOf(thread);
    if (boxes.length >= MANY && boxes.length > (found.get(thread.source.device)?.length ?? 0))
      found.set(thread.source.device, boxes);
  }
  return found;
};

export const manyBoxes = pictureRule(
  'picture.many-boxes',
  {
    looksFor: 'Three or more splitters, selectors and converters in one row.',
    why: 'Each adds a delay, a supply and two plugs; the row is as reliable as all of them together.',
    remedy:
      'Use a camera or a switcher with the socket you need, or one converter that does it all.',
    source: 'handbook 3-picture: every one of them adds delay, a failure point and two plugs',
  },
  (measured) =>
    [...rows(measured)].map(([source, boxes]) => ({
      level: 'warn',
      about: at({ deviceId: source.id }),
      title: `${boxes.length} boxes in a row`,
      says:
        `${measured.device(source).name} goes through ` +
        `${boxes.map((box) => measured.device(box).name).join(', ')}. That is ${boxes.length} ` +
        `supplies and ${2 * boxes.length} plugs that can fail. Use a source or a switcher ` +
        'with the socket you need.',
    })),
  {
    sums: (measured, { about }) =>
      [...rows(measured)]
        .filter(([source]) => source.id === about.deviceId)
        .map(([, boxes]) => ({
          label: 'Plugs added',
          formula: 'boxes × 2',
          inputs: [{ name: 'boxes', value: boxes.length, unit: '' }],
          result: boxes.length * 2,
          unit: 'plugs',
          source: 'handbook 3-picture',
        })),
  },
);
