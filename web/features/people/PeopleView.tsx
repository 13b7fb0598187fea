'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { DEFAULT_SPEECH, freeId, inOrder } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { NotesField } from './NotesField';

const SCHOOLS = [
  { value: 'average -18', label: 'Average −18 dBFS, peaks under −6', why: 'The usual school: enough level, room for a laugh.' },
  { value: 'average -20', label: 'Average −20 dBFS, peaks under −10', why: 'The cautious school: for loud or unpractised talkers.' },
] as const;

/** Who is in the show, where things stand, and the house rules the rig is judged by. */
export const PeopleView = () => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const rules = rig.houseRules;
  const people = inOrder(rig.people);
  const places = inOrder(rig.places);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Box maxW="620px">
        <Text as="h2" fontSize="lg" fontWeight="600">People</Text>
        <Text fontSize="sm" color="ink.soft" mb="2">A microphone is computed for the voice it is given to. Normal speech is 60 dB at 1 m, raised 66, relaxed 54; loud or unpractised talkers have a crest of 18 dB.</Text>
        {people.length === 0 && <Text fontSize="sm" mb="2">Nobody yet.</Text>}
        {people.map(([personId, person]) => (
          <Box key={personId} borderWidth="1px" borderColor="rule" bg="paper.card" p="3" mb="2" role="group" aria-label={person.name}>
            <Flex gap="3" align="end" mb="2">
              <Box flex="1"><NameField label="Name" value={person.name} onCommit={(name) => run({ type: 'changePerson', personId, person: { name } })} /></Box>
              <Button size="sm" variant="outline" aria-label={`Remove ${person.name}`} onClick={() => run({ type: 'removePerson', personId })}>Remove</Button>
            </Flex>
            <Flex direction="column" gap="1.5">
            <ChoiceField label="Where" value={person.where} options={[{ value: 'on site', label: 'On site' }, { value: 'remote', label: 'Remote' }]} onChoose={(where) => run({ type: 'changePerson', personId, person: { where: where === 'remote' ? 'remote' : 'on site' } })} />
            <NumberField label="Speech at 1 m" unit="dB" value={person.speechDbSpl} min={30} max={120} onCommit={(value) => value !== null && run({ type: 'changePerson', personId, person: { speechDbSpl: value } })} />
            <NumberField label="Crest, peak over average" unit="dB" value={person.crestDb} min={0} max={40} onCommit={(value) => value !== null && run({ type: 'changePerson', personId, person: { crestDb: value } })} />
            </Flex>
          </Box>
        ))}
        <Button size="sm" bg="madder" color="madder.ink" onClick={() => run({ type: 'addPerson', personId: freeId('person', rig.people), person: { name: `Person ${people.length + 1}`, where: 'on site', ...DEFAULT_SPEECH } })}>Add a person</Button>

        <Text as="h2" fontSize="lg" fontWeight="600" mt="6" mb="2">Places</Text>
        {places.map(([placeId, place]) => (
          <Flex key={placeId} gap="3" align="end" mb="2">
            <Box flex="1"><NameField label="Place" hideLabel value={place.name} onCommit={(name) => run({ type: 'renamePlace', placeId, name })} /></Box>
            <Button size="sm" variant="outline" aria-label={`Remove ${place.name}`} onClick={() => run({ type: 'removePlace', placeId })}>Remove</Button>
          </Flex>
        ))}
        <Button size="sm" variant="outline" onClick={() => run({ type: 'addPlace', placeId: freeId('place', rig.places), place: { name: `Place ${places.length + 1}` } })}>Add a place</Button>

        <Text as="h2" fontSize="lg" fontWeight="600" mt="6" mb="2">House rules</Text>
        <ChoiceField label="Recording level" width="290px" value={rules.recordingLevel} options={SCHOOLS} onChoose={(value) => run({ type: 'setHouseRules', rules: { recordingLevel: value === 'average -20' ? 'average -20' : 'average -18' } })} />
        <Text fontSize="xs" color="ink.soft" mb="2">{SCHOOLS.find(({ value }) => value === rules.recordingLevel)?.why}</Text>
        <NumberField label="Least headroom at every stage" unit="dB" value={rules.headroomDb} min={0} max={40} onCommit={(value) => value !== null && run({ type: 'setHouseRules', rules: { headroomDb: value } })} />
        <NumberField label="Least signal-to-noise ratio of a voice" unit="dB" value={rules.minimumSnrDb} min={0} max={120} onCommit={(value) => value !== null && run({ type: 'setHouseRules', rules: { minimumSnrDb: value } })} />
        <NumberField label="Warn above this share of a cable’s reach" unit="%" value={Math.round(rules.reachWarnShare * 100)} min={10} max={100} step={5} onCommit={(value) => value !== null && run({ type: 'setHouseRules', rules: { reachWarnShare: value / 100 } })} />

        <Text as="h2" fontSize="lg" fontWeight="600" mt="6" mb="2">The rig</Text>
        <NameField label="Name of the rig" value={rig.name} onCommit={(name) => run({ type: 'renameRig', name })} />
        <NotesField notes={rig.notes} onCommit={(notes) => run({ type: 'writeNotes', notes })} />
      </Box>
    </Box>
  );
};
