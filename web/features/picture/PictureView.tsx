'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { CATALOGUE, entry } from '@echo-loom/core';
import { useState } from 'react';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { Lenses } from './Lenses';
import { LoadCharts } from './LoadCharts';
import { sourceRows } from './rows';
import { ScenePanel } from './ScenePanel';
import { SceneStrip } from './SceneStrip';
import { ShotDetails, ShotFrame } from './ShotPanel';
import { ShotTable } from './ShotTable';
import { SizeStudyPanel } from './SizeStudyPanel';
import { formatOptions } from './words';

/** The picture in the order a producer decides it: shots and sources, the frame, the scenes, and what it all loads. */
export const PictureView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [source, setSource] = useState<string | null>(null);
  const [sceneId, setSceneId] = useState<string | null>(null);
  const { rig } = analysis;
  const rows = sourceRows(analysis);
  // The first shot with something wrong is what there is to do next.
  const firstWrong = analysis.findings.find(({ about }) => about.shotId !== undefined)?.about
    .deviceId;
  const row =
    rows.find(({ deviceId }) => deviceId === source) ??
    rows.find(({ deviceId }) => deviceId === firstWrong) ??
    rows.find(({ framing }) => framing) ??
    rows[0];
  const firstShort = analysis.findings.find(({ about }) => about.sceneId !== undefined)?.about
    .sceneId;
  const scene =
    [sceneId, firstShort, Object.keys(rig.scenes)[0]].find(
      (id) => typeof id === 'string' && entry(rig.scenes, id),
    ) ?? null;
  const chosenScene = scene === null ? undefined : entry(rig.scenes, scene);
  const others = analysis.findings.filter(
    ({ area, about }) =>
      (area === 'picture' || area === 'computer') &&
      about.deviceId === row?.deviceId &&
      about.shotId === undefined &&
      about.sceneId === undefined,
  );
  const oldModel =
    row && row.isCamera && !row.hasOptics
      ? CATALOGUE.find(
          ({ classId }) => classId === rig.devices[row.deviceId]?.model.classId && classId !== null,
        )
      : undefined;
  if (rows.length === 0)
    return (
      <Box m="auto" textAlign="center" maxW="46ch" p="6">
        <Text fontWeight="600" fontSize="lg">
          No picture yet.
        </Text>
        <Text mt="1">
          Add a camera, a webcam or a player on the loom (press <kbd>a</kbd> there). Then plan here
          what each frames, and what the programme shows.
        </Text>
      </Box>
    );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1.3" minW="0" width="100%">
          <Flex justify="space-between" align="center" mb="2" gap="3">
            <Text as="h2" fontSize="lg" fontWeight="600">
              Cameras and shots
            </Text>
            <Box flex="none">
              <ChoiceField
                label="Wanted at"
                width="112px"
                value={rig.houseRules.chosenFormat}
                options={formatOptions(rig.houseRules.chosenFormat)}
                onChoose={(chosenFormat) => run({ type: 'setHouseRules', rules: { chosenFormat } })}
              />
            </Box>
          </Flex>
          <ShotTable
            analysis={analysis}
            rows={rows}
            chosen={row?.deviceId ?? null}
            onChoose={setSource}
          />
          {row?.framing && (
            <ShotDetails key={row.framing.shotId} analysis={analysis} framing={row.framing} />
          )}
          {row && !row.framing && (
            <Text mt="4" fontSize="sm" color="ink.soft">
              <Text as="strong" color="ink">
                {row.name}.
              </Text>{' '}
              {row.isCamera
                ? 'No shot is planned for it. Plan one to see what it frames.'
                : 'It fills its picture by itself; there is nothing to frame.'}
            </Text>
          )}
          {row && oldModel && (
            <Box mt="2">
              <Text fontSize="sm">This camera is described without a sensor and a lens.</Text>
              <Button
                size="sm"
                variant="outline"
                mt="1"
                onClick={() =>
                  run({ type: 'replaceModel', deviceId: row.deviceId, model: oldModel })
                }
              >
                Use the typical figures of its class
              </Button>
            </Box>
          )}
          {others.length > 0 && (
            <Flex direction="column" gap="2.5" mt="3" role="region" aria-label="About this source">
              {others.map((finding, index) => (
                <FindingCard
                  key={`${finding.code} ${index}`}
                  analysis={analysis}
                  finding={finding}
                />
              ))}
            </Flex>
          )}
          <Lenses />
        </Box>
        <Box flex="1" minW="0" width="100%">
          {row?.framing && (
            <Box mb="5">
              <ShotFrame key={row.framing.shotId} analysis={analysis} framing={row.framing} />
            </Box>
          )}
          <SceneStrip analysis={analysis} chosen={scene} onChoose={setSceneId} />
          {scene !== null && chosenScene && (
            <ScenePanel key={scene} analysis={analysis} sceneId={scene} scene={chosenScene} />
          )}
          <SizeStudyPanel analysis={analysis} />
          <LoadCharts analysis={analysis} />
        </Box>
      </Flex>
    </Box>
  );
};
