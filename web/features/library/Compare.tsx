'use client';

import { Box, Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  CATALOGUE,
  type Model,
  MOST_COMPARED,
  type OwnModel,
  stamped,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { useTask } from '@/workers/useTask';
import { CompareTable } from './CompareTable';
import { useOwnModels } from './useOwnModels';

interface Candidate {
  readonly key: string;
  readonly model: Model;
}

/** Models of the same kind: the studio’s own first, then the classes. */
const candidatesFor = (own: Model, ours: readonly OwnModel[]): Candidate[] => [
  ...ours
    .filter(({ model }) => model.kind === own.kind)
    .map((one) => ({ key: `own ${one.id}`, model: stamped(one) })),
  ...CATALOGUE.filter(({ kind }) => kind === own.kind).map((model) => ({
    key: `class ${model.classId ?? ''}`,
    model,
  })),
];

interface Props {
  readonly analysis: Analysis;
  readonly deviceId: string;
  readonly onClose: () => void;
}

/** Up to four models in a device’s place, each put there and the whole rig computed. */
const Comparing = ({ analysis, deviceId, onClose }: Props) => {
  const { run } = useRigSession();
  const ours = useOwnModels();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const device = analysis.rig.devices[deviceId];
  const candidates = device ? candidatesFor(device.model, ours) : [];
  const models = candidates.filter(({ key }) => chosen.includes(key)).map(({ model }) => model);
  const found = useTask({
    analysis,
    key: models.length === 0 ? null : `${deviceId} ${chosen.join(' ')}`,
    ask: (tasks) => tasks.compareIn(deviceId, models),
  });
  const toggle = (key: string) =>
    setChosen(chosen.includes(key) ? chosen.filter((one) => one !== key) : [...chosen, key]);
  return (
    <Box>
      <Text fontSize="sm" mb="2">
        Choose up to {MOST_COMPARED}. Each is put in the place of {device?.name}, its cables into
        the sockets that take them, and the whole rig is computed.
      </Text>
      <Flex as="fieldset" border="none" p="0" gap="3" wrap="wrap" mb="3">
        <Box as="legend" srOnly>
          Models to compare
        </Box>
        {candidates.map(({ key, model }) => (
          <Checkbox.Root
            key={key}
            size="sm"
            checked={chosen.includes(key)}
            disabled={!chosen.includes(key) && chosen.length >= MOST_COMPARED}
            onCheckedChange={() => toggle(key)}
          >
            <Checkbox.HiddenInput />
            <Checkbox.Control />
            <Checkbox.Label fontSize="sm">
              {model.name}
              {model.own ? ' (yours)' : ''}
            </Checkbox.Label>
          </Checkbox.Root>
        ))}
      </Flex>
      {found.state === 'working' && (
        <Text fontSize="sm" aria-live="polite">
          Trying each …
        </Text>
      )}
      {found.state === 'failed' && <Text fontSize="sm">It could not be tried: {found.says}</Text>}
      {found.state === 'done' && (
        <CompareTable
          analysis={analysis}
          tried={found.value}
          onTake={({ model, commands }) => {
            if (
              run({
                type: 'batch',
                label: `Made ${device?.name ?? ''} a ${model.name}`,
                commands: [...commands],
              })
            )
              onClose();
          }}
        />
      )}
    </Box>
  );
};

/** Opens the comparison of a device with others of its kind. */
export const CompareButton = ({ analysis, deviceId }: Omit<Props, 'onClose'>) => {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button size="sm" variant="outline" onClick={() => setOpen(true)}>
        Compare…
      </Button>
      <Modal
        open={isOpen}
        onClose={() => setOpen(false)}
        title="Side by side in this rig"
        size="xl"
      >
        {isOpen && (
          <Comparing analysis={analysis} deviceId={deviceId} onClose={() => setOpen(false)} />
        )}
      </Modal>
    </>
  );
};
