'use client';

import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  type LightSource,
  lampsNowhere,
  lampSources,
  lightSources,
  seenFaces,
  withShares,
  nameOfThing,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import { luxText, type Shares, shareOf } from './shares';

interface Props {
  readonly analysis: Analysis;
  readonly shares: Shares;
  readonly chosen: string | null;
  /** A dimmer as it is dragged, 0 to 1; null once it is let go */
  readonly onDrag: (deviceId: string, share: number | null) => void;
  readonly onChoose: (deviceId: string) => void;
}

interface Dimmer {
  readonly lampName: string;
  readonly share: number;
  /** Whether it is under somebody's hand */
  readonly isDrawn: boolean;
  readonly onDrag: (share: number | null) => void;
  readonly onSet: (percent: number) => void;
}

/** A rule with a mark on it: drawn along, everything follows at once; let go, it is kept. */
const DimmerRule = ({ lampName, share, isDrawn, onDrag, onSet }: Dimmer) => {
  const percent = Math.round(1000 * share) / 10;
  const keep = (value: string) => {
    // The browser rounds what it shows: only what was drawn is kept.
    if (!isDrawn) return;
    onSet(Number(value));
    onDrag(null);
  };
  return (
    <Box display="flex" alignItems="center" gap="2" minW="150px">
      <input
        type="range"
        min={0}
        max={100}
        step={1}
        value={percent}
        aria-label={`Dimmer of ${lampName}`}
        aria-valuetext={`${percent} %`}
        style={{ flex: 1, minWidth: 96, minHeight: 24, accentColor: 'var(--chakra-colors-madder)' }}
        onChange={(event) => onDrag(Number(event.target.value) / 100)}
        onPointerUp={(event) => keep(event.currentTarget.value)}
        onKeyUp={(event) => keep(event.currentTarget.value)}
        onBlur={(event) => keep(event.currentTarget.value)}
      />
      <span
        className="figures"
        style={{ minWidth: '3.4em', textAlign: 'right', whiteSpace: 'nowrap' }}
      >
        {percent} %
      </span>
    </Box>
  );
};

const kelvinText = ({ kelvin }: LightSource): string =>
  `${Math.round(kelvin).toLocaleString('en-GB')} K`;

/** Every lamp with its dimmer and what it gives each face; windows and screens below, as they are. */
export const Lamps = ({ analysis, shares, chosen, onDrag, onChoose }: Props) => {
  const { run } = useRigSession();
  const faces = seenFaces(analysis).map((face) => withShares(face, shares));
  const onFaces = (source: LightSource): string[] =>
    faces.map((face) => {
      const part = face.parts.find((one) => one.source.id === source.id);
      return part && part.lux >= 0.5 ? luxText(part.lux) : '–';
    });
  const lamps = lampSources(analysis);
  const others = lightSources(analysis).filter(({ of }) => of !== 'lamp');
  const nowhere = lampsNowhere(analysis);
  return (
    <Box as="section" aria-label="Lamps">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Lamps
      </Text>
      {lamps.length + others.length === 0 ? (
        <Text fontSize="sm">
          No lamp stands in the room yet, and nobody has said what the windows let in. Add a lamp
          below, or say where and when the show is.
        </Text>
      ) : (
        <PlainTable
          label="Lamps and what they give on each face, in lux"
          headings={['Lamp', 'Dimmer', 'Colour', ...faces.map(({ name }) => `${name}, lux`), 'W']}
          lines={[
            ...lamps.map((lamp) => {
              const share = shareOf(lamp, shares);
              const control = lamp.figures?.dimmerControl ?? '';
              return {
                id: lamp.id,
                head: (
                  <button
                    type="button"
                    onClick={() => onChoose(lamp.id)}
                    style={{ textAlign: 'left', minHeight: 24 }}
                  >
                    {nameOfThing(analysis, lamp)}
                    <Text as="span" display="block" fontSize="xs" fontWeight="400" color="ink.soft">
                      {lamp.lamp?.modifier?.name ?? 'bare'}
                    </Text>
                  </button>
                ),
                cells: [
                  <DimmerRule
                    key="dimmer"
                    lampName={nameOfThing(analysis, lamp)}
                    share={share}
                    isDrawn={shares[lamp.id] !== undefined}
                    onDrag={(to) => onDrag(lamp.id, to)}
                    onSet={(value) =>
                      value !== Math.round(1000 * lamp.share) / 10 &&
                      run({ type: 'setControl', deviceId: lamp.id, control, value })
                    }
                  />,
                  kelvinText(lamp),
                  ...onFaces(lamp),
                  Math.round(share * lamp.watts),
                ],
                isMarked: chosen === lamp.id,
              };
            }),
            ...others.map((source) => ({
              id: source.id,
              head: nameOfThing(analysis, source),
              cells: [
                source.of === 'window' ? 'daylight' : 'as it shines',
                kelvinText(source),
                ...onFaces(source),
                '',
              ],
            })),
          ]}
        />
      )}
      {nowhere.length > 0 && (
        <Text fontSize="sm" mt="1">
          {nowhere.map((id) => entry(analysis.rig.devices, id)?.name ?? id).join(', ')}: in the rig,
          standing nowhere. Put {nowhere.length === 1 ? 'it' : 'them'} on the plan.
        </Text>
      )}
    </Box>
  );
};
