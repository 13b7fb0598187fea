'use client';

import { Box, Switch, Text } from '@chakra-ui/react';
import type { WindowLight } from '@echo-loom/core';
import { NumberField } from '@/ui/NumberField';

/** What one window lets in: its blind, what was measured, what hangs before it. */
export const WindowFields = ({
  name,
  window,
  onChange,
}: {
  readonly name: string;
  readonly window: WindowLight;
  readonly onChange: (change: Partial<WindowLight>) => void;
}) => (
  <Box borderTopWidth="1px" borderColor="rule" pt="1.5" mt="1.5">
    <Text fontSize="sm" fontWeight="600">
      {name}
    </Text>
    <NumberField
      label={`Blind of ${name}, left open`}
      unit="%"
      min={0}
      max={100}
      value={Math.round(100 * window.openShare)}
      onCommit={(value) => value !== null && onChange({ openShare: value / 100 })}
    />
    <NumberField
      label={`Measured 1 m before ${name}`}
      unit="lux"
      min={0}
      max={200_000}
      mayBeUnknown
      whenEmpty="by sky"
      value={window.luxAt1m}
      onCommit={(luxAt1m) => onChange({ luxAt1m })}
    />
    <Switch.Root
      size="sm"
      checked={window.isSheer}
      onCheckedChange={({ checked }) => onChange({ isSheer: checked })}
    >
      <Switch.HiddenInput />
      <Switch.Control>
        <Switch.Thumb />
      </Switch.Control>
      <Switch.Label fontSize="sm">Something thin hangs before {name}</Switch.Label>
    </Switch.Root>
  </Box>
);
