'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  BARE_LAMP,
  entry,
  inOrder,
  type Lamp,
  type LampAim,
  type LightSource,
  topOfTilted,
  USUAL_MODIFIERS,
  nameOfThing,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { Answers } from './Answers';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

interface Props {
  readonly analysis: Analysis;
  readonly lamp: LightSource;
  readonly onClose: () => void;
}

const TURNED = 'turned';
const POINT = 'point';
const BARE = 'bare';

const aimKey = (aim: LampAim): string => {
  switch (aim.at) {
    case 'person':
      return `person ${aim.personId}`;
    case 'backdrop':
      return `backdrop ${aim.backdropId}`;
    default:
      return aim.at;
  }
};

/** Where a lamp is pointed, chosen by a key. */
const aimOf = (key: string, lamp: LightSource): LampAim => {
  const [kind, ...rest] = key.split(' ');
  const id = rest.join(' ');
  if (kind === 'person') return { at: 'person', personId: id };
  if (kind === 'backdrop') return { at: 'backdrop', backdropId: id };
  const cm = (metres: number): number => Number(metres.toFixed(2));
  if (kind === POINT)
    return {
      at: 'point',
      xM: cm(lamp.at.xM + 2 * lamp.axis[0]),
      yM: cm(lamp.at.yM + 2 * lamp.axis[1]),
      zM: cm(Math.max(0, lamp.at.zM + 2 * lamp.axis[2])),
    };
  return { at: 'turned', downDeg: Math.round(downDeg(lamp)) };
};

const downDeg = ({ axis }: LightSource): number =>
  (Math.atan2(-axis[2], Math.hypot(axis[0], axis[1])) * 180) / Math.PI;

/** One lamp: where it points, what it wears, its colour, and what it answers to. */
export const ChosenLamp = ({ analysis, lamp, onClose }: Props) => {
  const { run } = useRigSession();
  const { people, backdrops } = analysis.rig;
  const hung = lamp.lamp ?? BARE_LAMP;
  const { figures } = lamp;
  const onHang = (change: Partial<Lamp>) =>
    run({ type: 'hangLamp', deviceId: lamp.id, lamp: change });
  const { aim, modifier } = hung;
  const ceiling = analysis.rig.shell?.heightM;
  const top = topOfTilted(lamp.at.zM, lamp.heightM, downDeg(lamp));
  const colour = figures?.colourControl;
  return (
    <Box
      as="section"
      aria-label={`The lamp ${nameOfThing(analysis, lamp)}`}
      borderWidth="1px"
      borderColor="rule"
      p="3"
    >
      <Flex justify="space-between" align="center" gap="2">
        <Text as="h2" fontWeight="600">
          {nameOfThing(analysis, lamp)}
        </Text>
        <Button size="xs" variant="outline" onClick={onClose}>
          Close
        </Button>
      </Flex>
      <Text fontSize="sm" color="ink.soft">
        {Math.round(lamp.luxAt1m).toLocaleString('en-GB')} lux at 1 m turned up,{' '}
        {Math.round(lamp.beamDeg)}° beam, middle at {lamp.at.zM.toFixed(2)} m, upper edge at{' '}
        {top.toFixed(2)} m{ceiling === undefined ? '' : ` of ${ceiling.toFixed(2)}`}. Move it under
        Plan.
      </Text>
      <ChoiceField
        label="Points at"
        value={aimKey(aim)}
        options={[
          { value: TURNED, label: 'the way it stands' },
          { value: POINT, label: 'a point in the room' },
          ...inOrder(people).flatMap(([id, { name, at }]) =>
            at ? [{ value: `person ${id}`, label: name }] : [],
          ),
          ...inOrder(backdrops).map(([id, { name }]) => ({ value: `backdrop ${id}`, label: name })),
        ]}
        onChoose={(key) => onHang({ aim: aimOf(key, lamp) })}
      />
      {aim.at === 'turned' && (
        <NumberField
          label="Tipped down"
          unit="°"
          min={-90}
          max={90}
          step={5}
          value={aim.downDeg}
          onCommit={(value) => value !== null && onHang({ aim: { at: 'turned', downDeg: value } })}
        />
      )}
      {aim.at === 'point' &&
        (['xM', 'yM', 'zM'] as const).map((key) => (
          <NumberField
            key={key}
            label={`The point, ${key === 'zM' ? 'height' : `along ${key.charAt(0)}`}`}
            unit="m"
            min={key === 'zM' ? 0 : -1000}
            max={key === 'zM' ? 100 : 1000}
            step={0.1}
            value={aim[key]}
            onCommit={(value) => value !== null && onHang({ aim: { ...aim, [key]: value } })}
          />
        ))}
      {(figures?.takesModifiers || modifier) && (
        <ChoiceField
          label="Wears"
          value={modifier?.name ?? BARE}
          options={[
            { value: BARE, label: 'nothing' },
            ...(modifier && !USUAL_MODIFIERS.some(({ name }) => name === modifier.name)
              ? [{ value: modifier.name, label: modifier.name }]
              : []),
            ...USUAL_MODIFIERS.map(({ name }) => ({ value: name, label: name })),
          ]}
          onChoose={(name) => {
            const usual = USUAL_MODIFIERS.find((one) => one.name === name);
            if (usual || name === BARE) onHang({ modifier: usual ?? null });
          }}
        />
      )}
      {figures && colour !== undefined && (
        <NumberField
          label="Colour"
          unit="K"
          min={figures.leastK}
          max={figures.mostK}
          step={100}
          value={lamp.kelvin}
          onCommit={(value) =>
            value !== null && run({ type: 'setControl', deviceId: lamp.id, control: colour, value })
          }
        />
      )}
      <Answers
        key={lamp.id}
        figures={lamp.figures}
        lampName={nameOfThing(analysis, lamp)}
        hung={hung}
        onHang={onHang}
      />
      <Button
        size="xs"
        variant="outline"
        mt="2"
        onClick={() => {
          run({ type: 'removeDevice', deviceId: lamp.id });
          onClose();
        }}
      >
        Take {entry(analysis.rig.devices, lamp.id)?.name ?? nameOfThing(analysis, lamp)} out of the
        rig
      </Button>
    </Box>
  );
};
