import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type Shown,
  type View,
  views,
  nameOfThing,
  framedBy,
} from '@echo-loom/core';

const WIDTH_PX = 240;
const HEIGHT_PX = 135;

/** Looking down more steeply than this, people are seen from above. */
const STEEP = 0.7;

const px = (x: number): number => ((x + 1) / 2) * WIDTH_PX;
const py = (y: number): number => ((1 - y) / 2) * HEIGHT_PX;

/** A person as a figure: a head over shoulders, as wide as they show. */
const Figure = ({ shown: { where, depthM }, view }: { shown: Shown; view: View }) => {
  const { halfHeight, halfWidth } = view.camera;
  const head = (0.24 / depthM / halfHeight / 2) * HEIGHT_PX;
  const middle = px((where.left + where.right) / 2);
  const top = py(where.top);
  const [neck, arm] = [top + head * 1.12, top + head * 1.5];
  const shoulders = (0.45 / depthM / halfWidth / 2) * WIDTH_PX;
  const left = middle - shoulders / 2;
  return (
    <>
      <path
        className="person"
        d={[
          `M${left} ${HEIGHT_PX}V${arm}Q${left} ${neck} ${middle} ${neck}`,
          `Q${left + shoulders} ${neck} ${left + shoulders} ${arm}V${HEIGHT_PX}Z`,
        ].join('')}
      />
      <ellipse className="person" cx={middle} cy={top + head / 2} rx={head * 0.38} ry={head / 2} />
    </>
  );
};

const inIt = (analysis: Analysis, { shown }: View): string =>
  shown.map(({ solid }) => nameOfThing(analysis, solid)).join(', ') || 'nothing of the plan';

const Frame = ({ analysis, view }: { readonly analysis: Analysis; readonly view: View }) => (
  <Box as="figure" width={`${WIDTH_PX}px`} maxW="100%">
    <Box
      asChild
      width="100%"
      borderWidth="1px"
      borderColor="ink"
      bg="paper.card"
      css={{
        '& text': { fontSize: '10px', fill: 'var(--chakra-colors-ink)' },
        '& rect': {
          fill: 'var(--chakra-colors-paper-deep)',
          stroke: 'var(--chakra-colors-ink-soft)',
          strokeWidth: 1,
        },
        '& .person': {
          fill: 'var(--chakra-colors-paper)',
          stroke: 'var(--chakra-colors-ink)',
          strokeWidth: 1.5,
        },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH_PX} ${HEIGHT_PX}`}
        role="img"
        aria-label={`In the picture of ${framedBy(analysis, view.framing).name}: ${inIt(analysis, view)}`}
      >
        {view.shown.map((shown, index) =>
          shown.solid.of === 'person' && Math.abs(view.camera.forward[2]) < STEEP ? (
            <Figure key={index} shown={shown} view={view} />
          ) : (
            <g key={index}>
              <rect
                x={px(shown.where.left)}
                y={py(shown.where.top)}
                width={Math.max(1, px(shown.where.right) - px(shown.where.left))}
                height={Math.max(1, py(shown.where.bottom) - py(shown.where.top))}
              />
              {px(shown.where.right) - px(shown.where.left) > 34 && (
                <text x={px(shown.where.left) + 3} y={py(shown.where.top) + 11}>
                  {nameOfThing(analysis, shown.solid)}
                </text>
              )}
            </g>
          ),
        )}
      </svg>
    </Box>
    <Text as="figcaption" fontSize="xs" color="ink.soft">
      {framedBy(analysis, view.framing).name}
      {view.framing.shot.distanceM === null ? '' : ` · ${view.framing.shot.distanceM.toFixed(2)} m`}
      {view.framing.focalMm === null ? '' : ` · ${view.framing.focalMm.toFixed(0)} mm`}
    </Text>
  </Box>
);

/** What each camera has of the plan in its picture, to scale. */
export const Frames = ({ analysis }: { readonly analysis: Analysis }) => {
  const all = views(analysis);
  if (all.length === 0) return null;
  return (
    <Box mt="4">
      <Text as="h2" fontWeight="600" mb="1">
        In the pictures
      </Text>
      <Flex gap="3" wrap="wrap">
        {all.map((view) => (
          <Frame key={view.shotId} analysis={analysis} view={view} />
        ))}
      </Flex>
    </Box>
  );
};
