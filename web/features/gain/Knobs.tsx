'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  figure,
  type Knob,
  knobsOf,
  type SimpleCommand,
  type Stage,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';

interface Props {
  readonly analysis: Analysis;
  readonly stage: Stage;
  /** A gain while it is being dragged; null when it is let go */
  readonly onTry: (command: SimpleCommand | null) => void;
}

const KnobRow = ({ knob, onTry }: { readonly knob: Knob } & Pick<Props, 'onTry'>) => {
  const { run } = useRigSession();
  const { deviceId, control, label, valueDb, settingsDb } = knob;
  const [least = 0] = settingsDb;
  const most = settingsDb.at(-1) ?? 0;
  const step = Number(((settingsDb[1] ?? 1) - least).toFixed(4)) || 1;
  const command = (value: number): SimpleCommand => ({
    type: 'setControl',
    deviceId,
    control,
    value,
  });
  const commit = (value: number) => {
    onTry(null);
    if (value !== valueDb) run(command(value));
  };
  return (
    <Flex gap="3" align="center">
      <Text fontSize="sm" flex="1" minW="120px">
        {label}
      </Text>
      {/* Uncontrolled while it is dragged: a new value from outside gives it a new key. */}
      <input
        key={valueDb}
        type="range"
        aria-label={`${label}, slide`}
        min={least}
        max={most}
        step={step}
        defaultValue={valueDb}
        style={{ flex: '1.4', accentColor: 'var(--chakra-colors-madder)', minHeight: '24px' }}
        onInput={(event) => onTry(command(Number(event.currentTarget.value)))}
        onPointerUp={(event) => commit(Number(event.currentTarget.value))}
        onKeyUp={(event) => commit(Number(event.currentTarget.value))}
        onBlur={(event) => commit(Number(event.currentTarget.value))}
      />
      <Box flex="none">
        <NumberField
          inCell
          label={label}
          unit="dB"
          value={valueDb}
          min={least}
          max={most}
          step={step}
          onCommit={(value) => value !== null && commit(value)}
        />
      </Box>
      <Text fontSize="xs" color="ink.soft" className="figures" width="76px" whiteSpace="nowrap">
        {figure(least, 0)} to {figure(most, 0)}
      </Text>
    </Flex>
  );
};

/**
 * Everything that can be turned on the way of a voice, in the order the signal meets it; the ladder
 * follows while a slider moves.
 */
export const Knobs = ({ analysis, stage, onTry }: Props) => {
  const { run } = useRigSession();
  const knobs = knobsOf(analysis, stage);
  return (
    <Box role="group" aria-label="Gains on the way">
      {knobs.length === 0 && (
        <Text fontSize="sm" color="ink.soft">
          Nothing on its way can be turned.
        </Text>
      )}
      <Flex direction="column" gap="1">
        {knobs.map((knob) =>
          knob.kind === 'gain' ? (
            <KnobRow key={`${knob.deviceId} ${knob.control}`} knob={knob} onTry={onTry} />
          ) : (
            <Switched
              key={`${knob.deviceId} ${knob.control}`}
              label={knob.label}
              isOn={knob.valueDb < 0}
              onTurn={(value) =>
                run({ type: 'setControl', deviceId: knob.deviceId, control: knob.control, value })
              }
            />
          ),
        )}
      </Flex>
    </Box>
  );
};
