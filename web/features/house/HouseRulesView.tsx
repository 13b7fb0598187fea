'use client';

import { formatOptions } from '@/features/picture/words';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Box, Flex, RadioGroup, Text } from '@chakra-ui/react';
import {
  differenceOf,
  HOUSE_QUESTION_KEYS,
  HOUSE_QUESTIONS,
  type HouseQuestionKey,
  houseRulesSchema,
  mainsName,
  USUAL_MAINS,
} from '@echo-loom/core';
import { useState } from 'react';
import type { Changed } from './ChangeNote';
import { ChangeNote } from './ChangeNote';

const MAINS_OPTIONS = [
  { value: '', label: 'Not said' },
  ...USUAL_MAINS.map(mainsName).map((name) => ({ value: name, label: name })),
];

/** The questions on which good practitioners differ: the school this rig follows, why, and what it changes. */
export const HouseRulesView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [changed, setChanged] = useState<Changed | null>(null);
  const { houseRules: rules, brief, mains } = analysis.rig;
  const choose = (key: HouseQuestionKey, school: string) => {
    const parsed = houseRulesSchema.partial().safeParse({ [key]: school });
    if (!parsed.success || rules[key] === school) return;
    const command = { type: 'setHouseRules', rules: parsed.data } as const;
    const difference = differenceOf(analysis, command);
    if (run(command)) setChanged({ key, school, difference });
  };
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Box maxW="860px">
        <Text as="h2" fontSize="lg" fontWeight="600">
          House rules
        </Text>
        <Text fontSize="sm" color="ink.soft" mb="3">
          Where good practitioners differ, the rig follows one school. Every finding that depends on
          one names it. {brief === null && 'Most are judged only once the rig has a brief.'}
        </Text>
        <Flex direction="column" gap="1.5" mb="4" maxW="440px">
          <NumberField
            label="Least headroom at every stage"
            unit="dB"
            value={rules.headroomDb}
            min={0}
            max={40}
            onCommit={(value) =>
              value !== null && run({ type: 'setHouseRules', rules: { headroomDb: value } })
            }
          />
          <NumberField
            label="Least signal-to-noise ratio of a voice"
            unit="dB"
            value={rules.minimumSnrDb}
            min={0}
            max={120}
            onCommit={(value) =>
              value !== null && run({ type: 'setHouseRules', rules: { minimumSnrDb: value } })
            }
          />
          <NumberField
            label="Least a voice stands over the noise of the room"
            unit="dB"
            value={rules.voiceOverRoomDb}
            min={0}
            max={100}
            onCommit={(value) =>
              value !== null && run({ type: 'setHouseRules', rules: { voiceOverRoomDb: value } })
            }
          />
          <NumberField
            label="Warn above this share of a cable’s reach"
            unit="%"
            value={Math.round(rules.reachWarnShare * 100)}
            min={10}
            max={100}
            step={5}
            onCommit={(value) =>
              value !== null &&
              run({ type: 'setHouseRules', rules: { reachWarnShare: value / 100 } })
            }
          />
          <NumberField
            label="Use at most this share of the uplink"
            unit="%"
            value={Math.round(rules.uplinkShare * 100)}
            min={10}
            max={100}
            step={5}
            onCommit={(value) =>
              value !== null && run({ type: 'setHouseRules', rules: { uplinkShare: value / 100 } })
            }
          />
          <ChoiceField
            label="Pictures are wanted at"
            value={rules.chosenFormat}
            options={formatOptions(rules.chosenFormat)}
            onChoose={(chosenFormat) => run({ type: 'setHouseRules', rules: { chosenFormat } })}
          />
          <ChoiceField
            label="Mains where it stands"
            value={mains ? mainsName(mains) : ''}
            options={MAINS_OPTIONS}
            onChoose={(name) =>
              run({
                type: 'setMains',
                mains: USUAL_MAINS.find((usual) => mainsName(usual) === name) ?? null,
              })
            }
          />
          <NumberField
            label="Independent recordings of each voice"
            unit=""
            value={rules.recordingsOfVoice}
            min={1}
            max={5}
            isWhole
            onCommit={(value) =>
              value !== null && run({ type: 'setHouseRules', rules: { recordingsOfVoice: value } })
            }
          />
        </Flex>
        {HOUSE_QUESTION_KEYS.map((key) => {
          const { question, schools } = HOUSE_QUESTIONS[key];
          return (
            <Box
              key={key}
              id={key}
              as="section"
              borderTopWidth="1px"
              borderColor="rule"
              py="3"
              aria-label={question}
            >
              <RadioGroup.Root
                size="sm"
                value={rules[key]}
                onValueChange={({ value }) => value && choose(key, value)}
              >
                <RadioGroup.Label fontWeight="600" mb="1">
                  {question}
                </RadioGroup.Label>
                <Flex direction="column" gap="1.5">
                  {schools.map((school) => (
                    <RadioGroup.Item
                      key={school.value}
                      value={school.value}
                      alignItems="flex-start"
                    >
                      <RadioGroup.ItemHiddenInput />
                      <RadioGroup.ItemIndicator mt="1" />
                      <RadioGroup.ItemText>
                        <Text as="span" fontWeight={rules[key] === school.value ? '600' : '400'}>
                          {school.label}
                        </Text>
                        <Text
                          as="span"
                          display="block"
                          fontSize="xs"
                          color="ink.soft"
                          fontWeight="400"
                        >
                          {school.reason} {school.changes}
                        </Text>
                      </RadioGroup.ItemText>
                    </RadioGroup.Item>
                  ))}
                </Flex>
              </RadioGroup.Root>
              {changed?.key === key && changed.school === rules[key] && (
                <ChangeNote difference={changed.difference} />
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
};
