'use client';

import { shelfDo } from '@/features/shelf/door';
import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { type Answers, answersSchema, DEFAULT_HOUSE_RULES, HOUSE_QUESTIONS } from '@echo-loom/core';
import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type FieldErrors, FormProvider, useForm } from 'react-hook-form';
import { Part, PeopleQuestions, SightQuestions } from './NewRigParts';
import { CheckAnswer, ChooseAnswer, NumberAnswer, TextAnswer } from './answers';
import { CUTS, DELIVERABLES, FORMS, ROOMS, SWITCHERS } from './words';

interface Props {
  readonly pointName: string;
  readonly about: string;
  readonly answers: Answers;
}

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
          <PeopleQuestions />
          <SightQuestions />
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
