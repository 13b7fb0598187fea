'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entry, freeId, GUARDS, hasToDoWith, inOrder, type SimpleCommand } from '@echo-loom/core';
import { useState } from 'react';
import { oneOf, SWITCHERS } from '@/features/brief/words';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Hands } from './Hands';
import { PanelMap } from './PanelMap';
import { doesOptions, doesValue, GUARD_OPTIONS } from './words';

/** The panel in front of whoever switches: buttons with their labels and guards, as a map to print. */
export const PanelView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState<string | null>(null);
  const { rig } = analysis;
  const buttons = inOrder(rig.panel.buttons);
  const hands = inOrder(rig.hands);
  const buttonId =
    chosen !== null && entry(rig.panel.buttons, chosen) ? chosen : (buttons[0]?.[0] ?? null);
  const button = buttonId === null ? undefined : entry(rig.panel.buttons, buttonId);
  const options = doesOptions(rig);
  const without = inOrder(rig.scenes).filter(
    ([id]) => !buttons.some(([, { does }]) => does.type === 'scene' && does.sceneId === id),
  );
  const findings = analysis.findings.filter(
    (finding) => finding.about.buttonId !== undefined || hasToDoWith(finding, 'panel'),
  );
  const taken = { ...rig.panel.buttons, ...rig.scenes };
  const add = () => {
    const id = freeId('button', taken);
    if (
      run({
        type: 'addButton',
        buttonId: id,
        button: {
          label: `Button ${buttons.length + 1}`,
          does: { type: 'black' },
          guard: 'none',
          handId: null,
        },
      })
    )
      setChosen(id);
  };
  const addScenes = () => {
    const commands = without.map(([sceneId, { name }]): SimpleCommand => ({
      type: 'addButton',
      buttonId: freeId(`to-${sceneId}`, taken),
      button: { label: name, does: { type: 'scene', sceneId }, guard: 'none', handId: null },
    }));
    run({ type: 'batch', label: 'Put every scene on the panel', commands });
  };
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1.8" minW="0" width="100%">
          <Flex justify="space-between" align="baseline" gap="3" wrap="wrap">
            <Text as="h2" fontSize="lg" fontWeight="600">
              Panel of {rig.name}
            </Text>
            <Flex gap="2" className="screen-only">
              {without.length > 0 && (
                <Button size="sm" variant="outline" onClick={addScenes}>
                  Put every scene on it
                </Button>
              )}
              <Button size="sm" variant="outline" onClick={add}>
                Add a button
              </Button>
              <Button size="sm" variant="outline" onClick={() => window.print()}>
                Print
              </Button>
            </Flex>
          </Flex>
          <Text fontSize="sm" color="ink.soft" mb="3">
            Switched by:{' '}
            {SWITCHERS.find(({ value }) => value === rig.brief?.switchedBy)?.label.toLowerCase() ??
              'not said'}
            . A double edge is a guarded button: what it does cannot be taken back on air.
          </Text>
          {buttons.length === 0 ? (
            <Text fontSize="sm">
              No button yet.{' '}
              {without.length > 0
                ? 'Begin by putting every scene on it.'
                : 'Scenes are made under Picture; each can have a button here.'}
            </Text>
          ) : (
            <PanelMap analysis={analysis} chosen={buttonId} onChoose={setChosen} />
          )}
        </Box>
        <Box flex="1" minW="280px" width="100%" className="screen-only">
          {button && buttonId !== null && (
            <Box role="region" aria-label={`Button ${button.label}`} mb="4">
              <NameField
                label="Label"
                value={button.label}
                onCommit={(label) => run({ type: 'changeButton', buttonId, button: { label } })}
              />
              <Flex direction="column" gap="1.5" mt="2">
                <ChoiceField
                  label="Does"
                  value={doesValue(button.does)}
                  options={options}
                  onChoose={(value) => {
                    const option = options.find((item) => item.value === value);
                    if (option)
                      run({ type: 'changeButton', buttonId, button: { does: option.does } });
                  }}
                />
                <ChoiceField
                  label="Guard"
                  value={button.guard}
                  options={GUARD_OPTIONS}
                  onChoose={(value) =>
                    run({
                      type: 'changeButton',
                      buttonId,
                      button: { guard: oneOf(GUARDS, value) ?? button.guard },
                    })
                  }
                />
                {hands.length > 0 && (
                  <ChoiceField
                    label="On"
                    value={button.handId ?? ''}
                    options={[
                      { value: '', label: 'The panel' },
                      ...hands.map(([value, { name }]) => ({ value, label: name })),
                    ]}
                    onChoose={(id) =>
                      run({ type: 'changeButton', buttonId, button: { handId: id || null } })
                    }
                  />
                )}
                <NumberField
                  label="Columns of the panel"
                  unit=""
                  value={rig.panel.columns}
                  min={1}
                  max={12}
                  isWhole
                  onCommit={(columns) => columns !== null && run({ type: 'setPanel', columns })}
                />
              </Flex>
              <Button
                size="sm"
                variant="outline"
                mt="2"
                onClick={() => run({ type: 'removeButton', buttonId })}
              >
                Remove the button
              </Button>
            </Box>
          )}
          <Hands rig={rig} />
          <Flex direction="column" gap="2.5">
            {findings.map((finding, index) => (
              <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
            ))}
          </Flex>
        </Box>
      </Flex>
    </Box>
  );
};
