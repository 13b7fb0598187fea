'use client';

import { Flex, Text } from '@chakra-ui/react';
import { inOrder, type Rig, type Scene } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';

const AS_SET = '';

/** Which input each selector lets through while a scene is shown. */
export const SceneSelects = ({
  rig,
  sceneId,
  scene,
}: {
  readonly rig: Rig;
  readonly sceneId: string;
  readonly scene: Scene;
}) => {
  const { run } = useRigSession();
  const selectors = inOrder(rig.devices).flatMap(([deviceId, { name, model }]) =>
    model.kind === 'selector'
      ? Object.entries(model.controls).flatMap(([control, { type, ...rest }]) =>
          type === 'choice' && 'options' in rest
            ? [{ deviceId, control, name, options: rest.options }]
            : [],
        )
      : [],
  );
  if (selectors.length === 0) return null;
  const choose = (deviceId: string, control: string, value: string) =>
    run({
      type: 'changeScene',
      sceneId,
      scene: {
        selects: [
          ...scene.selects.filter((one) => one.deviceId !== deviceId || one.control !== control),
          ...(value === AS_SET ? [] : [{ deviceId, control, value }]),
        ],
      },
    });
  return (
    <Flex direction="column" gap="1.5" mt="3">
      <Text fontWeight="600" fontSize="sm">
        Selectors let through
      </Text>
      {selectors.map(({ deviceId, control, name, options }) => (
        <ChoiceField
          key={`${deviceId} ${control}`}
          label={name}
          value={
            scene.selects.find((one) => one.deviceId === deviceId && one.control === control)
              ?.value ?? AS_SET
          }
          options={[{ value: AS_SET, label: 'As it is set' }, ...options]}
          onChoose={(value) => choose(deviceId, control, value)}
        />
      ))}
    </Flex>
  );
};
