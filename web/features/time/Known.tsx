'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  freeId,
  inOrder,
  type Meeting,
  type DelayStep,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

/** One way through one device: what a figure can be noted for. */
interface Through {
  readonly key: string;
  readonly deviceId: string;
  readonly routeId: string | null;
  readonly step: DelayStep;
  readonly text: string;
}

/** `Switcher, usb sound` */
const throughText = (
  { rig }: Pick<Analysis, 'rig'>,
  deviceId: string,
  routeId: string | null,
): string => {
  const name = entry(rig.devices, deviceId)?.name ?? deviceId;
  return routeId === null ? name : `${name}, ${routeId.replaceAll('-', ' ')}`;
};

/** What takes time on the way to a place, what is not known first. */
const throughs = ({ rig }: Analysis, meetings: readonly Meeting[]): Through[] => {
  const found = new Map<string, Through>();
  for (const { sounds, pictures } of meetings)
    for (const { steps, sourceIds } of [...sounds, ...pictures])
      for (const step of steps) {
        if (step.by === 'set') continue;
        const { deviceId, key, routeId, ms } = step;
        if (routeId === null && !sourceIds.includes(deviceId)) continue;
        const figure = ms === null ? 'not known' : `${ms.toFixed(1)} ms, ${step.by}`;
        found.set(key, {
          key,
          deviceId,
          routeId,
          step,
          text: `${throughText({ rig }, deviceId, routeId)}: ${figure}`,
        });
      }
  return [...found.values()].sort(
    (a, b) => Number(a.step.ms !== null) - Number(b.step.ms !== null),
  );
};

const BY = [
  { value: 'data sheet', label: 'by its data sheet' },
  { value: 'measured', label: 'measured' },
];

/** What data sheets and measurements say of devices, in place of what is typical. */
export const Known = ({
  analysis,
  meetings,
}: {
  readonly analysis: Analysis;
  readonly meetings: readonly Meeting[];
}) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const all = throughs(analysis, meetings);
  const [chosen, setChosen] = useState('');
  const [by, setBy] = useState<'data sheet' | 'measured'>('data sheet');
  const through = all.find(({ key }) => key === chosen) ?? all[0];
  const note = (ms: number | null) => {
    if (ms === null || !through) return;
    const { deviceId, routeId } = through;
    const [known] =
      inOrder(rig.knownDelays).find(
        ([, one]) => one.deviceId === deviceId && one.routeId === routeId,
      ) ?? [];
    const figures = { ms, by, on: new Date().toISOString().slice(0, 10) };
    run(
      known === undefined
        ? {
            type: 'addKnownDelay',
            knownDelayId: freeId(`${deviceId}-delay`, rig.knownDelays),
            knownDelay: { ...figures, deviceId, routeId, spreadMs: 0, heldWhile: '' },
          }
        : { type: 'changeKnownDelay', knownDelayId: known, knownDelay: figures },
    );
  };
  return (
    <Box as="section" aria-label="What devices take">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What devices take
      </Text>
      {inOrder(rig.knownDelays).map(
        ([knownDelayId, { deviceId, routeId, ms, spreadMs, by: how }]) => {
          const name = throughText(analysis, deviceId, routeId);
          return (
            <Flex key={knownDelayId} gap="2" align="center" fontSize="sm" mb="1">
              <Text flex="1">
                {name}: {ms} ± {spreadMs} ms,{' '}
                {how === 'measured' ? 'measured' : 'by its data sheet'}
              </Text>
              <Button
                size="xs"
                variant="outline"
                className="screen-only"
                aria-label={`Forget what ${name} takes`}
                onClick={() => run({ type: 'removeKnownDelay', knownDelayId })}
              >
                Forget
              </Button>
            </Flex>
          );
        },
      )}
      {through ? (
        <Box className="screen-only" mt="2">
          <ChoiceField
            label="Through"
            width="270px"
            value={through.key}
            options={all.map(({ key, text }) => ({ value: key, label: text }))}
            onChoose={setChosen}
          />
          <ChoiceField
            label="Known"
            width="270px"
            value={by}
            options={BY}
            onChoose={(value) => setBy(value === 'measured' ? 'measured' : 'data sheet')}
          />
          <NumberField
            label="It takes"
            mayBeUnknown
            whenEmpty="none"
            unit="ms"
            min={0}
            max={10_000}
            value={null}
            onCommit={note}
          />
        </Box>
      ) : (
        <Text fontSize="sm">Nothing on the way to a place takes time.</Text>
      )}
    </Box>
  );
};
