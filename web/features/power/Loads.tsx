'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import { type Analysis, freeId, inOrder, type Load, type PowerRules } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/features/sound/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';
import { fedByOf, fedChoices, valueOf } from './fed';

/** What else is on the mains: kiln, heater, lamps. */
export const Loads = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { loads } = analysis.rig;
  const change = (loadId: string, load: Partial<Omit<Load, 'order'>>) =>
    run({ type: 'changeLoad', loadId, load });
  return (
    <Box as="section" aria-label="Also on the mains">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Also on the mains
      </Text>
      {Object.keys(loads).length === 0 ? (
        <Text fontSize="sm" mb="1">
          Nothing but the devices of the rig. A heater or a kettle on the same circuit counts too.
        </Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Other things on the mains">
            {head(['Name', 'At most', 'Fed by', 'During the show', ''])}
            <Table.Body>
              {inOrder(loads).map(([id, load]) => (
                <Table.Row key={id} bg="transparent">
                  <Table.Cell {...cell} minW="110px">
                    <NameField
                      hideLabel
                      label={`Name of ${load.name}`}
                      value={load.name}
                      onCommit={(name) => change(id, { name })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      label={`Power of ${load.name}`}
                      unit="W"
                      step={100}
                      min={0}
                      max={100_000}
                      value={load.mostW}
                      onCommit={(mostW) => mostW !== null && change(id, { mostW })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="160px"
                      label={`What feeds ${load.name}`}
                      value={valueOf(load.from)}
                      options={fedChoices(analysis.rig, true)}
                      onChoose={(value) => change(id, { from: fedByOf(value) })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <Switched
                      label={load.runs ? 'on' : 'off'}
                      isOn={load.runs}
                      onTurn={(runs) => change(id, { runs })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Remove ${load.name}`}
                      onClick={() => run({ type: 'removeLoad', loadId: id })}
                    >
                      Remove
                    </Button>
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
      <Button
        size="xs"
        variant="outline"
        mt="1.5"
        onClick={() =>
          run({
            type: 'addLoad',
            loadId: freeId('load', loads),
            load: { name: 'Heater', mostW: 1000, powerFactor: null, from: null, runs: true },
          })
        }
      >
        Add something
      </Button>
    </Box>
  );
};

/** What is asked of the mains and of what lasts. */
export const Asked = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { powerRules } = analysis.rig;
  const set = (rules: Partial<PowerRules>) => run({ type: 'setPowerRules', powerRules: rules });
  return (
    <Box as="section" aria-label="What is asked">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What is asked
      </Text>
      <NumberField
        label="Share of a breaker that may be used"
        unit="%"
        step={5}
        min={10}
        max={100}
        value={Math.round(powerRules.breakerShare * 100)}
        onCommit={(share) => share !== null && set({ breakerShare: share / 100 })}
      />
      <NumberField
        label="A supply that lasts carries the show for"
        unit="min"
        min={0}
        max={600}
        value={powerRules.lastsMin}
        onCommit={(lastsMin) => lastsMin !== null && set({ lastsMin })}
      />
      <NumberField
        label="A long day has"
        unit="h"
        min={1}
        max={24}
        value={powerRules.dayH}
        onCommit={(dayH) => dayH !== null && set({ dayH })}
      />
      <NumberField
        mayBeUnknown
        label="Changes of air an hour with the ventilation off"
        unit="/h"
        step={0.1}
        min={0.05}
        max={50}
        value={powerRules.airChanges}
        onCommit={(airChanges) => set({ airChanges })}
      />
    </Box>
  );
};
