'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { freeId, scenesMade, type Analysis, type SceneMade } from '@echo-loom/core';
import { useMemo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { LevelMark } from '@/ui/LevelMark';
import { drawnBySource, SceneDrawing } from './SceneDrawing';

/** Where a scene is made, or what it is short of, in a few words. */
const verdict = (analysis: Analysis, { short, madeAt, scene }: SceneMade): string => {
  const [first] = short;
  if (first)
    return first.resource === 'way'
      ? 'a picture does not arrive'
      : first.resource === 'voice'
        ? 'a voice does not arrive'
        : first.resource === 'one picture at a time'
          ? 'one picture at a time'
          : `${first.resource} short`;
  if (scene.layers.length === 0) return 'empty';
  return madeAt.length === 0
    ? 'one picture'
    : `made at ${madeAt.map((node) => analysis.device(node).name).join(', ')}`;
};

interface Props {
  readonly analysis: Analysis;
  readonly chosen: string | null;
  readonly onChoose: (sceneId: string) => void;
}

/** The scenes of the show in their order, each as a small picture with its verdict. */
export const SceneStrip = ({ analysis, chosen, onChoose }: Props) => {
  const { run } = useRigSession();
  const scenes = scenesMade(analysis);
  const drawn = useMemo(() => drawnBySource(analysis), [analysis]);
  const add = () => {
    const sceneId = freeId('scene', { ...analysis.rig.scenes, ...analysis.rig.shots });
    if (
      run({
        type: 'addScene',
        sceneId,
        scene: { name: `Scene ${scenes.length + 1}`, layers: [], heard: null, selects: [] },
      })
    )
      onChoose(sceneId);
  };
  return (
    <Box>
      <Flex justify="space-between" align="baseline" mb="1.5">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Scenes
        </Text>
        <Button size="xs" variant="outline" onClick={add}>
          Add a scene
        </Button>
      </Flex>
      {scenes.length === 0 && (
        <Text fontSize="sm" color="ink.soft">
          No scene yet. A scene says what the programme shows and who is heard; whether the rig can
          make it is computed.
        </Text>
      )}
      <Grid templateColumns="repeat(auto-fill, minmax(132px, 1fr))" gap="2">
        {scenes.map((made) => (
          <Box
            asChild
            key={made.sceneId}
            textAlign="start"
            borderWidth="2px"
            borderColor={made.sceneId === chosen ? 'madder' : 'rule'}
            bg="paper.card"
            cursor="pointer"
          >
            <button
              type="button"
              aria-pressed={made.sceneId === chosen}
              data-scene={made.sceneId}
              onClick={() => onChoose(made.sceneId)}
            >
              <SceneDrawing layers={made.scene.layers} drawn={drawn} />
              <Box as="span" display="block" p="1.5">
                <Text
                  as="span"
                  display="flex"
                  gap="1.5"
                  alignItems="center"
                  fontWeight="600"
                  fontSize="sm"
                  lineHeight="1.2"
                >
                  <LevelMark
                    level={
                      made.short.length
                        ? made.short.every(({ resource }) => resource === 'voice')
                          ? 'warn'
                          : 'stop'
                        : 'well'
                    }
                    size={12}
                    label={made.short.length ? 'Cannot be made' : 'Can be made'}
                  />
                  {made.scene.name}
                </Text>
                <Text as="span" display="block" fontSize="xs" color="ink.soft" lineHeight="1.3">
                  {verdict(analysis, made)}
                </Text>
              </Box>
            </button>
          </Box>
        ))}
      </Grid>
    </Box>
  );
};
