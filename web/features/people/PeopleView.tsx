'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { freeId, inOrder, USUAL_INSTRUMENTS, USUAL_PERSON } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { Reminders } from '@/features/sheet/Reminders';
import { NotesField } from './NotesField';
import { PersonCard } from './PersonCard';

/** Who is in the show, what each needs, and where things stand. */
export const PeopleView = () => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const people = inOrder(rig.people);
  const places = inOrder(rig.places);
  const addInstrument = (name: string) => {
    const usual = USUAL_INSTRUMENTS.find((one) => one.name === name);
    if (usual)
      run({
        type: 'addPerson',
        personId: freeId(name, rig.people),
        person: {
          ...USUAL_PERSON,
          name,
          is: 'instrument',
          shot: null,
          speechDbSpl: usual.levelDbSpl,
          crestDb: usual.crestDb,
        },
      });
  };
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
          <PersonCard key={personId} personId={personId} person={person} />
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
        <Box mt="2" maxW="420px">
          <ChoiceField
            label="Add an instrument"
            value=""
            options={[
              { value: '', label: 'Choose…' },
              ...USUAL_INSTRUMENTS.map(({ name }) => ({ value: name, label: name })),
            ]}
            onChoose={addInstrument}
          />
        </Box>

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
        <Text fontSize="sm" mt="3" mb="1">
          Settings of the room to repeat
        </Text>
        <Reminders />
        <NotesField notes={rig.notes} onCommit={(notes) => run({ type: 'writeNotes', notes })} />
      </Box>
    </Box>
  );
};
