'use client';

import { Button, Text } from '@chakra-ui/react';
import { freeId, inOrder, suggestedCable, type Analysis, type PortNode } from '@echo-loom/core';
import { useRef, useState } from 'react';
import { useLoomView } from '@/features/chosen/view';
import { useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { PickList, type PickGroup } from '@/ui/PickList';
import { ownPorts, partnersOf, portKey } from './partners';

interface Props {
  readonly analysis: Analysis;
  /** Device to start from; null lets one be picked */
  readonly deviceId: string | null;
  readonly portId: string | null;
  readonly onClose: () => void;
}

const portOf = (analysis: Analysis, key: string): PortNode | undefined => {
  const [deviceId = '', portId = ''] = key.split('.');
  return analysis.graph.devices.get(deviceId)?.ports.get(portId);
};

/**
 * Joins two ports: pick the device, its port, then the other end. Only what can mate can be picked;
 * the rest says why not.
 */
export const Connect = ({ analysis, deviceId, portId, onClose }: Props) => {
  const { run } = useRigSession();
  const select = useLoomView((view) => view.select);
  const [query, setQuery] = useState('');
  const [device, setDevice] = useState(deviceId);
  const [port, setPort] = useState(() => {
    if (deviceId === null) return null;
    if (portId !== null) return `${deviceId}.${portId}`;
    const free = ownPorts(analysis, deviceId).filter((item) => !item.disabled);
    return free.length === 1 ? (free[0]?.key ?? null) : null;
  });
  const input = useRef<HTMLInputElement>(null);
  const own = port === null ? undefined : portOf(analysis, port);
  const go = (next: () => void) => {
    setQuery('');
    next();
  };

  const join = (key: string) => {
    const far = portOf(analysis, key);
    const cable = own && far && suggestedCable(own.port, far.port);
    if (!own || !far || !cable) return;
    const linkId = freeId(`${own.device.id}-${own.id}-${far.device.id}`, analysis.rig.links);
    if (
      !run({
        type: 'connect',
        linkId,
        from: { deviceId: own.device.id, portId: own.id },
        to: { deviceId: far.device.id, portId: far.id },
        cable,
      })
    )
      return;
    select({ kind: 'device', id: far.device.id });
    onClose();
  };

  const step: {
    title: string;
    groups: readonly PickGroup[];
    placeholder: string;
    empty: string;
    pick: (key: string) => void;
  } = own
    ? {
        title: `Connect ${analysis.device(own.device).name}, ${own.port.name}`,
        groups: partnersOf(analysis, own),
        placeholder: 'To which port?',
        empty: 'No other port matches.',
        pick: join,
      }
    : device !== null
      ? {
          title: `Connect ${analysis.rig.devices[device]?.name ?? ''}`,
          groups: [{ heading: 'From which port', items: ownPorts(analysis, device) }],
          placeholder: 'From which port?',
          empty: 'No port matches.',
          pick: (key) => go(() => setPort(key)),
        }
      : {
          title: 'Connect',
          groups: [
            {
              heading: 'Which device',
              items: inOrder(analysis.rig.devices).map(([key, { name, model }]) => ({
                key,
                label: name,
                words: model.name,
              })),
            },
          ],
          placeholder: 'Which device?',
          empty: 'There is no such device. Add one first.',
          pick: (key) => go(() => setDevice(key)),
        };

  const back =
    own && portKey(own) !== `${deviceId}.${portId}`
      ? () => go(() => setPort(null))
      : device !== null && deviceId === null
        ? () => go(() => setDevice(null))
        : null;

  return (
    <Modal
      open
      onClose={onClose}
      title={step.title}
      focusFirst={input}
      footer={
        back ? (
          <Button size="sm" variant="outline" onClick={back}>
            Back
          </Button>
        ) : undefined
      }
    >
      {own && !step.groups.some(({ items }) => items.some(({ disabled }) => !disabled)) && (
        <Text fontSize="sm" mb="2">
          Nothing in this rig has a free port for it. Free one, or add a device first (<kbd>a</kbd>
          ).
        </Text>
      )}
      <PickList
        key={step.title}
        label={step.title}
        placeholder={step.placeholder}
        groups={step.groups}
        empty={step.empty}
        query={query}
        onQuery={setQuery}
        onPick={step.pick}
        inputRef={input}
      />
      {own && (
        <Text fontSize="xs" color="ink.soft" mt="2">
          The cable’s kind and length can be changed afterwards.
        </Text>
      )}
    </Modal>
  );
};
