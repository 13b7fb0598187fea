'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  bodyOf,
  freeId,
  inOrder,
  type Point,
  stood,
  USUAL_SUPPORTS,
  usualSupport,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';

const SUPPORTS = USUAL_SUPPORTS.map(({ name }) => ({ value: name, label: name }));

const middle = (corners: readonly Point[]): Point =>
  corners.length === 0
    ? { xM: 1, yM: 1 }
    : {
        xM: Math.round((corners.reduce((sum, { xM }) => sum + xM, 0) / corners.length) * 20) / 20,
        yM: Math.round((corners.reduce((sum, { yM }) => sum + yM, 0) / corners.length) * 20) / 20,
      };

interface Props {
  readonly analysis: Analysis;
  readonly onSelect: (key: string) => void;
}

/** What can be brought into the room: something that carries, and whoever and whatever has no place yet. */
export const Standing = ({ analysis, onSelect }: Props) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const [usual, setUsual] = useState(USUAL_SUPPORTS[0]?.name ?? '');
  const here = middle(rig.shell?.corners ?? []);
  const placed = new Set(stood(analysis).map(({ id }) => id));
  const people = inOrder(rig.people).filter(([, { at, where }]) => !at && where === 'on site');
  const devices = inOrder(rig.devices).filter(
    ([id, { model, on }]) =>
      !placed.has(id) && !on && bodyOf(model) !== null && bodyOf(model)?.mount !== 'worn',
  );
  const add = () => {
    const { name, figures } = usualSupport(usual);
    const supportId = freeId(name, rig.supports);
    run({
      type: 'addSupport',
      supportId,
      support: { name, figures, onId: null, at: { ...here, facingDeg: 0 } },
    });
    onSelect(`support:${supportId}`);
  };
  const bring = (key: string, label: string, onClick: () => void) => (
    <Button key={key} size="xs" variant="outline" onClick={onClick}>
      {label}
    </Button>
  );
  return (
    <Box as="section" aria-label="Bring in">
      <Text as="h2" fontWeight="600">
        Bring in
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="1.5">
        Everything comes to the middle of the room; move it from there. Choose something on the plan
        to change it.
      </Text>
      <Flex gap="2" align="end" mb="2">
        <ChoiceField
          label="Something that carries"
          value={usual}
          options={SUPPORTS}
          onChoose={setUsual}
        />
        <Button size="sm" variant="outline" onClick={add}>
          Add
        </Button>
      </Flex>
      <Flex gap="1.5" wrap="wrap">
        {people.map(([personId, { name }]) =>
          bring(personId, name, () => {
            run({ type: 'changePerson', personId, person: { at: { ...here, facingDeg: 0 } } });
            onSelect(`person:${personId}`);
          }),
        )}
        {inOrder(rig.brief?.sights ?? {})
          .filter(([, { at, what }]) => !at && what !== 'screen' && what !== 'people together')
          .map(([sightId, { name }]) =>
            bring(sightId, name, () => {
              run({ type: 'changeSight', sightId, sight: { at: { ...here, zM: 0.8 } } });
              onSelect(`sight:${sightId}`);
            }),
          )}
        {devices.map(([deviceId, { name, aim }]) =>
          bring(deviceId, name, () => {
            run({ type: 'placeDevice', deviceId, at: { ...here, facingDeg: 0 }, aim });
            onSelect(`device:${deviceId}`);
          }),
        )}
      </Flex>
    </Box>
  );
};
