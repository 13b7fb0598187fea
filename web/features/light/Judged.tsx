'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import {
  type Analysis,
  cureForAll,
  entry,
  type Face,
  inOrder,
  litRoom,
  USUAL_FACE,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

/** One edit that exposes every camera for the light there is. */
const AllCameras = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const cure = cureForAll(analysis);
  if (!cure || cure.commands.length === 0) return null;
  return (
    <Box mb="3">
      <Text fontSize="sm">
        Every camera for the light there is, at 1/{cure.shutter} s:{' '}
        {cure.cameras
          .map(({ name, fNumber, iso, greyStops, leftStops }) =>
            [
              `${name} f/${fNumber.toFixed(1)}`,
              `ISO ${iso}`,
              ...(greyStops > 0 ? [`${greyStops} stops of grey`] : []),
              `${leftStops.toFixed(1)} left`,
            ].join(', '),
          )
          .join('; ')}
        .
      </Text>
      <Button
        size="sm"
        variant="outline"
        mt="1"
        onClick={() =>
          run({
            type: 'batch',
            label: 'Set every camera for the light there is',
            commands: [...cure.commands],
          })
        }
      >
        {cure.cameras.length === 1 ? 'Set the camera' : `Set all ${cure.cameras.length} cameras`}
      </Button>
    </Box>
  );
};

/** By what light is judged: white balance, walls, and what faces do with light. */
export const Judged = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [isOpen, setOpen] = useState(false);
  const { lightRules, people, faces } = analysis.rig;
  const room = litRoom(analysis);
  const set = (change: Partial<typeof lightRules>) =>
    run({ type: 'setLightRules', lightRules: change });
  const seen = inOrder(people).filter(
    ([, { where, shot }]) => where === 'on site' && shot !== null,
  );
  return (
    <Box as="section" aria-label="What light is judged by">
      <AllCameras analysis={analysis} />
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What it is judged by
      </Text>
      <NumberField
        label="Cameras balanced to"
        unit="K"
        min={1000}
        max={20_000}
        step={100}
        value={lightRules.whiteK}
        onCommit={(whiteK) => whiteK !== null && set({ whiteK })}
      />
      <NumberField
        label="On each face"
        unit="lux"
        min={1}
        max={200_000}
        mayBeUnknown
        whenEmpty="camera"
        value={lightRules.faceLux}
        onCommit={(faceLux) => set({ faceLux })}
      />
      <NumberField
        label="Walls, floor and ceiling send back"
        unit="%"
        min={0}
        max={95}
        mayBeUnknown
        whenEmpty={room ? `${Math.round(100 * room.reflects)}` : 'usual'}
        value={lightRules.reflects === null ? null : Math.round(100 * lightRules.reflects)}
        onCommit={(share) => set({ reflects: share === null ? null : share / 100 })}
      />
      <NumberField
        label="Green screen, evenness"
        unit=": 1"
        min={1.02}
        max={4}
        step={0.1}
        value={lightRules.evenness}
        onCommit={(evenness) => evenness !== null && set({ evenness })}
      />
      <NumberField
        label="Cameras are clean up to"
        unit="ISO"
        min={50}
        max={409_600}
        step={100}
        value={lightRules.cleanIso}
        onCommit={(cleanIso) => cleanIso !== null && set({ cleanIso })}
      />
      <Button
        size="xs"
        variant="outline"
        mt="1"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Hide the faces' : 'Skin, hair and glasses'}
      </Button>
      {isOpen &&
        seen.map(([personId, { name, wearsGlasses }]) => {
          const face = entry(faces, personId) ?? USUAL_FACE;
          const change = (fields: Partial<Face>) =>
            run({ type: 'setFace', personId, face: { ...face, ...fields } });
          const percent = (
            label: string,
            key: 'skinReflects' | 'clothesReflect' | 'hairReflects',
          ) => (
            <NumberField
              key={key}
              label={`${label} of ${name} sends back`}
              unit="%"
              min={0}
              max={100}
              value={Math.round(100 * face[key])}
              onCommit={(value) => value !== null && change({ [key]: value / 100 })}
            />
          );
          return (
            <Box key={personId} borderTopWidth="1px" borderColor="rule" pt="1" mt="1">
              {percent('Skin', 'skinReflects')}
              {percent('Clothing', 'clothesReflect')}
              {percent('Hair', 'hairReflects')}
              {wearsGlasses && (
                <NumberField
                  label={`Glasses of ${name} lean forward`}
                  unit="°"
                  min={-20}
                  max={30}
                  value={face.glassesTiltDeg}
                  onCommit={(glassesTiltDeg) =>
                    glassesTiltDeg !== null && change({ glassesTiltDeg })
                  }
                />
              )}
            </Box>
          );
        })}
    </Box>
  );
};
