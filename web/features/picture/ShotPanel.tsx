'use client';

import { FindingCard } from '@/features/findings/FindingCard';
import { useRigSession } from '@/features/rig/RigProvider';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, entry, framedBy, type Framing, withCamera } from '@echo-loom/core';
import { drawnOf } from './FrameContent';
import { FramePreview } from './FramePreview';
import { ShotFields } from './ShotFields';
import { framingLines } from './words';

interface Props {
  readonly analysis: Analysis;
  readonly framing: Framing;
}

/** The frame of one shot to scale beside its figures. */
export const ShotFrame = ({ analysis, framing }: Props) => {
  const { shot } = framing;
  const device = framedBy(analysis, framing);
  const person = shot.personId === null ? undefined : entry(analysis.rig.people, shot.personId);
  const sight =
    shot.sightId === null ? undefined : entry(analysis.rig.brief?.sights ?? {}, shot.sightId);
  return (
    <Box role="region" aria-label={`Shot of ${device.name}`}>
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        {device.name}
        {person || sight ? `: ${person?.name ?? sight?.name ?? ''}` : ''}
      </Text>
      <FramePreview
        framing={framing}
        drawn={drawnOf(framing, person?.posture ?? 'stands', sight?.what ?? null)}
      />
      <Box
        as="dl"
        mt="2"
        fontSize="0.8125rem"
        columnCount={2}
        columnGap="5"
        aria-label={`Figures of the shot of ${device.name}`}
      >
        {framingLines(framing).map(([label, value]) => (
          <Flex
            key={label}
            justify="space-between"
            gap="2"
            py="0.5"
            borderBottomWidth="1px"
            borderColor="rule"
            css={{ breakInside: 'avoid' }}
          >
            <Text as="dt" color="ink.soft" lineHeight="1.35">
              {label}
            </Text>
            <Text as="dd" className="figures" fontSize="0.75rem" textAlign="end" lineHeight="1.5">
              {value}
            </Text>
          </Flex>
        ))}
      </Box>
    </Box>
  );
};

/** What is wrong with one shot, and everything that decides it. */
export const ShotDetails = ({ analysis, framing }: Props) => {
  const { run } = useRigSession();
  const { shotId } = framing;
  const device = framedBy(analysis, framing);
  const findings = analysis.findings.filter(({ about }) => about.shotId === shotId);
  return (
    <Box role="region" aria-label={`What decides the shot of ${device.name}`} mt="4">
      <Flex justify="space-between" align="baseline" mb="1.5">
        <Text as="h2" fontSize="lg" fontWeight="600">
          {device.name}
        </Text>
        <Button size="xs" variant="outline" onClick={() => run({ type: 'removeShot', shotId })}>
          Remove the shot
        </Button>
      </Flex>
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mb="3">
          {findings.map((finding) => (
            <FindingCard key={finding.code} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
      <ShotFields framing={withCamera(analysis, framing)} />
    </Box>
  );
};
