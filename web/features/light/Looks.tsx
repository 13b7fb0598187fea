'use client';

import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import {
  type Analysis,
  cleanLine,
  entry,
  freeId,
  inOrder,
  lampSources,
  nameOfThing,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { PlainTable } from '@/ui/PlainTable';

const NO_LOOK = '';
const ANY_SET = '';

/** Looks of a set: what every lamp is set to, beside one another; kept, called up, and cued with scenes. */
export const Looks = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [name, setName] = useState('');
  const [setId, setSetId] = useState(ANY_SET);
  const { looks, scenes, cues, sets } = analysis.rig;
  const all = inOrder(looks);
  const written = cleanLine(name);
  const lamps = lampSources(analysis);
  const keep = () => {
    if (written === '') return;
    const same = all.find(([, look]) => look.name === written);
    run({
      type: 'keepLook',
      lookId: same?.[0] ?? freeId(written, looks),
      name: written,
      setId: Object.hasOwn(sets, setId) ? setId : (same?.[1].setId ?? null),
    });
    setName('');
  };
  return (
    <Box as="section" aria-label="Looks">
      <Text as="h2" fontSize="lg" fontWeight="600">
        Looks
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="1">
        A look is what every lamp is set to. A scene can call one up.
      </Text>
      {all.length > 0 && (
        <PlainTable
          label="Looks beside one another"
          headings={['Lamp', 'Now', ...all.map(([, look]) => look.name)]}
          lines={lamps.map((lamp) => ({
            id: lamp.id,
            head: nameOfThing(analysis, lamp),
            cells: [
              `${Math.round(1000 * lamp.share) / 10} %`,
              ...all.map(([, { levels }]) => {
                const level = entry(levels, lamp.id);
                if (!level) return 'as it was';
                return `${level.dimmer} %${level.kelvin === null ? '' : `, ${level.kelvin.toLocaleString('en-GB')} K`}`;
              }),
            ],
          }))}
        />
      )}
      <Flex direction="column" gap="1.5" mt="1.5" className="screen-only">
        {all.map(([lookId, look]) => (
          <Flex key={lookId} gap="2" align="center" wrap="wrap">
            <Text fontSize="sm" flex="1" minW="90px">
              {look.name}
              {look.setId !== null && ` (${entry(sets, look.setId)?.name ?? ''})`}
            </Text>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Call up the look ${look.name}`}
              onClick={() => run({ type: 'recallLook', lookId })}
            >
              Call up
            </Button>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Keep the lamps as they are as ${look.name}`}
              onClick={() => run({ type: 'keepLook', lookId, name: look.name, setId: look.setId })}
            >
              Keep as it is
            </Button>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Remove the look ${look.name}`}
              onClick={() => run({ type: 'removeLook', lookId })}
            >
              Remove
            </Button>
          </Flex>
        ))}
        {inOrder(sets).length > 0 && (
          <ChoiceField
            label="A new look is for"
            value={setId}
            options={[
              { value: ANY_SET, label: 'any set' },
              ...inOrder(sets).map(([value, set]) => ({ value, label: set.name })),
            ]}
            onChoose={setSetId}
          />
        )}
        <Flex gap="2">
          <Input
            size="sm"
            aria-label="Name of a new look"
            placeholder="Name of a new look"
            value={name}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && keep()}
          />
          <Button
            size="sm"
            variant="outline"
            disabled={written === '' || lamps.length === 0}
            onClick={keep}
          >
            Keep
          </Button>
        </Flex>
        {all.length > 0 &&
          inOrder(scenes).map(([sceneId, scene]) => (
            <ChoiceField
              key={sceneId}
              label={`With the scene ${scene.name}`}
              value={entry(cues, sceneId) ?? NO_LOOK}
              options={[
                { value: NO_LOOK, label: 'as it is' },
                ...all.map(([value, look]) => ({ value, label: look.name })),
              ]}
              onChoose={(value) =>
                run({ type: 'cueScene', sceneId, lookId: value === NO_LOOK ? null : value })
              }
            />
          ))}
      </Flex>
    </Box>
  );
};
