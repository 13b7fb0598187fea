'use client';

import {
  type Answers,
  answersSchema,
  DEFAULT_HOUSE_RULES,
  type Mains,
  NO_STOCK,
  type Rig,
  rigToJson,
  settledIn,
  type Stock,
  type Studio,
  type Unmet,
} from '@echo-loom/core';
import { sendFile } from '@/features/shelf/door';
import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { Part, PeopleQuestions, SightQuestions } from './NewRigParts';
import { CheckAnswer, ChooseAnswer, NumberAnswer, TextAnswer } from './answers';
import { SearchProgress } from '@/ui/Searching';
import { HOUSE_ASKED, HOUSE_MORE, HouseAnswers } from './HouseAnswers';
import { firstProblem } from './first-problem';
import { UnmetAnswers } from './UnmetAnswers';
import { useBuilding } from './useBuilding';
import { BACKGROUNDS, CUTS, DELIVERABLES, FORMS, ROOMS, SWITCHERS, USUAL_ROOMS } from './words';

interface Props {
  readonly pointName: string;
  readonly about: string;
  readonly answers: Answers;
  /** What the studio stands on; it decides the rate where none is chosen */
  readonly mains: Mains | null;
  /** What else it hands to new rigs */
  readonly studio: Studio;
  /** What it has, to be taken before anything is bought */
  readonly stock: Stock;
}

const ASKED_DEFAULTS = Object.fromEntries(
  [...HOUSE_ASKED, ...HOUSE_MORE].map((key) => [key, DEFAULT_HOUSE_RULES[key]]),
);

/** A rig that is made but not yet kept, since some answers are not met in it. */
interface Made {
  readonly rig: Rig;
  readonly unmet: readonly Unmet[];
}

/**
 * A short conversation: who, what, how it goes out. Every answer has a default, and Enter makes the
 * rig at any time.
 */
export const NewRigForm = ({ pointName, about, answers, mains, studio, stock }: Props) => {
  const router = useRouter();
  const form = useForm<Answers>({
    resolver: zodResolver(answersSchema),
    defaultValues: {
      background: 'as it is',
      ...answers,
      houseRules: { ...ASKED_DEFAULTS, ...answers.houseRules },
    },
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  const [made, setMade] = useState<Made | null>(null);
  const [isTaking, setTaking] = useState(true);
  const building = useBuilding(mains, isTaking ? stock : NO_STOCK);
  const keep = async (built: Rig) => {
    const rig = settledIn(built, studio);
    const answer = await sendFile('/api/rigs/import', new File([rigToJson(rig)], 'rig.json'));
    if (answer.ok) router.push(`/rigs/${answer.id}`);
    else setRefusal(answer.says);
  };
  const submit = form.handleSubmit(
    async (given) => {
      setRefusal(null);
      setMade(null);
      const built = await building.begin(given);
      if (!built) return;
      if (!built.ok) setRefusal(built.why);
      else if (built.unmet.length > 0) setMade(built);
      else await keep(built.rig);
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
            <ChooseAnswer name="usualRoom" label="Its walls, to begin with" options={USUAL_ROOMS} />
            <ChooseAnswer name="background" label="Behind who is seen" options={BACKGROUNDS} />
            <NumberAnswer name="brief.budget" label="Budget; empty if not decided" mayBeNone />
            <NumberAnswer
              name="brief.uplinkMbps"
              label="Line out of the building, Mb/s upwards; empty if not measured"
              mayBeNone
            />
          </Part>
          {stock.things.length > 0 && (
            <Part title="What there is">
              <label>
                <input
                  type="checkbox"
                  checked={isTaking}
                  onChange={({ target }) => setTaking(target.checked)}
                />{' '}
                Take the studio’s own things first, at no cost
              </label>
            </Part>
          )}
          <HouseAnswers />
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
          {made && (
            <UnmetAnswers
              unmet={made.unmet}
              onKeep={() => keep(made.rig)}
              onChange={() => setMade(null)}
            />
          )}
          <SearchProgress
            at={building.at}
            label="Building, placing and proving it"
            onCancel={building.cancel}
          />
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
