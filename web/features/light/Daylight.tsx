'use client';

import { Box, Field, Flex, Input, Text } from '@chakra-ui/react';
import {
  type Analysis,
  clock,
  entry,
  inOrder,
  type Sky,
  throughDay,
  USUAL_WINDOW,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { today } from '@/ui/today';
import { WindowFields } from './WindowFields';
import { luxText } from './shares';

const FIRST_SKY: Omit<Sky, 'on'> = {
  latitudeDeg: 51.5,
  longitudeDeg: 0,
  upThePlanDeg: 0,
  atMin: 600,
  aheadMin: 0,
  is: 'overcast',
};

const timeText = (atMin: number): string => clock(atMin).padStart(5, '0');
const minutesOf = (text: string): number | null => {
  const [hours, minutes] = text.split(':').map(Number);
  return hours === undefined || minutes === undefined || Number.isNaN(hours + minutes)
    ? null
    : 60 * hours + minutes;
};

/** Where and when the show is, what the windows let in, and what that does while the clock goes on. */
export const Daylight = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { sky, openings, windows } = analysis.rig;
  const all = inOrder(openings).filter(([, { what }]) => what === 'window');
  const set = (change: Partial<Sky>) =>
    run({ type: 'setSky', sky: { ...FIRST_SKY, on: today(), ...sky, ...change } });
  const places = throughDay(analysis);
  const moments = places[0]?.moments ?? [];
  return (
    <Box as="section" aria-label="Daylight">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Daylight
      </Text>
      {all.length === 0 && (
        <Text fontSize="sm" mb="1">
          The room has no window. Put one into its walls under Plan.
        </Text>
      )}
      <ChoiceField
        label="Sky"
        value={sky?.is ?? 'not said'}
        options={[
          { value: 'not said', label: 'not said' },
          { value: 'clear', label: 'clear' },
          { value: 'overcast', label: 'overcast' },
        ]}
        onChoose={(value) =>
          value === 'not said'
            ? run({ type: 'setSky', sky: null })
            : set({ is: value === 'clear' ? 'clear' : 'overcast' })
        }
      />
      {sky && (
        <>
          <Flex gap="2" my="1">
            <Field.Root>
              <Field.Label fontSize="sm" fontWeight="400">
                Day of the show
              </Field.Label>
              <Input
                size="sm"
                type="date"
                value={sky.on}
                onChange={(event) => event.target.value !== '' && set({ on: event.target.value })}
              />
            </Field.Root>
            <Field.Root>
              <Field.Label fontSize="sm" fontWeight="400">
                Begins at
              </Field.Label>
              <Input
                size="sm"
                type="time"
                value={timeText(sky.atMin)}
                onChange={(event) => {
                  const atMin = minutesOf(event.target.value);
                  if (atMin !== null) set({ atMin });
                }}
              />
            </Field.Root>
          </Flex>
          <NumberField
            label="Clock ahead of universal time"
            unit="min"
            min={-720}
            max={840}
            step={30}
            isWhole
            value={sky.aheadMin}
            onCommit={(aheadMin) => aheadMin !== null && set({ aheadMin })}
          />
          <NumberField
            label="Latitude, north"
            unit="°"
            min={-90}
            max={90}
            value={sky.latitudeDeg}
            onCommit={(latitudeDeg) => latitudeDeg !== null && set({ latitudeDeg })}
          />
          <NumberField
            label="Longitude, east"
            unit="°"
            min={-180}
            max={180}
            value={sky.longitudeDeg}
            onCommit={(longitudeDeg) => longitudeDeg !== null && set({ longitudeDeg })}
          />
          <NumberField
            label="Compass bearing up the plan"
            unit="°"
            min={-360}
            max={360}
            value={sky.upThePlanDeg}
            onCommit={(upThePlanDeg) => upThePlanDeg !== null && set({ upThePlanDeg })}
          />
        </>
      )}
      {all.map(([openingId, { name }]) => {
        const window = entry(windows, openingId) ?? USUAL_WINDOW;
        return (
          <WindowFields
            key={openingId}
            name={name}
            window={window}
            onChange={(change) =>
              run({ type: 'setWindow', openingId, window: { ...window, ...change } })
            }
          />
        );
      })}
      {moments.length > 0 && all.length > 0 && (
        <Box mt="2">
          <PlainTable
            label="Light through the show, in lux"
            headings={['', ...moments.map(({ atMin }) => clock(atMin))]}
            lines={places.map((place) => ({
              id: place.id,
              head: place.name,
              cells: place.moments.map(
                ({ lux, sunThrough }) => `${luxText(lux)}${sunThrough ? ' sun' : ''}`,
              ),
              isMarked: place.moments.some(({ sunThrough }) => sunThrough !== null),
            }))}
          />
        </Box>
      )}
    </Box>
  );
};
