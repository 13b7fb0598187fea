'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, entry, freeId, type SimpleCommand } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { DeviceFields } from './DeviceFields';
import { Carries } from './Carries';
import { NoiseHeight, SightHeight } from './HeightFields';
import { Measured } from './Measured';
import { PersonFields } from './PersonFields';
import type { Units } from './plane';
import { SupportFields } from './SupportFields';
import { WayPointFields } from './WayPointFields';
import type { Thing } from './thing';

interface Props {
  readonly analysis: Analysis;
  readonly thing: Thing;
  readonly things: readonly Thing[];
  readonly units: Units;
  readonly measuredTo: string | null;
  readonly onMeasure: (key: string | null) => void;
  readonly onPut: (thing: Thing, to: { xM?: number; yM?: number; facingDeg?: number }) => void;
  readonly onGone: () => void;
}

/** What is chosen on the plan: where it is, typed; what it is; how far it is from something else. */
export const Chosen = ({
  analysis,
  thing,
  things,
  units,
  measuredTo,
  onMeasure,
  onPut,
  onGone,
}: Props) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const { at, kind, id, name } = thing;
  const other = things.find(({ key }) => key === measuredTo);
  const place = (label: string, key: 'xM' | 'yM', value: number) => (
    <NumberField
      label={label}
      unit="m"
      step={0.05}
      min={-1000}
      max={1000}
      value={Math.round(value * 1000) / 1000}
      onCommit={(metres) => metres !== null && onPut(thing, { [key]: metres })}
    />
  );
  const copy = (): SimpleCommand[] => {
    const support = kind === 'support' ? entry(rig.supports, id) : undefined;
    if (!support?.at) return [];
    const { name: of, onId, figures } = support;
    return [
      {
        type: 'addSupport',
        supportId: freeId(name, rig.supports),
        support: { name: of, onId, figures, at: { ...support.at, xM: support.at.xM + 0.5 } },
      },
    ];
  };
  return (
    <Box as="section" aria-label={`Chosen: ${name}`} borderWidth="1px" borderColor="rule" p="3">
      <Flex justify="space-between" align="baseline" gap="2" mb="2">
        <Text as="h2" fontWeight="600">
          {name}
        </Text>
        <Button size="xs" variant="outline" onClick={onGone}>
          Done
        </Button>
      </Flex>
      <Flex direction="column" gap="1.5">
        {kind === 'support' && (
          <NameField
            label="Name"
            value={name}
            onCommit={(next) =>
              run({ type: 'changeSupport', supportId: id, support: { name: next } })
            }
          />
        )}
        {thing.moves ? (
          <>
            {place('Across', 'xM', at.xM)}
            {place('Up the plan', 'yM', at.yM)}
          </>
        ) : (
          <Text fontSize="sm" color="ink.soft">
            It follows the mouth it hears: its distance and its aim are said under Sound.
          </Text>
        )}
        {thing.turns && (
          <NumberField
            label="Facing"
            unit="°"
            step={5}
            min={-360}
            max={720}
            value={Math.round(at.facingDeg)}
            onCommit={(facingDeg) => facingDeg !== null && onPut(thing, { facingDeg })}
          />
        )}
        {kind === 'person' && <PersonFields analysis={analysis} id={id} />}
        {kind === 'noise' && <NoiseHeight analysis={analysis} id={id} />}
        {kind === 'sight' && <SightHeight analysis={analysis} id={id} />}
        {kind === 'device' && <DeviceFields analysis={analysis} id={id} />}
        {kind === 'support' && <SupportFields analysis={analysis} id={id} />}
        {kind === 'way' && <WayPointFields analysis={analysis} id={id} onGone={onGone} />}
        {kind === 'support' && <Carries analysis={analysis} id={id} />}
        <ChoiceField
          label="Measure to"
          value={measuredTo ?? ''}
          options={[
            { value: '', label: 'nothing' },
            ...things
              .filter(({ key }) => key !== thing.key)
              .map(({ key, name: label }) => ({ value: key, label })),
          ]}
          onChoose={(key) => onMeasure(key === '' ? null : key)}
        />
        {other && <Measured analysis={analysis} from={thing} to={other} units={units} />}
        {kind === 'support' && (
          <Flex gap="2" mt="1">
            <Button
              size="sm"
              variant="outline"
              onClick={() => {
                const [command] = copy();
                if (command) run(command);
              }}
            >
              Copy
            </Button>
            <Button
              size="sm"
              variant="outline"
              onClick={() => {
                run({ type: 'removeSupport', supportId: id });
                onGone();
              }}
            >
              Take it away
            </Button>
          </Flex>
        )}
      </Flex>
    </Box>
  );
};
