'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type DeviceNode, isFree, isSocketHeld, spareOf } from '@echo-loom/core';
import { useLoomView } from '@/features/chosen/view';

interface Props {
  readonly analysis: Analysis;
  readonly deviceId: string;
  readonly onConnect: (portId: string) => void;
}

/** What is left of each kind of socket, and of the channels on its cables. */
const spareText = (analysis: Analysis, node: DeviceNode): string => {
  const spare = spareOf(analysis, node);
  return spare.length === 0
    ? ''
    : `Free: ${spare.map(({ what, all, free }) => `${what.toLowerCase()} ${free} of ${all}`).join(', ')}.`;
};

/** The sockets of a device and what is in them. */
export const Ports = ({ analysis, deviceId, onConnect }: Props) => {
  const select = useLoomView((view) => view.select);
  const node = analysis.graph.devices.get(deviceId);
  if (!node) return null;
  return (
    <Flex direction="column">
      <Text fontSize="xs" color="ink.soft" mb="1">
        {spareText(analysis, node)}
      </Text>
      {[...node.ports.values()].map((port) => {
        const links = port.links;
        return (
          <Flex
            key={port.id}
            justify="space-between"
            align="center"
            gap="2"
            borderBottomWidth="1px"
            borderColor="rule"
            py="0.5"
            minH="8"
            fontSize="sm"
            data-port={isFree(port) ? `${deviceId}.${port.id}` : undefined}
            cursor={isFree(port) ? 'grab' : undefined}
            title={isFree(port) ? 'Drag it onto what it is to be connected to' : undefined}
          >
            <Text>
              {port.port.name}
              {links.length === 0 && isSocketHeld(port) && (
                <Text as="span" color="ink.soft">
                  {' '}
                  (its socket is in use)
                </Text>
              )}
            </Text>
            <Flex gap="1" wrap="wrap" justify="end">
              {links.map((edge) => {
                const far = edge.from === port ? edge.to : edge.from;
                return (
                  <Button
                    key={edge.id}
                    size="xs"
                    variant="plain"
                    textDecoration="underline"
                    px="1"
                    color="ink"
                    onClick={() => select({ kind: 'link', id: edge.id })}
                  >
                    {edge.from === port ? '→' : '←'} {analysis.device(far.device).name}
                  </Button>
                );
              })}
              {isFree(port) && (
                <Button
                  size="xs"
                  variant="outline"
                  onClick={() => onConnect(port.id)}
                  aria-label={`Connect ${port.port.name}`}
                >
                  Connect
                </Button>
              )}
            </Flex>
          </Flex>
        );
      })}
      <Box />
    </Flex>
  );
};
