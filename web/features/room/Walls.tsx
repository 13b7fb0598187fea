'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import { figure, type Point, type Shell } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { NumberField } from '@/ui/NumberField';

/** Least and largest of a direction. */
const span = (corners: readonly Point[], key: keyof Point): readonly [number, number] => {
  const all = corners.map((corner) => corner[key]);
  return [Math.min(...all), Math.max(...all)];
};

/** Whether the walls are a rectangle along the plan, whose two sides say all of it. */
const isRectangle = (corners: readonly Point[]): boolean =>
  corners.length === 4 &&
  (['xM', 'yM'] as const).every((key) => {
    const [least, most] = span(corners, key);
    return corners.filter((corner) => corner[key] === least).length === 2 && most > least;
  });

/** The same walls, as far across as is said; the side at the beginning of the plan stays. */
const stretched = (corners: readonly Point[], key: keyof Point, lengthM: number): Point[] => {
  const [least, most] = span(corners, key);
  return corners.map((corner) =>
    corner[key] === most ? { ...corner, [key]: least + lengthM } : { ...corner },
  );
};

const tidy = (m: number): number => Math.round(m * 1000) / 1000;

/** The size of the room: two sides of a rectangle, or every corner of any other. */
export const Walls = ({ shell: { corners, heightM } }: { readonly shell: Shell }) => {
  const { run } = useRigSession();
  const draw = (next: readonly Point[], height = heightM) =>
    run({
      type: 'drawRoom',
      room: { corners: next.map((corner) => ({ ...corner })), heightM: height },
    });
  const side = (key: keyof Point, label: string) => {
    const [least, most] = span(corners, key);
    return (
      <NumberField
        label={label}
        unit="m"
        step={0.1}
        min={0.1}
        max={1000}
        value={tidy(most - least)}
        onCommit={(lengthM) => lengthM !== null && draw(stretched(corners, key, lengthM))}
      />
    );
  };
  const between = (index: number): Point => {
    const [a, b] = [corners[index], corners[(index + 1) % corners.length]];
    return {
      xM: tidy(((a?.xM ?? 0) + (b?.xM ?? 0)) / 2),
      yM: tidy(((a?.yM ?? 0) + (b?.yM ?? 0)) / 2),
    };
  };
  return (
    <Box mt="3">
      <Flex direction="column" gap="1.5" maxW="380px">
        {isRectangle(corners) && (
          <>
            {side('xM', 'Width')}
            {side('yM', 'Depth')}
          </>
        )}
        <NumberField
          label="Height"
          unit="m"
          step={0.1}
          min={0.1}
          max={100}
          value={heightM}
          onCommit={(height) => height !== null && draw(corners, height)}
        />
      </Flex>
      <Box
        as="details"
        mt="2"
        {...(isRectangle(corners) ? {} : { open: true })}
        css={{ '& > summary': { cursor: 'pointer', fontSize: '14px', minHeight: '24px' } }}
      >
        <summary>Corner by corner</summary>
        <Box overflowX="auto" maxW="460px">
          <Table.Root size="sm" variant="outline" aria-label="Corners of the room">
            {head(['Corner', 'Across', 'Up the plan', ''])}
            <Table.Body>
              {corners.map((corner, index) => {
                const field = (key: keyof Point, label: string) => (
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      label={`${label} of corner ${index + 1}`}
                      unit="m"
                      step={0.1}
                      min={-1000}
                      max={1000}
                      value={corner[key]}
                      onCommit={(value) =>
                        value !== null &&
                        draw(
                          corners.map((one, at) => (at === index ? { ...one, [key]: value } : one)),
                        )
                      }
                    />
                  </Table.Cell>
                );
                return (
                  <Table.Row key={index} bg="transparent">
                    <Table.ColumnHeader scope="row" {...cell} fontWeight="600">
                      {index + 1}
                    </Table.ColumnHeader>
                    {field('xM', 'Across')}
                    {field('yM', 'Up the plan')}
                    <Table.Cell {...cell} whiteSpace="nowrap">
                      <Button
                        size="xs"
                        variant="outline"
                        aria-label={`Add a corner after ${index + 1}`}
                        onClick={() => draw(corners.toSpliced(index + 1, 0, between(index)))}
                      >
                        Add after
                      </Button>{' '}
                      <Button
                        size="xs"
                        variant="outline"
                        disabled={corners.length <= 3}
                        aria-label={`Remove corner ${index + 1}`}
                        onClick={() => draw(corners.toSpliced(index, 1))}
                      >
                        Remove
                      </Button>
                    </Table.Cell>
                  </Table.Row>
                );
              })}
            </Table.Body>
          </Table.Root>
        </Box>
        <Text fontSize="xs" color="ink.soft" mt="1">
          In their order round the room, metres from the corner of the plan that people’s places
          count from. A new corner stands in the middle of its wall; move it from there.
        </Text>
      </Box>
    </Box>
  );
};

/** Sizes that follow from the walls. */
export const sizesOf = (volumeM3: number, floorM2: number, wallsM2: number): string =>
  `${figure(floorM2)} m² of floor, ${figure(wallsM2)} m² of walls, ${figure(volumeM3)} m³`;
