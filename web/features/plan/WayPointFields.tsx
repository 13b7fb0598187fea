'use client';

import { Button, Flex } from '@chakra-ui/react';
import type { Analysis, PlaceInRoom } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { pointAt, withPoints } from './laid-things';
import { tidy } from './thing';

interface Props {
  readonly analysis: Analysis;
  readonly id: string;
  readonly onGone: () => void;
}

/** How far a new point at the end of a way lies behind the last one. @unit m */
const ON_M = 0.5;

/** Half way to the next point, or on from the last. */
const after = (point: PlaceInRoom, next: PlaceInRoom | undefined): PlaceInRoom =>
  next
    ? {
        xM: tidy((point.xM + next.xM) / 2),
        yM: tidy((point.yM + next.yM) / 2),
        zM: tidy((point.zM + next.zM) / 2),
      }
    : { ...point, xM: tidy(point.xM + ON_M) };

/** A point of a way for cables: how high it is, one more behind it, or none. */
export const WayPointFields = ({ analysis, id, onGone }: Props) => {
  const { run } = useRigSession();
  const found = pointAt(analysis.rig, id);
  if (!found) return null;
  const { wayId, way, index, point } = found;
  const put = (points: PlaceInRoom[]) => run(withPoints(wayId, points));
  return (
    <>
      <NumberField
        label="Over the floor"
        unit="m"
        step={0.1}
        min={0}
        max={100}
        value={point.zM}
        onCommit={(zM) => zM !== null && put(way.points.with(index, { ...point, zM }))}
      />
      <Flex gap="2" wrap="wrap">
        <Button
          size="sm"
          variant="outline"
          disabled={way.points.length >= 64}
          onClick={() =>
            put([
              ...way.points.slice(0, index + 1),
              after(point, way.points[index + 1]),
              ...way.points.slice(index + 1),
            ])
          }
        >
          A point behind it
        </Button>
        <Button
          size="sm"
          variant="outline"
          disabled={way.points.length <= 2}
          onClick={() => {
            put(way.points.filter((_, at) => at !== index));
            onGone();
          }}
        >
          Take the point out
        </Button>
      </Flex>
    </>
  );
};
