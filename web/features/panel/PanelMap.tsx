import { Box, Grid, Text } from '@chakra-ui/react';
import { entry, inOrder, type Analysis } from '@echo-loom/core';
import { useMemo } from 'react';
import { drawnBySource, SceneDrawing } from '@/features/picture/SceneDrawing';
import { doesText, guardText } from './words';

interface Props {
  readonly analysis: Analysis;
  readonly chosen: string | null;
  readonly onChoose: (buttonId: string) => void;
}

/**
 * The panel as it lies under the hand: each button with its label, what it shows, and its guard.
 * Guarded buttons have a thick edge.
 */
export const PanelMap = ({ analysis, chosen, onChoose }: Props) => {
  const { rig } = analysis;
  const drawn = useMemo(() => drawnBySource(analysis), [analysis]);
  return (
    <Grid
      templateColumns={`repeat(${rig.panel.columns}, minmax(0, 1fr))`}
      gap="2.5"
      role="group"
      aria-label="Panel"
    >
      {inOrder(rig.panel.buttons).map(([buttonId, { label, does, guard, handId }], index) => {
        const scene = does.type === 'scene' ? entry(rig.scenes, does.sceneId) : undefined;
        return (
          <Box
            asChild
            key={buttonId}
            textAlign="start"
            p="2"
            minH="96px"
            borderWidth={guard === 'none' ? '1px' : '4px'}
            borderStyle={guard === 'none' ? 'solid' : 'double'}
            borderColor={buttonId === chosen ? 'madder' : 'rule.strong'}
            bg="paper.card"
            cursor="pointer"
            display="flex"
            flexDirection="column"
          >
            <button
              type="button"
              aria-pressed={buttonId === chosen}
              data-button={buttonId}
              onClick={() => onChoose(buttonId)}
            >
              <Text
                as="span"
                display="flex"
                justifyContent="space-between"
                width="100%"
                fontWeight="600"
                lineHeight="1.2"
              >
                <span>{label}</span>
                <Text as="span" className="figures" fontSize="xs" color="ink.soft">
                  {index + 1}
                </Text>
              </Text>
              {scene ? (
                <Box
                  as="span"
                  display="block"
                  width="100%"
                  mt="1.5"
                  maxW="150px"
                  css={{ '@media print': { maxWidth: 'none' } }}
                >
                  <SceneDrawing layers={scene.layers} drawn={drawn} />
                </Box>
              ) : (
                <Text as="span" display="block" fontSize="sm" mt="1">
                  {doesText(rig, does)}
                </Text>
              )}
              {handId !== null && (
                <Text as="span" display="block" fontSize="xs" color="ink.soft" mt="1">
                  on {entry(rig.hands, handId)?.name}
                </Text>
              )}
              {guard !== 'none' && (
                <Text
                  as="span"
                  display="block"
                  fontSize="xs"
                  fontWeight="600"
                  color="madder"
                  mt="auto"
                  pt="1"
                >
                  {guardText(guard)}
                </Text>
              )}
            </button>
          </Box>
        );
      })}
    </Grid>
  );
};
