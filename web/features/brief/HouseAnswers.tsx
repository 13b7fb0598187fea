import { Box, Flex } from '@chakra-ui/react';
import { HOUSE_QUESTIONS, WANTED_FORMATS } from '@echo-loom/core';
import { ChooseAnswer } from './answers';
import { Part } from './NewRigParts';

/** The schools that decide what is bought; the others are chosen later, among the house rules. */
export const HOUSE_ASKED = ['switching', 'microphones', 'captureSize', 'spareInputs'] as const;
/** Those that few shows answer otherwise. */
export const HOUSE_MORE = ['computers', 'soundRecorded', 'monitoring', 'prompter', 'cut'] as const;

/** The house rules a new rig asks for. */
export const HouseAnswers = () => (
  <Part title="House rules that decide what is bought">
    {HOUSE_ASKED.map((key) => (
      <ChooseAnswer
        key={key}
        name={`houseRules.${key}`}
        label={HOUSE_QUESTIONS[key].question}
        options={HOUSE_QUESTIONS[key].schools}
      />
    ))}
    <Box as="details" fontSize="sm">
      <Box as="summary" cursor="pointer" py="1">
        More of them: computers, sound, listening, prompter, rate
      </Box>
      <Flex direction="column" gap="1.5" pt="1">
        {HOUSE_MORE.map((key) => (
          <ChooseAnswer
            key={key}
            name={`houseRules.${key}`}
            label={HOUSE_QUESTIONS[key].question}
            options={HOUSE_QUESTIONS[key].schools}
          />
        ))}
        <ChooseAnswer
          name="houseRules.chosenFormat"
          label="Format of the pictures"
          options={WANTED_FORMATS}
          unanswered="As the mains says, sent at half the rate"
        />
      </Flex>
    </Box>
  </Part>
);
