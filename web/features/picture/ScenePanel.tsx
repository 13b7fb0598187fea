'use client';

import { Box, Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import { BOXES, entry, inOrder, type Analysis, type Layer, type Scene } from '@echo-loom/core';
import { FindingCard } from '@/features/findings/FindingCard';
import { oneOf } from '@/features/brief/words';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { SceneSelects } from './SceneSelects';
import { BOX_OPTIONS } from './words';

interface Props {
  readonly analysis: Analysis;
  readonly sceneId: string;
  readonly scene: Scene;
}

const EVERYONE = 'everyone';

/** One scene: its layers from the back to the front, who is heard, and what it lacks. */
export const ScenePanel = ({ analysis, sceneId, scene }: Props) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const sources = inOrder(rig.devices)
    .filter(([, { model }]) => Object.values(model.ports).some(({ emits }) => emits?.picture))
    .map(([value, { name }]) => ({ value, label: name }));
  const findings = analysis.findings.filter(({ about }) => about.sceneId === sceneId);
  const setLayers = (layers: readonly Layer[]) =>
    run({ type: 'changeScene', sceneId, scene: { layers: [...layers] } });
  const replace = (index: number, changes: Partial<Layer>) =>
    setLayers(scene.layers.map((layer, at) => (at === index ? { ...layer, ...changes } : layer)));
  const voices = inOrder(rig.people).filter(([, { isHeard }]) => isHeard);
  const hear = (personId: string, isHeard: boolean) =>
    run({
      type: 'changeScene',
      sceneId,
      scene: {
        heard: isHeard
          ? [...(scene.heard ?? []), personId]
          : (scene.heard ?? []).filter((id) => id !== personId),
      },
    });
  return (
    <Box role="region" aria-label={`Scene ${scene.name}`} mt="3">
      <Flex gap="2" align="end" mb="2">
        <Box flex="1">
          <NameField
            label="Name of the scene"
            hideLabel
            value={scene.name}
            onCommit={(name) => run({ type: 'changeScene', sceneId, scene: { name } })}
          />
        </Box>
        <Button size="sm" variant="outline" onClick={() => run({ type: 'removeScene', sceneId })}>
          Remove the scene
        </Button>
      </Flex>
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mb="3">
          {findings.map((finding, index) => (
            <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
      <Text fontWeight="600" fontSize="sm">
        Shows, from the back to the front
      </Text>
      {scene.layers.map((layer, index) => (
        <Flex
          key={index}
          gap="2"
          align="center"
          mt="1.5"
          role="group"
          aria-label={`Layer ${index + 1}: ${entry(rig.devices, layer.deviceId)?.name ?? ''}`}
        >
          <ChoiceField
            inCell
            width="150px"
            label={`Picture of layer ${index + 1}`}
            value={layer.deviceId}
            options={sources}
            onChoose={(deviceId) => replace(index, { deviceId })}
          />
          <ChoiceField
            inCell
            width="140px"
            label={`Place of layer ${index + 1}`}
            value={layer.box}
            options={BOX_OPTIONS}
            onChoose={(box) => replace(index, { box: oneOf(BOXES, box) ?? layer.box })}
          />
          <Button
            size="xs"
            variant="outline"
            aria-label={`Remove layer ${index + 1}`}
            onClick={() => setLayers(scene.layers.filter((_, at) => at !== index))}
          >
            Remove
          </Button>
        </Flex>
      ))}
      {scene.layers.length < 9 && sources[0] && (
        <Button
          size="xs"
          variant="outline"
          mt="2"
          onClick={() =>
            sources[0] &&
            setLayers([
              ...scene.layers,
              { deviceId: sources[0].value, box: scene.layers.length === 0 ? 'full' : 'inset' },
            ])
          }
        >
          Add a picture
        </Button>
      )}
      <SceneSelects rig={rig} sceneId={sceneId} scene={scene} />
      <Text fontWeight="600" fontSize="sm" mt="3" mb="1">
        Sounds like
      </Text>
      <ChoiceField
        label="Heard"
        value={scene.heard === null ? EVERYONE : 'some'}
        options={[
          { value: EVERYONE, label: 'Everyone' },
          { value: 'some', label: 'Only…' },
        ]}
        onChoose={(value) =>
          run({
            type: 'changeScene',
            sceneId,
            scene: { heard: value === EVERYONE ? null : voices.map(([id]) => id) },
          })
        }
      />
      {scene.heard !== null && (
        <Flex gap="4" wrap="wrap" mt="1.5">
          {voices.map(([personId, { name }]) => (
            <Checkbox.Root
              key={personId}
              size="sm"
              checked={scene.heard?.includes(personId) ?? false}
              onCheckedChange={({ checked }) => hear(personId, checked === true)}
            >
              <Checkbox.HiddenInput />
              <Checkbox.Control />
              <Checkbox.Label fontWeight="400">{name}</Checkbox.Label>
            </Checkbox.Root>
          ))}
        </Flex>
      )}
    </Box>
  );
};
