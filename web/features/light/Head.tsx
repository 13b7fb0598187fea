'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  colourMix,
  type Exposed,
  exposures,
  type FaceLight,
  LENS_HALF_MM,
  withShares,
  nameOfThing,
  framedBy,
} from '@echo-loom/core';
import { useEffect, useRef } from 'react';
import { eyesAt, HEAD_HEIGHT, HEAD_WIDTH, shadedHead } from './head';
import { lensAside } from './lens';
import { luxText, roomAt, type Shares, stopsText } from './shares';

/** Drawn at so many times its points. */
const SCALE = 1.7;

interface Props {
  readonly analysis: Analysis;
  readonly face: FaceLight;
  readonly shares: Shares;
}

/** The shot that shows somebody alone, or else the first that shows them. */
const shotOf = (analysis: Analysis, { personId }: FaceLight): Exposed | null => {
  const all = exposures(analysis).filter(({ faces }) =>
    faces.some((face) => face.personId === personId),
  );
  return all.find(({ faces }) => faces.length === 1) ?? all[0] ?? null;
};

const ratioText = (ratio: number | null): string =>
  ratio === null ? 'no fill' : `${ratio.toFixed(1)} : 1`;

/** A small head as its camera sees it, lit from where the lamps are, and its figures. */
export const Head = ({ analysis, face, shares }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const shot = shotOf(analysis, face);
  const lens = shot ? lensAside(shot, face) : 0;
  const now = withShares(face, shares);
  const needed = shot?.framing.lightNeededLux ?? null;
  const isKnown = needed !== null && shot?.framing.exposure === 'set';
  const shownFor = isKnown ? needed : null;
  const room = roomAt(analysis, shares);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const pixels = shadedHead(face, lens, shownFor, room, shares);
    const image = context.createImageData(HEAD_WIDTH, HEAD_HEIGHT);
    image.data.set(pixels);
    context.putImageData(image, 0, 0);
  }, [face, lens, shownFor, room, shares]);
  const over = isKnown ? Math.log2(now.lux / needed) : null;
  const glints = (shot?.glints ?? []).filter((one) => one.face.personId === face.personId);
  const mix = colourMix(now);
  const label =
    `${face.name} as ${shot ? framedBy(analysis, shot.framing).name : 'seen from the front'}: ` +
    `${luxText(now.lux)} lux, ` +
    ratioText(now.ratio);
  const [width, height] = [HEAD_WIDTH * SCALE, HEAD_HEIGHT * SCALE];
  return (
    <Flex as="figure" gap="2.5" align="flex-start" minW="0" data-person={face.personId}>
      <Box
        position="relative"
        flex="none"
        width={`${width}px`}
        height={`${height}px`}
        bg="paper.deep"
      >
        <canvas
          ref={canvas}
          width={HEAD_WIDTH}
          height={HEAD_HEIGHT}
          style={{ width, height, display: 'block' }}
          role="img"
          aria-label={label}
        />
        <Box asChild position="absolute" inset="0">
          <svg viewBox={`0 0 ${width} ${height}`} aria-hidden>
            {eyesAt(lens).map(({ x, y, turned }, index) => {
              const half = 10 * Math.cos((turned * Math.PI) / 180);
              const [cx, cy] = [(width / 2) * (1 + x), (height / 2) * (1 - y)];
              return (
                <g key={index}>
                  <ellipse cx={cx} cy={cy} rx="4.2" ry="2.2" fill="#191715" />
                  {face.person.wearsGlasses && (
                    <rect
                      x={cx - half}
                      y={cy - 7}
                      width={2 * half}
                      height="14"
                      rx="3"
                      fill="none"
                      stroke="#191715"
                      strokeWidth="1.2"
                    />
                  )}
                  {glints.map(({ part, glint }) => (
                    <rect
                      key={part.source.id}
                      className="glint"
                      x={cx - 4 - (half - 4) * within(glint.rightMm / LENS_HALF_MM[0])}
                      y={cy - 3 - 4 * within(glint.upMm / LENS_HALF_MM[1])}
                      width="8"
                      height="6"
                      fill="#ffffff"
                      stroke="#191715"
                      strokeWidth="0.6"
                    />
                  ))}
                </g>
              );
            })}
          </svg>
        </Box>
      </Box>
      <Box minW="0" fontSize="sm" lineHeight="1.35">
        <Text fontWeight="600">{face.name}</Text>
        <Text className="figures" fontSize="0.8rem">
          {luxText(now.lux)} lux
        </Text>
        <Text className="figures" fontSize="0.8rem">
          {ratioText(now.ratio)}
          {now.ratioStops !== null && `, ${now.ratioStops.toFixed(2)} stops`}
        </Text>
        <Text
          className="figures"
          fontSize="0.8rem"
          color={over !== null && Math.abs(over) > 1 ? 'level.warn' : undefined}
        >
          {over === null
            ? shot?.framing.exposure === 'automatic'
              ? 'camera sets itself'
              : 'exposure not known'
            : `${stopsText(over, 2)} stops`}
        </Text>
        <Text fontSize="xs" color="ink.soft">
          {now.key ? `key ${nameOfThing(analysis, now.key.source)}` : 'in the dark'}
          {mix && mix.apart > 20 ? `, ${Math.round(mix.apart)} mired mixed` : ''}
          {glints.length > 0
            ? `, ${glints.map(({ part }) => nameOfThing(analysis, part.source)).join(', ')} in the glasses`
            : ''}
        </Text>
      </Box>
    </Flex>
  );
};

const within = (share: number): number => Math.max(-1, Math.min(1, share));
