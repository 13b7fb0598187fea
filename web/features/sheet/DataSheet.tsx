'use client';

import { Box, Text } from '@chakra-ui/react';
import { type Device, type Field, fieldsOf, type Model, wordsFor } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
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

type NumberAt = Extract<Field, { readonly is: 'number' }>;

const ownerOf = (model: Model, [part, id]: Field['path']): string =>
  part === 'ports'
    ? (model.ports[String(id)]?.name ?? '')
    : part === 'routes'
      ? String(id)
      : (OWNERS[String(part)] ?? wordsFor([String(part)]).label);

const figureOf = (model: Model, { path, words }: Field, value: number | null): Figure => {
  const [name, unit] = NAMES[String(path.at(-1))] ?? [words.label.toLowerCase(), words.unit ?? ''];
  return { path: path.join('.'), label: `${ownerOf(model, path)}: ${name}`, unit, value };
};

const inside = (fields: readonly Field[]): Field[] =>
  fields.flatMap((field) =>
    field.is === 'group' || field.is === 'list' ? inside(field.fields) : [field],
  );

/** Figures of a class that have a name here, and those that were typed in beside them. */
const figuresOf = (model: Model): Figure[] =>
  inside(fieldsOf(model)).flatMap((field) =>
    isShown(model, field) ? [figureOf(model, field, field.value)] : [],
  );

const isShown = (model: Model, field: Field): field is NumberAt =>
  field.is === 'number' &&
  field.path.length > 1 &&
  field.path[0] !== 'controls' &&
  (Object.hasOwn(NAMES, String(field.path.at(-1))) || model.stated.includes(field.path.join('.')));

/** Figures that the class does not have and a data sheet may. */
const missingFrom = (model: Model): Figure[] =>
  inside(fieldsOf(model)).flatMap((field) =>
    field.is === 'left out' && field.path.length > 1 && field.words.sheet !== undefined
      ? [figureOf(model, field, null)]
      : [],
  );

/** A figure that was never there, chosen and typed in. */
const AddFigure = ({
  deviceId,
  figures,
}: {
  readonly deviceId: string;
  readonly figures: readonly Figure[];
}) => {
  const { run } = useRigSession();
  const [chosen, setChosen] = useState('');
  const figure = figures.find(({ path }) => path === chosen);
  return (
    <Box mt="2">
      <ChoiceField
        label="Another figure of the data sheet"
        value={figure?.path ?? ''}
        options={[
          { value: '', label: 'choose' },
          ...figures.map(({ path, label }) => ({ value: path, label })),
        ]}
        onChoose={setChosen}
      />
      {figure && (
        <NumberField
          key={figure.path}
          label={figure.label}
          unit={figure.unit}
          value={null}
          mayBeUnknown
          onCommit={(value) => {
            if (value !== null && run({ type: 'setFigure', deviceId, path: figure.path, value }))
              setChosen('');
          }}
        />
      )}
    </Box>
  );
};

interface Props {
  readonly deviceId: string;
  readonly device: Device;
}

/** The figures of the device, to be typed over from its data sheet. Typical ones say so. */
export const DataSheet = ({ deviceId, device }: Props) => {
  const { run } = useRigSession();
  const figures = figuresOf(device.model);
  const missing = missingFrom(device.model);
  if (figures.length + missing.length === 0) return null;
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
      {missing.length > 0 && <AddFigure deviceId={deviceId} figures={missing} />}
    </Box>
  );
};
