'use client';

import { Box, Button, Checkbox, Flex } from '@chakra-ui/react';
import { PERSON_KINDS, readFrom, SHOTS, type Person } from '@echo-loom/core';
import { NOT_SEEN, oneOf, PERSON_SHOTS, POSTURES, WHERE } from '@/features/brief/words';
import { measuredText } from '@/features/measure/origin';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Reminders } from '@/features/sheet/Reminders';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

const TRAITS = [
  ['isHeard', 'Is to be heard'],
  ['wearsGlasses', 'Wears glasses'],
  ['dislikesHeadset', 'Dislikes a headset'],
  ['needsHandsFree', 'Needs both hands'],
] as const;

const KINDS = [
  { value: 'person', label: 'Person' },
  { value: 'instrument', label: 'Instrument' },
];

/** Somebody who speaks, or an instrument that is played, and what each needs. */
export const PersonCard = ({
  personId,
  person,
}: {
  readonly personId: string;
  readonly person: Person;
}) => {
  const { run } = useRigSession();
  const change = (fields: Partial<Omit<Person, 'order'>>) =>
    run({ type: 'changePerson', personId, person: fields });
  const isPerson = person.is === 'person';
  const from = useRig(({ analysis }) => measuredText(readFrom(analysis, { personId })));
  return (
    <Box
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      p="3"
      mb="2"
      role="group"
      aria-label={person.name}
    >
      <Flex gap="3" align="end" mb="2">
        <Box flex="1">
          <NameField label="Name" value={person.name} onCommit={(name) => change({ name })} />
        </Box>
        <Button
          size="sm"
          variant="outline"
          aria-label={`Remove ${person.name}`}
          onClick={() => run({ type: 'removePerson', personId })}
        >
          Remove
        </Button>
      </Flex>
      <Flex direction="column" gap="1.5">
        <ChoiceField
          label="Is a"
          value={person.is}
          options={KINDS}
          onChoose={(is) => change({ is: oneOf(PERSON_KINDS, is) ?? person.is })}
        />
        <ChoiceField
          label="Where"
          value={person.where}
          options={WHERE}
          onChoose={(where) => change({ where: oneOf(['on site', 'remote'] as const, where) })}
        />
        {isPerson && (
          <>
            <ChoiceField
              label="Shot of their face"
              value={person.shot ?? NOT_SEEN}
              options={PERSON_SHOTS}
              onChoose={(shot) => change({ shot: oneOf(SHOTS, shot) ?? null })}
            />
            <ChoiceField
              label="Sits, stands or moves about"
              value={person.posture}
              options={POSTURES}
              onChoose={(posture) =>
                change({
                  posture: oneOf(['sits', 'stands', 'moves'] as const, posture),
                })
              }
            />
          </>
        )}
        <NumberField
          label={isPerson ? 'Speech at 1 m' : 'Played, at 1 m'}
          hint={from}
          unit="dB"
          value={person.speechDbSpl}
          min={30}
          max={120}
          onCommit={(value) => value !== null && change({ speechDbSpl: value })}
        />
        <NumberField
          label="Strays to either side by"
          unit="dB"
          value={person.spreadDb}
          min={0}
          max={30}
          onCommit={(value) => value !== null && change({ spreadDb: value })}
        />
        <NumberField
          label="Crest, peak over average"
          unit="dB"
          value={person.crestDb}
          min={0}
          max={40}
          onCommit={(value) => value !== null && change({ crestDb: value })}
        />
        <Flex gap="4" wrap="wrap">
          {TRAITS.filter(([trait]) => isPerson || trait === 'isHeard').map(([trait, label]) => (
            <Checkbox.Root
              key={trait}
              size="sm"
              checked={person[trait]}
              onCheckedChange={({ checked }) => change({ [trait]: checked === true })}
            >
              <Checkbox.HiddenInput />
              <Checkbox.Control />
              <Checkbox.Label fontWeight="400">{label}</Checkbox.Label>
            </Checkbox.Root>
          ))}
        </Flex>
        <Reminders personId={personId} />
      </Flex>
    </Box>
  );
};
