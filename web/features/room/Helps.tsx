'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Boundary,
  figure,
  type BuiltRoom,
  finish,
  freeId,
  type Material,
  MATERIALS,
  treatmentNeeded,
  type SimpleCommand,
} from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

/** What somebody thinks of putting in. */
export interface Trial {
  readonly material: Material;
  readonly covers: Boundary | 'nothing';
  readonly targetS: number;
}

interface Props {
  readonly built: BuiltRoom;
  readonly trial: Trial;
  readonly onTrial: (trial: Trial) => void;
}

const CAN_HELP = MATERIALS.filter(({ is, absorption }) => is === 'put in' && absorption[3] > 0.3);
const PLACES = [
  { value: 'walls', label: 'on the walls' },
  { value: 'ceiling', label: 'under the ceiling' },
  { value: 'floor', label: 'on the floor' },
] as const;

/** What a trial begins with. */
export const firstTrial = (targetS: number): Trial | null => {
  const material = CAN_HELP.find(({ absorption }) => absorption[0] > 0.5);
  return material ? { material, covers: 'walls', targetS } : null;
};

/** How much of something brings the room to a time; hung with one press. */
export const Helps = ({ built, trial, onTrial }: Props) => {
  const { run } = useRigSession();
  const typed = useRig((state) => state.rig.room.rt60S);
  const { material, covers, targetS } = trial;
  const { areaM2, leastM2, isEnough, rt60S } = treatmentNeeded(
    built,
    { absorption: material.absorption, covers },
    targetS,
  );
  const hang = () => {
    const taken = Object.fromEntries(built.surfaces.map(({ id }) => [id, true]));
    const commands: SimpleCommand[] = [
      {
        type: 'addSurface',
        surfaceId: freeId(material.name, taken),
        surface: { ...finish(material.name), covers, areaM2 },
      },
      ...(typed === null ? [] : [{ type: 'setRoom' as const, room: { rt60S: null } }]),
    ];
    run({ type: 'batch', label: `Hung ${areaM2} m² of ${material.name}`, commands });
  };
  return (
    <Box mt="4">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What would help
      </Text>
      <Flex direction="column" gap="1.5" maxW="430px">
        <ChoiceField
          label="Put in"
          width="250px"
          value={material.name}
          options={CAN_HELP.map(({ name }) => ({ value: name, label: name }))}
          onChoose={(name) => {
            const next = CAN_HELP.find((one) => one.name === name);
            if (next) onTrial({ ...trial, material: next });
          }}
        />
        <ChoiceField
          label="Where"
          width="250px"
          value={covers}
          options={PLACES}
          onChoose={(value) => {
            const next = PLACES.find((place) => place.value === value);
            if (next) onTrial({ ...trial, covers: next.value });
          }}
        />
        <NumberField
          label="So that it rings for"
          unit="s"
          step={0.05}
          min={0.05}
          max={30}
          value={Math.round(targetS * 100) / 100}
          onCommit={(value) => value !== null && onTrial({ ...trial, targetS: value })}
        />
      </Flex>
      <Box role="status" mt="2" bg="madder.wash" borderLeftWidth="3px" borderColor="madder" p="2.5">
        {areaM2 === 0 ? (
          <Text fontSize="sm">
            {isEnough
              ? 'Nothing is needed: the room rings no longer than that.'
              : 'There is no place left for it.'}
          </Text>
        ) : (
          <>
            <Text fontSize="sm">
              {isEnough
                ? `${figure(areaM2)} m² bring the room to ${figure(rt60S, 2)} s` +
                  `${leastM2 === null ? '' : `; ${figure(leastM2, 2)} m² would just do`}.`
                : `Even ${figure(areaM2)} m², all there is place for, bring it only to ${figure(rt60S, 2)} s.`}
              {material.about !== undefined && ` ${material.about}`}
            </Text>
            <Button size="sm" mt="2" bg="madder" color="madder.ink" onClick={hang}>
              Hang {figure(areaM2)} m²
            </Button>
          </>
        )}
      </Box>
    </Box>
  );
};
