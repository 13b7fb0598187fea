import { z } from 'zod';
import { CABLES } from '../links/cables';
import { portAt } from '../links/mating';
import type { SimpleCommand } from '../commands';
import type { End } from '../links/schema';
import { entry, inOrder } from '../order';
import { type Rig, rigSchema } from '../rig';
import { csvOf } from './csv';

const sorted = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, item]) => [key, sorted(item)]),
  );
};

/** The rig as JSON, keys sorted: the same rig gives the same bytes, and importing it gives the same rig. */
export const rigToJson = (rig: Rig): string => `${JSON.stringify(sorted(rig), null, 2)}\n`;

/** The published JSON Schema of the document, from the same description the types come from. */
export const rigJsonSchema = (): unknown => ({
  $id: 'https://echo-loom.invalid/rig.schema.json',
  title: 'Echo Loom rig',
  ...z.toJSONSchema(rigSchema, { io: 'input', unrepresentable: 'throw' }),
});

const deviceOrder = (rig: Rig, end: End): number => entry(rig.devices, end.deviceId)?.order ?? 0;

/** Links in the order a person would plug them: by sending device, then by its port. */
export const patchOrder = (rig: Rig): [string, Rig['links'][string]][] =>
  Object.entries(rig.links).sort(
    ([idA, a], [idB, b]) =>
      deviceOrder(rig, a.from) - deviceOrder(rig, b.from) ||
      a.from.portId.localeCompare(b.from.portId, 'en', { numeric: true }) ||
      (idA < idB ? -1 : 1),
  );

/** The next number that no cable bears or ever bore. */
const firstFree = ({ cableNumbers: given }: Rig): number => {
  let highest = 0;
  for (const number of Object.values(given)) if (number > highest) highest = number;
  return highest + 1;
};

/** Cables that have no number yet, in the order of the patch sheet. */
export const unnumbered = (rig: Rig): string[] =>
  patchOrder(rig).flatMap(([id, { cable }]) =>
    cable.kind === 'inside' || entry(rig.cableNumbers, id) !== undefined ? [] : [id],
  );

/** What numbers the cables that have none, above all that were ever given. @returns null where all have one */
export const numbering = (rig: Rig): Extract<SimpleCommand, { type: 'numberCables' }> | null => {
  const without = unnumbered(rig);
  const from = firstFree(rig);
  return without.length === 0
    ? null
    : {
        type: 'numberCables',
        numbers: Object.fromEntries(without.map((id, index) => [id, from + index])),
      };
};

/**
 * The number of each cable: the same on plan, labels and lists. The one it was given, which it keeps;
 * else the one it would be given now.
 */
export const cableNumbers = (rig: Rig): ReadonlyMap<string, number> => {
  const next = numbering(rig)?.numbers ?? {};
  return new Map(
    patchOrder(rig).flatMap(([id, { cable }]) => {
      const number = entry(rig.cableNumbers, id) ?? next[id];
      return cable.kind === 'inside' || number === undefined ? [] : [[id, number]];
    }),
  );
};

/** The patch sheet: one line a cable. Cells that a spreadsheet would run as a formula are quoted as text. */
export const patchSheetCsv = (rig: Rig): string => {
  const numbers = cableNumbers(rig);
  const rows = patchOrder(rig)
    .filter(([id]) => numbers.has(id))
    .map(([id, link]) => ({
      Cable: numbers.get(id) ?? 0,
      'From device': entry(rig.devices, link.from.deviceId)?.name ?? link.from.deviceId,
      'From port': portAt(rig, link.from)?.name ?? link.from.portId,
      'To device': entry(rig.devices, link.to.deviceId)?.name ?? link.to.deviceId,
      'To port': portAt(rig, link.to)?.name ?? link.to.portId,
      'Cable kind': CABLES[link.cable.kind].name,
      'Length m': link.cable.lengthM,
    }));
  const columns = [
    'Cable',
    'From device',
    'From port',
    'To device',
    'To port',
    'Cable kind',
    'Length m',
  ];
  return csvOf(
    columns,
    rows.map((row) => Object.values(row)),
  );
};

/**
 * A name as the DOT language takes it: between quotes, where a backslash begins an escape of the label's own and an
 * ampersand an entity. Never as markup, whatever it looks like.
 */
const dotText = (text: string): string =>
  `"${text.replace(/&/g, '&amp;').replace(/\\/g, '\\\\').replace(/"/g, '\\"')}"`;

const dotLine = (what: string, attributes: Readonly<Record<string, string>>): string =>
  `  ${what} [${Object.entries(attributes)
    .map(([name, value]) => `${name}=${dotText(value)}`)
    .join(', ')}];`;

/** The rig as a graph in the DOT language: devices as nodes, links as edges named by their ports. */
export const rigToDot = (rig: Rig): string => {
  const nodes = inOrder(rig.devices).map(([id, device]) =>
    dotLine(dotText(id), { label: device.name, shape: 'box' }),
  );
  const edges = patchOrder(rig).map(([id, { from, to, cable }]) =>
    dotLine(`${dotText(from.deviceId)} -> ${dotText(to.deviceId)}`, {
      id,
      taillabel: portAt(rig, from)?.name ?? from.portId,
      headlabel: portAt(rig, to)?.name ?? to.portId,
      label: cable.kind === 'inside' ? '' : `${cable.lengthM} m`,
    }),
  );
  return ['digraph "rig" {', '  rankdir="LR";', ...nodes, ...edges, '}', ''].join('\n');
};
