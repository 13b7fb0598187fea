'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import { brightnessOf } from '@echo-loom/core/signal';
import { useState } from 'react';
import type { Still } from '@/workers/measuring/film-file';

/** How large the area of a face is taken, as shares of the picture. */
const AREA = { width: 0.16, height: 0.3 } as const;
/** A press of a key moves it so far. */
const STEP = 0.02;

const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

const within = (share: number, size: number): number => Math.max(0, Math.min(1 - size, share));

/** One picture of a film, and how bright an area of it is: put it on a face. */
export const StillPicture = ({ still }: { readonly still: Still }) => {
  const [at, setAt] = useState({ x: 0.42, y: 0.2 });
  const move = (x: number, y: number) =>
    setAt({ x: within(x, AREA.width), y: within(y, AREA.height) });
  const face = brightnessOf(still.lumas, still, { ...at, ...AREA });
  const all = brightnessOf(still.lumas, still);
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-STEP, 0],
    ArrowRight: [STEP, 0],
    ArrowUp: [0, -STEP],
    ArrowDown: [0, STEP],
  };
  return (
    <Flex gap="4" mt="3" wrap="wrap" align="start">
      <Box
        position="relative"
        maxW="100%"
        w="22rem"
        role="slider"
        tabIndex={0}
        aria-label="Area of the face"
        aria-valuenow={Math.round(100 * face.mean)}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuetext={`${percent(face.mean)} of white; arrows move it`}
        cursor="crosshair"
        onKeyDown={(event) => {
          const by = moves[event.key];
          if (!by) return;
          event.preventDefault();
          move(at.x + by[0], at.y + by[1]);
        }}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          move(
            (event.clientX - box.left) / box.width - AREA.width / 2,
            (event.clientY - box.top) / box.height - AREA.height / 2,
          );
        }}
      >
        {/* eslint-disable-next-line @next/next/no-img-element -- a picture of the film, never of the network */}
        <img
          src={still.image}
          alt={`The film at ${still.atS.toFixed(1)} s`}
          width={still.width}
          height={still.height}
          style={{ width: '100%', height: 'auto' }}
        />
        <Box
          position="absolute"
          borderWidth="2px"
          borderColor="madder"
          outline="1px solid white"
          pointerEvents="none"
          left={`${100 * at.x}%`}
          top={`${100 * at.y}%`}
          w={`${100 * AREA.width}%`}
          h={`${100 * AREA.height}%`}
        />
      </Box>
      <Box fontSize="sm" maxW="20rem">
        <Text>
          At {still.atS.toFixed(1)} s. In the marked area: {percent(face.mean)} of white on average,{' '}
          {percent(face.dark)} to {percent(face.bright)}.
        </Text>
        <Text mt="1">
          In the whole picture {percent(all.burnt)} is quite white and {percent(all.crushed)} quite
          black.
        </Text>
        <Text mt="1" color="ink.soft">
          Click a face, or move the area by arrows, and set the same face alike in every camera.
        </Text>
      </Box>
    </Flex>
  );
};
