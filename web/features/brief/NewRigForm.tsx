'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  answersSchema,
  DEFAULT_HOUSE_RULES,
  HOUSE_QUESTIONS,
  onSite,
  type Answers,
} from '@echo-loom/core';
import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { FormProvider, useFieldArray, useForm, type FieldErrors } from 'react-hook-form';
import { shelfDo } from '@/features/shelf/door';
import { CheckAnswer, ChooseAnswer, NumberAnswer, TextAnswer } from './answers';
import {
  CUTS,
  DELIVERABLES,
  FORMS,
  PERSON_SHOTS,
  POSTURES,
  ROOMS,
  SIGHTS,
  SWITCHERS,
  WHERE,
} from './words';

interface Props {
  readonly pointName: string;
  readonly about: string;
  readonly answers: Answers;
}

const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <Box as="fieldset" borderTopWidth="1px" borderColor="rule" pt="2.5" pb="3">
    <Text as="legend" fontWeight="600" float="left" width="100%" mb="1.5">
      {title}
    </Text>
    <Flex direction="column" gap="1.5" clear="both">
      {children}
    </Flex>
  </Box>
);

/** The schools that decide what is bought; the others are chosen later, among the house rules. */
const HOUSE_ASKED = ['switching', 'microphones', 'captureSize', 'spareInputs'] as const;
const ASKED_DEFAULTS = Object.fromEntries(
  HOUSE_ASKED.map((key) => [key, DEFAULT_HOUSE_RULES[key]]),
);

/** The first thing wrong with the answers, in words. */
const firstProblem = (errors: FieldErrors): string | null => {
  for (const value of Object.values(errors)) {
    if (!value || typeof value !== 'object') continue;
    if ('message' in value && typeof value.message === 'string') return value.message;
    const inner = firstProblem(value as FieldErrors);
    if (inner) return inner;
  }
  return null;
};

/**
 * A short conversation: who, what, how it goes out. Every answer has a default, and Enter makes the
 * rig at any time.
 */
export const NewRigForm = ({ pointName, about, answers }: Props) => {
  const router = useRouter();
  const form = useForm<Answers>({
    resolver: zodResolver(answersSchema),
    defaultValues: { ...answers, houseRules: { ...ASKED_DEFAULTS, ...answers.houseRules } },
  });
  const people = useFieldArray({ control: form.control, name: 'people' });
  const sights = useFieldArray({ control: form.control, name: 'sights' });
  const [refusal, setRefusal] = useState<string | null>(null);
  const submit = form.handleSubmit(
    async (given) => {
      setRefusal(null);
      const answer = await shelfDo({ does: 'build', answers: given });
      if (answer.ok) router.push(`/rigs/${answer.id}`);
      else setRefusal(answer.says);
    },
    (errors) => setRefusal(firstProblem(errors) ?? 'Some answers are not complete.'),
  );
  return (
    <FormProvider {...form}>
      <Box as="main" maxW="680px" mx="auto" px="5" py="4">
        <Flex align="baseline" gap="3" mb="1">
          <Button asChild size="sm" variant="ghost" px="2">
            <Link href="/">Shelf</Link>
          </Button>
          <Heading as="h1" size="lg">
            {pointName}
          </Heading>
        </Flex>
        <Text fontSize="sm" color="ink.soft" mb="3">
          {about} Everything is answered already; change what is different in your show. The rig is
          computed from it, and all of it can be changed later.
        </Text>
        <form onSubmit={(event) => void submit(event)} noValidate>
          <Part title="The show">
            <TextAnswer name="name" label="Name of the rig" />
            <ChooseAnswer name="brief.form" label="Form" options={FORMS} />
            <ChooseAnswer name="brief.cut" label="Cut" options={CUTS} />
            <NumberAnswer name="brief.lengthMin" label="Length, minutes" />
            <ChooseAnswer
              name="brief.switchedBy"
              label="Who switches the pictures"
              options={SWITCHERS}
            />
          </Part>
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
          <Part title="To be seen besides faces">
            {sights.fields.map((field, index) => (
              <Flex
                key={field.id}
                gap="2"
                align="end"
                role="group"
                aria-label={`Sight ${index + 1}`}
              >
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
          <Part title="To be delivered">
            <Flex gap="4" wrap="wrap">
              {DELIVERABLES.map(({ value, label }) => (
                <CheckAnswer key={value} name="deliverables" value={value} label={label} />
              ))}
            </Flex>
          </Part>
          <Part title="Room and money">
            <NumberAnswer name="brief.setUpMin" label="Set-up time allowed, minutes" />
            <ChooseAnswer name="brief.room" label="Room" options={ROOMS} />
            <NumberAnswer name="brief.budget" label="Budget; empty if not decided" mayBeNone />
          </Part>
          <Part title="House rules that decide what is bought">
            {HOUSE_ASKED.map((key) => (
              <ChooseAnswer
                key={key}
                name={`houseRules.${key}`}
                label={HOUSE_QUESTIONS[key].question}
                options={HOUSE_QUESTIONS[key].schools}
              />
            ))}
          </Part>
          {refusal && (
            <Box
              role="alert"
              bg="madder.wash"
              borderLeftWidth="3px"
              borderColor="madder"
              p="2.5"
              mb="3"
              fontSize="sm"
            >
              {refusal}
            </Box>
          )}
          <Flex gap="2">
            <Button
              type="submit"
              bg="madder"
              color="madder.ink"
              loading={form.formState.isSubmitting}
            >
              Make the rig
            </Button>
            <Button asChild variant="outline">
              <Link href="/">Cancel</Link>
            </Button>
          </Flex>
        </form>
      </Box>
    </FormProvider>
  );
};
