'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  durationText,
  entry,
  type Happened,
  inOrder,
  type LiveGate,
  onAir,
  type Rig,
  type RunPlan,
  type RunsOut,
  type RunState,
  timeOfDayText,
} from '@echo-loom/core';
import { GatePart } from './GatePart';
import { localS } from './local';
import { RunningOutPart } from './RunningOutPart';
import { Sure } from './Sure';

interface Props {
  readonly rig: Rig;
  readonly plan: RunPlan;
  readonly state: RunState;
  readonly gate: LiveGate;
  readonly ends: readonly RunsOut[];
  readonly nowMs: number;
  readonly onHappened: (...happened: readonly Happened[]) => void;
}

/** What the next segment asks for: its scene, who is heard, the cue. */
const needsOf = (rig: Rig, segmentId: string): string => {
  const segment = entry(rig.segments, segmentId);
  if (!segment) return '';
  const scene = entry(rig.scenes, segment.sceneId ?? '');
  const heard = segment.heard ?? scene?.heard ?? null;
  const names = (heard ?? []).map((id) => entry(rig.people, id)?.name ?? id);
  return [
    ...(scene ? [`scene ${scene.name}`] : []),
    ...(names.length > 0 ? [`heard: ${names.join(', ')}`] : []),
    ...(segment.cue === '' ? [] : [`on ${segment.cue}`]),
    ...(segment.notes === '' ? [] : [segment.notes]),
  ].join(' · ');
};

const overText = (overS: number): string =>
  Math.abs(overS) < 0.5
    ? 'ends on time'
    : `ends ${durationText(Math.abs(overS))} ${overS > 0 ? 'over' : 'under'}`;

/** One large line now, one next, the clock, what runs out. */
export const NowPart = ({ rig, plan, state, gate, ends, nowMs, onHappened }: Props) => {
  const { now, next, leftS, sinceLiveS, overS } = onAir(plan, state, nowMs);
  const isOver = leftS !== null && leftS < 0;
  return (
    <Box>
      <Text className="figures" fontSize="4xl" lineHeight="1.1" aria-label="Time since live">
        {sinceLiveS === null ? timeOfDayText(localS(nowMs)) : durationText(Math.floor(sinceLiveS))}
      </Text>
      <Text fontSize="sm" color="ink.soft">
        {state.stage === 'before'
          ? `Not live yet${plan.beginsAt === null ? '' : ` · begins at ${plan.beginsAt}`}`
          : state.stage === 'after'
            ? 'Ended'
            : `${timeOfDayText(localS(nowMs))}${overS === null ? '' : ` · ${overText(overS)}`}`}
      </Text>
      {now && leftS !== null && (
        <Box mt="4" role="group" aria-label="Now">
          <Text fontSize="sm" color="ink.soft">
            Now
          </Text>
          <Text fontSize="3xl" fontWeight="600" lineHeight="1.15">
            {now.title}
          </Text>
          <Text className="figures" fontSize="3xl" color={isOver ? 'level.stop' : 'ink'}>
            {isOver ? `${durationText(-leftS)} over` : `${durationText(Math.ceil(leftS))} left`}
          </Text>
          <Text fontSize="sm" color="ink.soft">
            {needsOf(rig, now.id)}
          </Text>
        </Box>
      )}
      {next && (
        <Box mt="4" role="group" aria-label="Next">
          <Text fontSize="sm" color="ink.soft">
            {state.stage === 'before' ? 'First' : 'Next'}
          </Text>
          <Text fontSize="xl">
            {next.title}{' '}
            <Text as="span" className="figures" fontSize="md" color="ink.soft">
              {durationText(next.lengthS)}
            </Text>
          </Text>
          <Text fontSize="sm" color="ink.soft">
            {needsOf(rig, next.id)}
          </Text>
        </Box>
      )}
      {state.stage === 'before' && <GatePart gate={gate} plan={plan} onHappened={onHappened} />}
      {state.stage === 'live' && (
        <Flex direction="column" gap="3" mt="4">
          {next && (
            <Button
              size="lg"
              minH="14"
              fontSize="lg"
              onClick={() => onHappened({ is: 'segment', segmentId: next.id })}
            >
              {`Next: ${next.title}`}
            </Button>
          )}
          <Sure
            label="End the show"
            isQuiet={next !== null}
            sure="Press again: ended"
            onSure={() => onHappened({ is: 'ended' })}
          />
        </Flex>
      )}
      {state.stage === 'live' && (
        <RunningOutPart state={state} ends={ends} nowMs={nowMs} onHappened={onHappened} />
      )}
      {state.dead.size > 0 && (
        <Text mt="3" color="level.stop" role="status">
          {`Dead: ${inOrder(rig.devices)
            .filter(([id]) => state.dead.has(id))
            .map(([, { name }]) => name)
            .join(', ')}`}
        </Text>
      )}
      {plan.segments.length === 0 && (
        <Text mt="3" fontSize="sm" color="ink.soft">
          There is no rundown: time counts from live on, and marks can be set.
        </Text>
      )}
    </Box>
  );
};
