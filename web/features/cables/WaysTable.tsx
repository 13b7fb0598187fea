'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  CABLE_WAY_KINDS,
  type CableWay,
  type CableWayKind,
  CARRIES,
  DRESSINGS,
  freeId,
  wayToBuy,
  type WayFill,
  wayFills,
} from '@echo-loom/core';
import { HadCell } from '@/features/things/HadCell';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';
import { PointsField } from './PointsField';

const KINDS = CABLE_WAY_KINDS.map((value) => ({ value, label: value }));
const MAY_LIE = [
  { value: 'both', label: 'signal and mains' },
  { value: 'signal', label: 'signal only' },
  { value: 'mains', label: 'mains only' },
] as const;
const HELD = DRESSINGS.map((value) => ({ value, label: value }));

/** Kinds that are drawn: the foot of a wall is there by itself. */
const TO_ADD: readonly CableWayKind[] = ['duct', 'tray', 'cover', 'wall', 'overhead'];

/** A value of a list, as its choice gives it back. */
const among = <T extends string>(list: readonly T[], value: string, usual: T): T =>
  list.find((one) => one === value) ?? usual;

/** Where cables may lie: along the walls, over open floor, and in what is drawn. */
export const WaysTable = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { laying, cableWays } = analysis.rig;
  const change = (cableWayId: string, cableWay: Partial<Omit<CableWay, 'order'>>) =>
    run({ type: 'changeCableWay', cableWayId, cableWay });
  const add = (is: CableWayKind) => {
    const had = wayToBuy(is, 2);
    run({
      type: 'addCableWay',
      cableWayId: freeId(is, cableWays),
      cableWay: {
        name: `New ${is}`,
        is,
        points: [
          { xM: 0, yM: 1, zM: 0 },
          { xM: 2, yM: 1, zM: 0 },
        ],
        insideMm2: null,
        bendMm: null,
        carries: 'both',
        ...(had ? { had } : {}),
      },
    });
  };
  const row = ({ wayId, way, share, linkIds, mainsLeads }: WayFill) => (
    <Table.Row key={wayId} bg="transparent">
      <Table.Cell {...cell} minW="210px">
        <NameField
          hideLabel
          label={`Name of the way ${way.name}`}
          value={way.name}
          onCommit={(name) => change(wayId, { name })}
        />
      </Table.Cell>
      <Table.Cell {...cell}>
        <ChoiceField
          inCell
          width="110px"
          label={`What ${way.name} is`}
          value={way.is}
          options={KINDS}
          onChoose={(is) => change(wayId, { is: among(CABLE_WAY_KINDS, is, way.is) })}
        />
      </Table.Cell>
      <Table.Cell {...cell} minW="210px">
        <PointsField
          label={`Points of ${way.name}`}
          points={way.points}
          onCommit={(points) => change(wayId, { points })}
        />
      </Table.Cell>
      <Table.Cell {...cell}>
        <ChoiceField
          inCell
          width="136px"
          label={`What may lie in ${way.name}`}
          value={way.carries}
          options={MAY_LIE}
          onChoose={(carries) => change(wayId, { carries: among(CARRIES, carries, way.carries) })}
        />
      </Table.Cell>
      <Table.Cell {...cell}>
        <NumberField
          inCell
          mayBeUnknown
          label={`Area inside ${way.name}`}
          unit="mm²"
          step={100}
          min={1}
          max={1e6}
          value={way.insideMm2}
          onCommit={(insideMm2) => change(wayId, { insideMm2 })}
        />
      </Table.Cell>
      <Table.Cell {...cell}>
        <NumberField
          inCell
          mayBeUnknown
          label={`Tightest bend of ${way.name}`}
          unit="mm"
          step={10}
          min={1}
          max={10_000}
          value={way.bendMm}
          onCommit={(bendMm) => change(wayId, { bendMm })}
        />
      </Table.Cell>
      <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
        {linkIds.length + mainsLeads}
        {share === null ? '' : `, ${(100 * share).toFixed(0)} %`}
      </Table.Cell>
      <HadCell name={way.name} had={way.had} onChange={(had) => change(wayId, { had })} />
      <Table.Cell {...cell}>
        <Button
          size="xs"
          variant="outline"
          aria-label={`Remove ${way.name}`}
          onClick={() => run({ type: 'removeCableWay', cableWayId: wayId })}
        >
          Remove
        </Button>
      </Table.Cell>
    </Table.Row>
  );
  return (
    <Box as="section" aria-label="Ways for cables">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Ways for cables
      </Text>
      <Flex gap="4" wrap="wrap" align="center" mb="2">
        <Switched
          label="Along the foot of every wall"
          isOn={laying.alongWalls}
          onTurn={(alongWalls) => run({ type: 'setLaying', laying: { alongWalls } })}
        />
        <Switched
          label="Straight over open floor"
          isOn={laying.openFloor}
          onTurn={(openFloor) => run({ type: 'setLaying', laying: { openFloor } })}
        />
        <ChoiceField
          width="130px"
          label="Held"
          value={laying.dressing}
          options={HELD}
          onChoose={(value) =>
            run({
              type: 'setLaying',
              laying: { dressing: among(DRESSINGS, value, laying.dressing) },
            })
          }
        />
      </Flex>
      {Object.keys(cableWays).length > 0 && (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Ways that are drawn">
            {head([
              'Way',
              'Is',
              'From point to point',
              'May lie in it',
              'Inside',
              'Bend',
              'In it',
              'Had, for',
              '',
            ])}
            <Table.Body>{wayFills(analysis).map(row)}</Table.Body>
          </Table.Root>
        </Box>
      )}
      <Flex gap="2" mt="1.5" wrap="wrap">
        {TO_ADD.map((is) => (
          <Button key={is} size="xs" variant="outline" onClick={() => add(is)}>
            Add {is === 'overhead' ? 'an overhead way' : `a ${is}`}
          </Button>
        ))}
      </Flex>
      <Text fontSize="xs" color="ink.soft" mt="1">
        A point is across, up the plan, and above the floor, in metres: 0, 1, 0; 2, 1, 0. Ways are
        joined where they come within 0.1 m of each other; a socket reaches one within 1.5 m.
      </Text>
    </Box>
  );
};
