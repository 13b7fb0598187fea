import {
  cableNumbers,
  circuitOf,
  entry,
  figure,
  formatName,
  headroomDb,
  inOrder,
  isOnBattery,
  reachOfLink,
  CABLES,
  supplyOf,
  type Analysis,
  type Stage,
} from '@echo-loom/core';

/** What the figure on each thread says. */
export const READINGS = [
  'Format',
  'Level',
  'Headroom',
  'Delay',
  'Cable',
  'Power',
  'Number',
] as const;
export type Reading = (typeof READINGS)[number];

/** Stages that arrive over each link, by link. */
export const stagesByLink = (analysis: Analysis): ReadonlyMap<string, readonly Stage[]> => {
  const byLink = new Map<string, Stage[]>();
  for (const stage of analysis.traced.stages) {
    if (stage.via.by !== 'link') continue;
    const stages = byLink.get(stage.via.link.id) ?? [];
    stages.push(stage);
    byLink.set(stage.via.link.id, stages);
  }
  return byLink;
};

/** The span of some values as one text. @unit dB */
export const range = (values: readonly number[]): string | null => {
  if (values.length === 0) return null;
  const low = Math.min(...values);
  const high = Math.max(...values);
  if (figure(low) === figure(high)) return figure(low);
  const [from, to] = [figure(low, 0), figure(high, 0)];
  // Ends that are written alike are one figure.
  return from === to ? from : `${from}…${to}`;
};

const known = (values: readonly (number | null | undefined)[]): number[] =>
  values.filter((value): value is number => value !== null && value !== undefined);

const formatReading = (analysis: Analysis, stages: readonly Stage[]): string | null => {
  const formats = new Set(
    stages.flatMap((stage) => {
      const picture = analysis.picture[stage.index];
      return picture ? [picture.format ? formatName(picture.format) : 'none'] : [];
    }),
  );
  if (formats.size > 0)
    return formats.size === 1 ? ([...formats][0] ?? null) : `${formats.size} formats`;
  const port = stages[0]?.at.port;
  if (port?.family === 'analogue')
    return port.nominal === 'microphone' ? 'mic' : port.nominal === 'headphone' ? 'phones' : 'line';
  return stages.length > 0 ? 'sound' : null;
};

/** Where a device gets what it draws, where that is not the mains. */
const FROM = { inlet: '', adapter: '', usb: ' USB', network: ' net', battery: ' bat' } as const;

/** The circuit a device hangs on, by its number in the rig; nothing where that is not known. */
const circuitReading = ({ rig }: Analysis, deviceId: string): string => {
  const feedId = entry(rig.plugs, deviceId);
  const circuitId = feedId === undefined ? null : circuitOf(rig, feedId);
  const at = inOrder(rig.circuits).findIndex(([id]) => id === circuitId);
  return at < 0 ? '' : ` c${at + 1}`;
};

const powerReading = (analysis: Analysis, deviceId: string): string | null => {
  const device = analysis.rig.devices[deviceId];
  const supply = device && supplyOf(device.model);
  if (!device || !supply) return null;
  const watts = `${figure(supply.mostW, supply.mostW < 10 ? 1 : 0)} W`;
  return `${watts}${FROM[isOnBattery(device) ? 'battery' : supply.is]}${circuitReading(analysis, deviceId)}`;
};

/** Unit of a reading, said once above the chart. */
export const READING_UNITS: Readonly<Record<Reading, string>> = {
  Format: 'size, scan and rate',
  Level: 'dBu on analogue threads, dBFS on digital ones',
  Headroom: 'dB from the peaks to the ceiling',
  Delay: 'ms from the source; ≥ where some of it is not known',
  Cable: 'length in m, and how much of its reach that is',
  Number: 'the number on the cable, the same as on its labels and in the patch sheet',
  Power:
    'what the device before it draws at most, from where if not the mains, and its circuit by number',
};

/**
 * The text on a thread for one reading.
 * @returns null where the reading has nothing to say there
 */
export const readingText = (
  analysis: Analysis,
  reading: Reading,
  linkId: string,
  stages: readonly Stage[],
): string | null => {
  switch (reading) {
    case 'Format':
      return formatReading(analysis, stages);
    case 'Level': {
      const sound = stages.filter((stage) => stage.signal === 'sound');
      if (sound.length === 0) return null;
      return range(known(sound.map((stage) => analysis.sound[stage.index]?.levelDb))) ?? '?';
    }
    case 'Headroom': {
      const values = known(
        stages.map((stage) => {
          const sound = analysis.sound[stage.index];
          return sound ? headroomDb(sound) : null;
        }),
      );
      return values.length === 0 ? null : figure(Math.min(...values));
    }
    case 'Delay': {
      const delays = stages.flatMap((stage) => analysis.delay[stage.index] ?? []);
      if (delays.length === 0) return null;
      const longest = Math.max(...delays.map((delay) => delay.knownMs));
      return `${delays.some((delay) => delay.unknown > 0) ? '≥ ' : ''}${figure(longest, longest >= 100 ? 0 : 1)}`;
    }
    case 'Number': {
      const number = cableNumbers(analysis.rig).get(linkId);
      return number === undefined ? null : String(number);
    }
    case 'Cable': {
      const edge = analysis.graph.links.get(linkId);
      if (!edge || CABLES[edge.link.cable.kind].family === 'software') return null;
      const { lengthM } = edge.link.cable;
      const reach = reachOfLink(analysis, edge);
      return reach === 0 || reach === Infinity
        ? `${lengthM} m`
        : `${lengthM} m ${figure((100 * lengthM) / reach, 0)}%`;
    }
    case 'Power': {
      const edge = analysis.graph.links.get(linkId);
      return edge ? powerReading(analysis, edge.from.device.id) : null;
    }
  }
};

/**
 * What one signal says at a stage, with its unit: the figure of its own thread, not of all on the cable.
 * A picture has no level; there its format stands.
 */
export const readingOfStage = (
  analysis: Analysis,
  reading: Reading,
  stage: Stage,
): string | null => {
  if (stage.via.by !== 'link') return null;
  const linkId = stage.via.link.id;
  const said = readingText(analysis, reading, linkId, [stage]);
  switch (reading) {
    case 'Level': {
      const sound = analysis.sound[stage.index];
      if (!sound) return readingText(analysis, 'Format', linkId, [stage]);
      return sound.levelDb === null ? '?' : `${figure(sound.levelDb)} ${sound.unit}`;
    }
    case 'Headroom':
      return said === null ? readingText(analysis, 'Format', linkId, [stage]) : `${said} dB`;
    case 'Delay':
      return said === null ? null : `${said} ms`;
    case 'Format':
    case 'Cable':
    case 'Number':
    case 'Power':
      return said;
  }
};
