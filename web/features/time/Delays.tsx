'use client';

import { Box, Text } from '@chakra-ui/react';
import { type Analysis, type DelayKnob, knobKey } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { socketText, type Turned } from './offsets';

interface Props {
  readonly analysis: Analysis;
  readonly knobs: readonly DelayKnob[];
  readonly turned: Turned;
  readonly onTurn: (knob: DelayKnob, ms: number | null) => void;
}

/** On the steps a device has. @unit ms */
const stepped = (ms: number, { stepMs, mostMs }: DelayKnob): number =>
  Number((Math.round(Math.min(Math.max(0, ms), mostMs) / stepMs) * stepMs).toFixed(6));

const KnobRow = ({
  analysis,
  knob,
  turned,
  onTurn,
}: Omit<Props, 'knobs'> & { readonly knob: DelayKnob }) => {
  const { run } = useRigSession();
  const { deviceId, portId, signal } = knob;
  const name = `Delay of ${signal} at ${socketText(analysis, knob)}`;
  const turning = turned.get(knobKey(knob));
  const ms = turning ?? knob.ms;
  const set = (to: number) => {
    onTurn(knob, null);
    const next = stepped(to, knob);
    if (next !== knob.ms)
      run({ type: 'setDelay', deviceId, portId, signal, ms: next > 0 ? next : null });
  };
  const letGo = () => turning !== undefined && set(turning);
  return (
    <Box data-knob={knobKey(knob)} borderBottomWidth="1px" borderColor="rule" py="1">
      <NumberField
        label={`${socketText(analysis, knob)}, ${signal}`}
        unit="ms"
        min={0}
        max={knob.mostMs}
        step={knob.stepMs}
        value={ms}
        onCommit={(value) => set(value ?? 0)}
      />
      <Box asChild w="100%" accentColor="var(--chakra-colors-madder)" className="screen-only">
        <input
          type="range"
          aria-label={`${name}, turned`}
          min={0}
          max={knob.mostMs}
          step={knob.stepMs}
          value={ms}
          onChange={(event) => onTurn(knob, Number(event.target.value))}
          onPointerUp={letGo}
          onKeyUp={letGo}
          onBlur={letGo}
        />
      </Box>
    </Box>
  );
};

/** Every delay that can be set on the way to a place. While one is turned all places follow. */
export const Delays = ({ analysis, knobs, turned, onTurn }: Props) => (
  <Box as="section" aria-label="Delays that can be set">
    <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
      Delays that can be set
    </Text>
    {knobs.length === 0 ? (
      <Text fontSize="sm">Nothing on the way of sound or picture can be delayed.</Text>
    ) : (
      knobs.map((knob) => (
        <KnobRow
          key={knobKey(knob)}
          analysis={analysis}
          knob={knob}
          turned={turned}
          onTurn={onTurn}
        />
      ))
    )}
    <Text fontSize="xs" color="ink.soft" mt="1">
      Ranges and steps are typical of the classes; the device’s own manual decides.
    </Text>
  </Box>
);
