'use client';

import { Box, Text } from '@chakra-ui/react';
import type { Device, Model } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

interface Figure {
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly value: number | null;
}

/** Figures a data sheet states, by the last word of their path. */
const NAMES: Readonly<Record<string, readonly [string, string]>> = {
  sensitivityMvPerPa: ['Sensitivity', 'mV/Pa'],
  selfNoiseDbaSpl: ['Self-noise', 'dB(A)'],
  maxSpl: ['Maximum SPL', 'dB'],
  sourceOhms: ['Source resistance', 'Ω'],
  inputOhms: ['Input resistance', 'Ω'],
  maxInDbu: ['Maximum input', 'dBu'],
  maxOutDbu: ['Maximum output', 'dBu'],
  dbu: ['EIN', 'dBu'],
  ownNoiseDbu: ['Own noise', 'dBu'],
  outputNoiseDbu: ['Output noise', 'dBu'],
  dynamicRangeDba: ['Dynamic range', 'dB(A)'],
  fullScaleDbu: ['0 dBFS leaves as', 'dBu'],
  maxPayloadGbps: ['Highest load', 'Gb/s'],
  levelDbu: ['Output level', 'dBu'],
  levelDbfs: ['Level', 'dBFS'],
  earDbPerMw: ['At the ear for 1 mW', 'dB SPL'],
  sensorWidthMm: ['sensor width at 16:9', 'mm'],
  sensorHeightMm: ['sensor height at 16:9', 'mm'],
  recordLimitMin: ['own recording ends after', 'min'],
  afterMin: ['sleeps after', 'min'],
  lastsMin: ['battery lasts', 'min'],
  dbaSpl: ['focus motor at 0.3 m', 'dB(A)'],
  keyers: ['keyers', ''],
  resizingKeyers: ['keyers that make smaller', ''],
  boxes: ['small pictures beside them', ''],
  capacityGb: ['capacity', 'GB'],
  writeMBps: ['writes', 'MB/s'],
  maxFileGb: ['largest file', 'GB'],
  budget: ['work it can do', '1080p30'],
  hardwareEncodes: ['encodes in hardware', ''],
};

/** Parts of a device itself, as they are read before a figure. */
const OWNERS: Readonly<Record<string, string>> = {
  camera: 'Camera',
  mixes: 'Mixing',
  storage: 'Drive',
  work: 'Computer',
};

const figuresIn = (
  value: unknown,
  path: string[],
  found: { path: string[]; value: number | null }[],
): void => {
  if (typeof value !== 'object' || value === null) return;
  for (const [key, item] of Object.entries(value)) {
    if ((typeof item === 'number' || item === null) && NAMES[key])
      found.push({ path: [...path, key], value: item });
    else figuresIn(item, [...path, key], found);
  }
};

const figuresOf = (model: Model): Figure[] => {
  const found: { path: string[]; value: number | null }[] = [];
  const { ports, routes, camera, mixes, storage, work } = model;
  figuresIn({ ports, routes, camera, mixes, storage, work }, [], found);
  return found.map(({ path, value }) => {
    const [name, unit] = NAMES[path.at(-1) ?? ''] ?? ['', ''];
    const owner =
      path[0] === 'ports'
        ? model.ports[path[1] ?? '']?.name
        : path[0] === 'routes'
          ? path[1]
          : OWNERS[path[0] ?? ''];
    return { path: path.join('.'), label: `${owner ?? ''}: ${name}`, unit, value };
  });
};

interface Props {
  readonly deviceId: string;
  readonly device: Device;
}

/** The figures of the device, to be typed over from its data sheet. Typical ones say so. */
export const DataSheet = ({ deviceId, device }: Props) => {
  const { run } = useRigSession();
  const figures = figuresOf(device.model);
  if (figures.length === 0) return null;
  const typical = figures.filter(({ path }) => !device.model.stated.includes(path)).length;
  return (
    <Box
      as="details"
      css={{ '& > summary': { cursor: 'pointer', fontSize: '14px', minHeight: '24px' } }}
    >
      <summary>
        {typical === 0
          ? 'All figures from the data sheet'
          : `${typical} of ${figures.length} figures are typical of the class`}
      </summary>
      <Text fontSize="xs" color="ink.soft" my="1.5">
        Type your data sheet over them; leave a field empty where it does not say.
      </Text>
      {figures.map(({ path, label, unit, value }) => {
        const spread = device.model.spread[path];
        const hint = device.model.stated.includes(path)
          ? ' data sheet'
          : spread
            ? ` typical, ${spread[0]} to ${spread[1]}`
            : ' typical';
        return (
          <NumberField
            key={path}
            label={label}
            hint={hint}
            unit={unit}
            value={value}
            mayBeUnknown
            onCommit={(next) => run({ type: 'setFigure', deviceId, path, value: next })}
          />
        );
      })}
    </Box>
  );
};
