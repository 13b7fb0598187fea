'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Answers, onSite } from '@echo-loom/core';
import type { ReactNode } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { ChooseAnswer, TextAnswer } from './answers';
import { PERSON_SHOTS, POSTURES, SIGHTS, WHERE } from './words';

/** Questions that belong together, under their heading. */
export const Part = ({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}) => (
  <Box as="fieldset" minW="0" borderTopWidth="1px" borderColor="rule" pt="2.5" pb="3">
    <Text as="legend" fontWeight="600" float="left" width="100%" mb="1.5">
      {title}
    </Text>
    <Flex direction="column" gap="1.5" clear="both">
      {children}
    </Flex>
  </Box>
);

/** Who is in the show, one by one. */
export const PeopleQuestions = () => {
  const { control } = useFormContext<Answers>();
  const people = useFieldArray({ control, name: 'people' });
  return (
    <Part title="Who is in it">
      {people.fields.map((field, index) => (
        <Box
          key={field.id}
          role="group"
          aria-label={`Person ${index + 1}`}
          borderWidth="1px"
          borderColor="rule"
          bg="paper.card"
          p="2.5"
        >
          <TextAnswer name={`people.${index}.name`} label={`Person ${index + 1}`} />
          <Flex gap="2" mt="1.5" wrap="wrap" align="center" justify="flex-end">
            <ChooseAnswer
              name={`people.${index}.where`}
              label={`Where person ${index + 1} is`}
              options={WHERE}
              isBare
            />
            <ChooseAnswer
              name={`people.${index}.posture`}
              label={`How person ${index + 1} moves`}
              options={POSTURES}
              isBare
            />
            <ChooseAnswer
              name={`people.${index}.shot`}
              label={`Shot of person ${index + 1}`}
              options={PERSON_SHOTS}
              isBare
              mayBeNone
            />
            {people.fields.length > 1 && (
              <Button size="xs" variant="outline" onClick={() => people.remove(index)}>
                Remove
              </Button>
            )}
          </Flex>
        </Box>
      ))}
      {people.fields.length < 11 && (
        <Button
          size="sm"
          variant="outline"
          alignSelf="start"
          onClick={() => people.append(onSite(`Person ${people.fields.length + 1}`))}
        >
          Add a person
        </Button>
      )}
    </Part>
  );
};

/** What is to be seen besides faces. */
export const SightQuestions = () => {
  const { control } = useFormContext<Answers>();
  const sights = useFieldArray({ control, name: 'sights' });
  return (
    <Part title="To be seen besides faces">
      {sights.fields.map((field, index) => (
        <Flex key={field.id} gap="2" align="end" role="group" aria-label={`Sight ${index + 1}`}>
          <Box flex="1">
            <TextAnswer name={`sights.${index}.name`} label={`Sight ${index + 1}`} />
          </Box>
          <ChooseAnswer
            name={`sights.${index}.what`}
            label={`What sight ${index + 1} is`}
            options={SIGHTS}
            isBare
          />
          <Button size="xs" variant="outline" onClick={() => sights.remove(index)}>
            Remove
          </Button>
        </Flex>
      ))}
      {sights.fields.length < 8 && (
        <Button
          size="sm"
          variant="outline"
          alignSelf="start"
          onClick={() =>
            sights.append({ name: `Sight ${sights.fields.length + 1}`, what: 'table' })
          }
        >
          Add something to see
        </Button>
      )}
    </Part>
  );
};
