'use client';

import { Box, Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import { freeId, inOrder, SHOTS, USUAL_PERSON, type Person } from '@echo-loom/core';
import { NOT_SEEN, oneOf, PERSON_SHOTS, POSTURES, WHERE } from '@/features/brief/words';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { NotesField } from './NotesField';

const TRAITS = [
  ['isHeard', 'Is to be heard'],
  ['wearsGlasses', 'Wears glasses'],
  ['dislikesHeadset', 'Dislikes a headset'],
  ['needsHandsFree', 'Needs both hands'],
] as const;

/** Who is in the show, what each needs, and where things stand. */
export const PeopleView = () => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const people = inOrder(rig.people);
  const change = (personId: string, person: Partial<Omit<Person, 'order'>>) =>
    run({ type: 'changePerson', personId, person });
  const places = inOrder(rig.places);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Box maxW="620px">
        <Text as="h2" fontSize="lg" fontWeight="600">
          People
        </Text>
        <Text fontSize="sm" color="ink.soft" mb="2">
          A microphone is computed for the voice it is given to. Normal speech is 60 dB at 1 m,
          raised 66, relaxed 54; loud or unpractised talkers have a crest of 18 dB.
        </Text>
        {people.length === 0 && (
          <Text fontSize="sm" mb="2">
            Nobody yet.
          </Text>
        )}
        {people.map(([personId, person]) => (
          <Box
            key={personId}
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
                <NameField
                  label="Name"
                  value={person.name}
                  onCommit={(name) => change(personId, { name })}
                />
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
                label="Where"
                value={person.where}
                options={WHERE}
                onChoose={(where) =>
                  change(personId, { where: oneOf(['on site', 'remote'] as const, where) })
                }
              />
              <ChoiceField
                label="Shot of their face"
                value={person.shot ?? NOT_SEEN}
                options={PERSON_SHOTS}
                onChoose={(shot) => change(personId, { shot: oneOf(SHOTS, shot) ?? null })}
              />
              <ChoiceField
                label="Sits, stands or moves about"
                value={person.posture}
                options={POSTURES}
                onChoose={(posture) =>
                  change(personId, {
                    posture: oneOf(['sits', 'stands', 'moves'] as const, posture),
                  })
                }
              />
              <NumberField
                label="Speech at 1 m"
                unit="dB"
                value={person.speechDbSpl}
                min={30}
                max={120}
                onCommit={(value) => value !== null && change(personId, { speechDbSpl: value })}
              />
              <NumberField
                label="Strays to either side by"
                unit="dB"
                value={person.spreadDb}
                min={0}
                max={30}
                onCommit={(value) => value !== null && change(personId, { spreadDb: value })}
              />
              <NumberField
                label="Crest, peak over average"
                unit="dB"
                value={person.crestDb}
                min={0}
                max={40}
                onCommit={(value) => value !== null && change(personId, { crestDb: value })}
              />
              <Flex gap="4" wrap="wrap">
                {TRAITS.map(([trait, label]) => (
                  <Checkbox.Root
                    key={trait}
                    size="sm"
                    checked={person[trait]}
                    onCheckedChange={({ checked }) =>
                      change(personId, { [trait]: checked === true })
                    }
                  >
                    <Checkbox.HiddenInput />
                    <Checkbox.Control />
                    <Checkbox.Label fontWeight="400">{label}</Checkbox.Label>
                  </Checkbox.Root>
                ))}
              </Flex>
            </Flex>
          </Box>
        ))}
        <Button
          size="sm"
          bg="madder"
          color="madder.ink"
          onClick={() =>
            run({
              type: 'addPerson',
              personId: freeId('person', rig.people),
              person: { name: `Person ${people.length + 1}`, ...USUAL_PERSON },
            })
          }
        >
          Add a person
        </Button>

        <Text as="h2" fontSize="lg" fontWeight="600" mt="6" mb="2">
          Places
        </Text>
        {places.map(([placeId, place]) => (
          <Flex key={placeId} gap="3" align="end" mb="2">
            <Box flex="1">
              <NameField
                label="Place"
                hideLabel
                value={place.name}
                onCommit={(name) => run({ type: 'renamePlace', placeId, name })}
              />
            </Box>
            <Button
              size="sm"
              variant="outline"
              aria-label={`Remove ${place.name}`}
              onClick={() => run({ type: 'removePlace', placeId })}
            >
              Remove
            </Button>
          </Flex>
        ))}
        <Button
          size="sm"
          variant="outline"
          onClick={() =>
            run({
              type: 'addPlace',
              placeId: freeId('place', rig.places),
              place: { name: `Place ${places.length + 1}` },
            })
          }
        >
          Add a place
        </Button>

        <Text as="h2" fontSize="lg" fontWeight="600" mt="6" mb="2">
          The rig
        </Text>
        <NameField
          label="Name of the rig"
          value={rig.name}
          onCommit={(name) => run({ type: 'renameRig', name })}
        />
        <NotesField notes={rig.notes} onCommit={(notes) => run({ type: 'writeNotes', notes })} />
      </Box>
    </Box>
  );
};
