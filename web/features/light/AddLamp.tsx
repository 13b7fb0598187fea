'use client';

import { Button, Flex } from '@chakra-ui/react';
import {
  type Analysis,
  CATALOGUE,
  classById,
  faces,
  freeId,
  freshName,
  stepped,
  usualSupport,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';

const LIGHTS = CATALOGUE.filter(({ light }) => light !== undefined);
const [FIRST] = LIGHTS;
const STAND = 'Stand, light';

/** A lamp is put so far before the first face, so far aside. @unit m, degrees */
const BEFORE_M = 1.8;
const ASIDE_DEG = 35;

/** Adds a fixture on a stand of its own, beside where the first face looks and pointed at it. */
export const AddLamp = ({
  analysis,
  onAdded,
}: {
  readonly analysis: Analysis;
  readonly onAdded: (deviceId: string) => void;
}) => {
  const { run } = useRigSession();
  const [classId, setClassId] = useState(FIRST?.classId ?? '');
  const add = () => {
    const { rig } = analysis;
    const model = classById(classId);
    const deviceId = freeId(classId, rig.devices);
    const supportId = freeId('lamp-stand', rig.supports);
    const name = freshName(rig, model.name);
    const [face] = faces(analysis);
    const facingDeg = face?.person.at?.facingDeg ?? 0;
    const at = face
      ? stepped(face.eyes, facingDeg + ASIDE_DEG, BEFORE_M)
      : { xM: (rig.shell?.corners[0]?.xM ?? 0) + 1, yM: (rig.shell?.corners[0]?.yM ?? 0) + 1 };
    const stand = usualSupport(STAND);
    const isDone = run({
      type: 'batch',
      label: `Added ${name} on a stand`,
      commands: [
        {
          type: 'addSupport',
          supportId,
          support: {
            name: `Stand of ${name}`.slice(0, 80),
            at: {
              xM: Number(at.xM.toFixed(2)),
              yM: Number(at.yM.toFixed(2)),
              facingDeg:
                facingDeg + 180 + ASIDE_DEG > 360
                  ? facingDeg - 180 + ASIDE_DEG
                  : facingDeg + 180 + ASIDE_DEG,
            },
            onId: null,
            figures: stand.figures,
          },
        },
        { type: 'addDevice', deviceId, name, model, settings: {}, personId: null, placeId: null },
        {
          type: 'standDevice',
          deviceId,
          on: { supportId, xM: 0, yM: 0, turnDeg: 0, upM: 0 },
        },
        ...(face
          ? [
              {
                type: 'hangLamp' as const,
                deviceId,
                lamp: { aim: { at: 'person' as const, personId: face.personId } },
              },
            ]
          : []),
      ],
    });
    if (isDone) onAdded(deviceId);
  };
  return (
    <Flex gap="2" align="flex-end" wrap="wrap" mt="2" className="screen-only">
      <ChoiceField
        label="Add a lamp"
        value={classId}
        width="230px"
        options={LIGHTS.flatMap((model) =>
          model.classId === null ? [] : [{ value: model.classId, label: model.name }],
        )}
        onChoose={setClassId}
      />
      <Button size="sm" variant="outline" onClick={add}>
        Put it on a stand
      </Button>
    </Flex>
  );
};
