'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type Exposed,
  exposures,
  litRoom,
  withShares,
  framedBy,
} from '@echo-loom/core';
import { type Shares, shareOf, stopsText } from './shares';
import { Strip } from './Strip';
import { greyAt, greyOf, isWhite, toneOf } from './tones';
import { faceOver, lightOf, tonesNow } from './tones-now';

const WIDTH_PX = 216;
const HEIGHT_PX = 122;
const px = (x: number): number => ((x + 1) / 2) * WIDTH_PX;
const py = (y: number): number => ((1 - y) / 2) * HEIGHT_PX;

/** Shoulders under a head, down to the edge of the picture. */
const shoulders = (middle: number, top: number, tall: number, half: number): string => {
  const [neck, arm] = [top + tall * 1.1, top + tall * 1.5];
  const [left, right] = [middle - half, middle + half];
  return (
    `M${left} ${HEIGHT_PX}V${arm}Q${left} ${neck} ${middle} ${neck}` +
    `Q${right} ${neck} ${right} ${arm}V${HEIGHT_PX}Z`
  );
};

const LitFrame = ({
  analysis,
  exposed,
  shares,
}: {
  analysis: Analysis;
  exposed: Exposed;
  shares: Shares;
}) => {
  const { view, framing } = exposed;
  // A camera that sets itself takes what there is, as long as it is enough.
  const least = framing.lightNeededLux ?? 1;
  const needed = framing.exposure === 'automatic' ? Math.max(least, exposed.lux ?? 0) : least;
  const tones = tonesNow(analysis, exposed, shares);
  const background =
    tones.find(({ what }) => what === 'background')?.stops ??
    // Hands and things stand for all of their picture.
    (exposed.faces.length === 0 ? (exposed.stopsOver ?? 0) : -1 - (exposed.separationStops ?? 0));
  const room = litRoom(analysis);
  const separation =
    exposed.separationStops === null
      ? ''
      : `, ${Math.abs(exposed.separationStops).toFixed(1)} ` +
        `${exposed.separationStops < 0 ? 'under' : 'over'} what is behind`;
  const id = framing.shot.deviceId;
  const people = (view?.shown ?? []).filter(({ solid }) => solid.of === 'person');
  return (
    <Box as="figure" width={`${WIDTH_PX}px`} maxW="100%">
      <svg
        viewBox={`0 0 ${WIDTH_PX} ${HEIGHT_PX}`}
        width="100%"
        role="img"
        aria-label={`${framedBy(analysis, framing).name} as it is exposed`}
        style={{ display: 'block', border: '1px solid var(--chakra-colors-ink)' }}
      >
        <rect width={WIDTH_PX} height={HEIGHT_PX} fill={greyAt(background)} />
        {isWhite(background) && <rect width={WIDTH_PX} height={HEIGHT_PX} fill="url(#zebra)" />}
        {people.map(({ solid, where, depthM }) => {
          const face = exposed.faces.find(({ personId }) => personId === solid.id);
          const now = face ? withShares(face, shares) : null;
          const { halfHeight, halfWidth } = view?.camera ?? { halfHeight: 1, halfWidth: 1 };
          const tall = (0.24 / depthM / halfHeight / 2) * HEIGHT_PX;
          const middle = px((where.left + where.right) / 2);
          const top = py(where.top);
          const half = (0.45 / depthM / halfWidth / 4) * WIDTH_PX;
          const skin = now?.face.skinReflects ?? 0.35;
          const cloth = now?.face.clothesReflect ?? 0.2;
          // The wearer's right cheek stands left in the picture.
          const [left, right] = now ? [now.rightLux, now.leftLux] : [needed, needed];
          const gradient = `cheeks-${id}-${solid.id}`;
          return (
            <g key={solid.id}>
              <linearGradient id={gradient}>
                <stop offset="0" stopColor={greyOf(toneOf(left * skin, needed))} />
                <stop offset="1" stopColor={greyOf(toneOf(right * skin, needed))} />
              </linearGradient>
              <path
                d={shoulders(middle, top, tall, half)}
                fill={greyOf(toneOf((now?.lux ?? needed) * cloth, needed))}
              />
              <ellipse
                cx={middle}
                cy={top + tall / 2}
                rx={tall * 0.38}
                ry={tall / 2}
                fill={`url(#${gradient})`}
              />
            </g>
          );
        })}
        {exposed.lamps.map((lamp) => {
          const source = lightOf(analysis, lamp.sourceId);
          return (
            <circle
              key={lamp.sourceId}
              cx={px(lamp.x)}
              cy={py(lamp.y)}
              r="5"
              fill={source && shareOf(source, shares) > 0 ? '#fff' : '#333'}
              stroke="var(--chakra-colors-madder)"
              strokeWidth="2"
            />
          );
        })}
        <defs>
          <pattern
            id="zebra"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="3" height="6" fill="#000" fillOpacity="0.35" />
          </pattern>
        </defs>
      </svg>
      {tones.length > 0 && <Strip tones={tones} />}
      <Text as="figcaption" fontSize="xs" color="ink.soft">
        {framedBy(analysis, framing).name}
        {exposed.stopsOver === null
          ? ': exposure not known'
          : `: ${stopsText(faceOver(exposed, shares))} stops${separation}`}
        {room ? '' : ', room not drawn'}
      </Text>
    </Box>
  );
};

/** What each camera makes of the light: its frame in greys, and a strip of stops against what its picture holds. */
export const LitFrames = ({
  analysis,
  shares,
}: {
  readonly analysis: Analysis;
  readonly shares: Shares;
}) => {
  const all = exposures(analysis).filter(
    ({ view, framing }) => view && framing.exposure !== 'unknown',
  );
  if (all.length === 0)
    return (
      <Text fontSize="sm" color="ink.soft">
        No camera that stands in the room has its aperture, shutter and sensitivity set. Set them
        under Picture, and each frame is shown as it is exposed.
      </Text>
    );
  return (
    <Box as="section" aria-label="What cameras make of it">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What cameras make of it
      </Text>
      <Flex gap="3" wrap="wrap">
        {all.map((exposed) => (
          <LitFrame key={exposed.shotId} analysis={analysis} exposed={exposed} shares={shares} />
        ))}
      </Flex>
      <Text fontSize="xs" color="ink.soft" mt="1">
        F face, C clothes, H hair, B background, W window; red lines: where a picture of 8 bits
        crawls and where it clips, typically.
      </Text>
    </Box>
  );
};
