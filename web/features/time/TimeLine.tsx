import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type Arriving,
  entry,
  knobKey,
  type Meeting,
  type DelayStep,
} from '@echo-loom/core';
import { allNames, msText, type Turned, whoText } from './offsets';

interface Segment {
  readonly key: string;
  readonly name: string;
  readonly ms: number;
  readonly isSet: boolean;
}

interface Line {
  readonly key: string;
  readonly what: 'Sound' | 'Picture';
  readonly who: string;
  readonly all: string;
  readonly segments: readonly Segment[];
  readonly ms: number;
  readonly leastMs: number;
  readonly mostMs: number;
  /** Devices whose delay nobody knows */
  readonly unknown: readonly string[];
}

const total = (steps: readonly DelayStep[], of: 'ms' | 'leastMs' | 'mostMs'): number =>
  steps.reduce((sum, step) => sum + (step.ms === null ? 0 : (step[of] ?? 0)), 0);

const lineOf = (
  analysis: Analysis,
  what: Line['what'],
  arriving: Arriving,
  among: readonly Arriving[],
  turned: Turned,
  index: number,
): Line => {
  const { steps, knobs } = arriving;
  const nameOf = (deviceId: string) => entry(analysis.rig.devices, deviceId)?.name ?? deviceId;
  const turning = knobs.flatMap((knob) => {
    const ms = turned.get(knobKey(knob));
    return ms === undefined ? [] : [{ knob, byMs: ms - knob.ms }];
  });
  const moreMs = turning.reduce((sum, { byMs }) => sum + byMs, 0);
  const segments = [
    ...steps.flatMap(({ key, deviceId, ms, by }) =>
      ms === null
        ? []
        : [
            {
              key,
              name: nameOf(deviceId),
              ms: ms + (turning.find(({ knob }) => knobKey(knob) === key)?.byMs ?? 0),
              isSet: by === 'set',
            },
          ],
    ),
    ...turning
      .filter(({ knob }) => !steps.some(({ key }) => key === knobKey(knob)))
      .map(({ knob, byMs }) => ({
        key: knobKey(knob),
        name: nameOf(knob.deviceId),
        ms: byMs,
        isSet: true,
      })),
  ];
  return {
    key: `${what} ${index}`,
    what,
    who: whoText(analysis, arriving, among),
    all: allNames(analysis, arriving),
    segments,
    ms: total(steps, 'ms') + moreMs,
    leastMs: total(steps, 'leastMs') + moreMs,
    mostMs: total(steps, 'mostMs') + moreMs,
    unknown: [
      ...new Set(steps.filter(({ ms }) => ms === null).map(({ deviceId }) => nameOf(deviceId))),
    ],
  };
};

/** A round step of the scale, of which five to ten fit. @unit ms */
const scaleStep = (mostMs: number): number =>
  [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000].find((step) => mostMs / step <= 8) ??
  10_000;

/** Narrower than this a name does not fit. @unit per cent of the line */
const NAMED_PERCENT = 14;

const Bar = ({ line, mostMs }: { readonly line: Line; readonly mostMs: number }) => {
  const at = (ms: number) => `${(100 * ms) / mostMs}%`;
  return (
    <Box position="relative" h="22px" flex="1" bg="paper.deep">
      <Flex h="14px" position="absolute" top="1px" left="0" right="0">
        {line.segments.map(({ key, name, ms, isSet }, index) => (
          <Box
            key={`${key} ${index}`}
            w={at(ms)}
            flex="none"
            bg={isSet ? 'ink.soft' : line.what === 'Sound' ? 'thread.analogue' : 'thread.picture'}
            borderEndWidth="1px"
            borderColor="paper"
            color="paper"
            fontSize="10px"
            lineHeight="14px"
            overflow="hidden"
            whiteSpace="nowrap"
            ps="1"
            title={`${name}: ${msText(ms)} ms${isSet ? ', set' : ''}`}
          >
            {(100 * ms) / mostMs > NAMED_PERCENT && !isSet ? name : ''}
          </Box>
        ))}
      </Flex>
      <Box
        position="absolute"
        top="18px"
        h="1.5px"
        bg="ink"
        left={at(line.leastMs)}
        w={at(Math.max(0, line.mostMs - line.leastMs))}
      />
      <Box position="absolute" top="1px" h="20px" w="2px" bg="ink" left={at(line.ms)} />
    </Box>
  );
};

/** How long every sound and every picture is under way to one place, device by device, from what happens. */
export const TimeLine = ({
  analysis,
  meeting,
  turned,
  name,
}: {
  readonly analysis: Analysis;
  readonly meeting: Meeting;
  readonly turned: Turned;
  readonly name: string;
}) => {
  const lines = [
    ...meeting.sounds.map((one, index) =>
      lineOf(analysis, 'Sound', one, meeting.sounds, turned, index),
    ),
    ...meeting.pictures.map((one, index) =>
      lineOf(analysis, 'Picture', one, meeting.pictures, turned, index),
    ),
  ];
  const mostMs = 1.05 * Math.max(10, ...lines.map((line) => Math.max(line.ms, line.mostMs)));
  const step = scaleStep(mostMs);
  // One at the very end would run into its unit.
  const ticks = Array.from(
    { length: Math.ceil((0.95 * mostMs) / step) },
    (_, index) => index * step,
  );
  return (
    <Box
      role="img"
      aria-label={`Under way to ${name}: ${lines
        .map(
          ({ what, all, ms, unknown }) =>
            `${what.toLowerCase()} of ${all} ${msText(ms)} ms` +
            (unknown.length > 0 ? ` and as long as ${unknown.join(', ')} takes` : ''),
        )
        .join('; ')}`}
    >
      {lines.map((line) => (
        <Flex key={line.key} gap="2" align="center" mb="0.5">
          <Text w="10.5rem" flex="none" fontSize="xs" truncate title={line.all}>
            {line.what}: {line.who}
          </Text>
          <Bar line={line} mostMs={mostMs} />
          <Text w="5.5rem" flex="none" fontSize="xs" fontFamily="mono" textAlign="end">
            {line.unknown.length > 0 ? '≥ ' : ''}
            {line.ms.toFixed(1)} ms
          </Text>
        </Flex>
      ))}
      <Flex gap="2" aria-hidden="true">
        <Box w="10.5rem" flex="none" />
        <Box position="relative" flex="1" h="16px">
          {ticks.map((ms) => (
            <Text
              key={ms}
              position="absolute"
              left={`${(100 * ms) / mostMs}%`}
              fontSize="10px"
              color="ink.soft"
              borderStartWidth="1px"
              borderColor="rule"
              ps="0.5"
            >
              {ms}
            </Text>
          ))}
        </Box>
        <Text w="5.5rem" flex="none" fontSize="10px" color="ink.soft" textAlign="end">
          ms after it happens
        </Text>
      </Flex>
    </Box>
  );
};
