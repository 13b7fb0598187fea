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
  sensitivityMvPerPa: ['Sensitivity', 'mV/Pa'], selfNoiseDbaSpl: ['Self-noise', 'dB(A)'], maxSpl: ['Maximum SPL', 'dB'], sourceOhms: ['Source resistance', 'Ω'], inputOhms: ['Input resistance', 'Ω'],
  maxInDbu: ['Maximum input', 'dBu'], maxOutDbu: ['Maximum output', 'dBu'], dbu: ['EIN', 'dBu'], ownNoiseDbu: ['Own noise', 'dBu'], outputNoiseDbu: ['Output noise', 'dBu'],
  dynamicRangeDba: ['Dynamic range', 'dB(A)'], fullScaleDbu: ['0 dBFS leaves as', 'dBu'], maxPayloadGbps: ['Highest load', 'Gb/s'], levelDbu: ['Output level', 'dBu'], levelDbfs: ['Level', 'dBFS'],
};

const figuresIn = (value: unknown, path: string[], found: { path: string[]; value: number | null }[]): void => {
  if (typeof value !== 'object' || value === null) return;
  for (const [key, item] of Object.entries(value)) {
    if ((typeof item === 'number' || item === null) && NAMES[key]) found.push({ path: [...path, key], value: item });
    else figuresIn(item, [...path, key], found);
  }
};

const figuresOf = (model: Model): Figure[] => {
  const found: { path: string[]; value: number | null }[] = [];
  figuresIn({ ports: model.ports, routes: model.routes }, [], found);
  return found.map(({ path, value }) => {
    const [name, unit] = NAMES[path.at(-1) ?? ''] ?? ['', ''];
    const owner = path[0] === 'ports' ? model.ports[path[1] ?? '']?.name : path[1];
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
    <Box as="details" css={{ '& > summary': { cursor: 'pointer', fontSize: '14px', minHeight: '24px' } }}>
      <summary>{typical === 0 ? 'All figures from the data sheet' : `${typical} of ${figures.length} figures are typical of the class`}</summary>
      <Text fontSize="xs" color="ink.soft" my="1.5">Type your data sheet over them; leave a field empty where it does not say.</Text>
      {figures.map(({ path, label, unit, value }) => {
        const spread = device.model.spread[path];
        const hint = device.model.stated.includes(path) ? ' data sheet' : spread ? ` typical, ${spread[0]} to ${spread[1]}` : ' typical';
        return <NumberField key={path} label={label} hint={hint} unit={unit} value={value} mayBeUnknown onCommit={(next) => run({ type: 'setFigure', deviceId, path, value: next })} />;
      })}
    </Box>
  );
};
