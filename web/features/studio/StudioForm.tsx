'use client';

import { Box, Button, Field, Flex, Heading, Text, Textarea } from '@chakra-ui/react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { shelfDo } from '@/features/shelf/door';
import {
  currencySchema,
  lengthsSchema,
  mainsNameSchema,
  paperSchema,
  type Studio,
  studioSchema,
} from '@echo-loom/core';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { toaster } from '@/ui/toaster';

const named = (values: readonly string[]) => values.map((value) => ({ value, label: value }));
const LENGTH_WORDS = { m: 'Metres', ft: 'Feet and inches' } as const;

/** Everything a studio settles once, each saved as it is said; what changes a figure goes into new rigs only. */
export const StudioForm = ({ studio }: { readonly studio: Studio }) => {
  const router = useRouter();
  const [now, setNow] = useState(studio);
  const [places, setPlaces] = useState(studio.places.join('\n'));
  const [problem, setProblem] = useState<string | null>(null);
  const [isSaving, startTransition] = useTransition();

  const settle = (part: Partial<Studio>) => {
    const before = now;
    setNow({ ...now, ...part });
    startTransition(async () => {
      const answer = await shelfDo({ does: 'settle', studio: part });
      if (!answer.ok) {
        setNow(before);
        toaster.create({ title: answer.says, type: 'error', closable: true });
      }
      router.refresh();
    });
  };
  const settlePlaces = () => {
    const lines = places
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    const parsed = studioSchema.shape.places.safeParse(lines);
    if (!parsed.success) {
      setProblem('At most 20 names, each of at most 80 letters.');
      return;
    }
    setProblem(null);
    if (parsed.data.join('\n') !== now.places.join('\n')) settle({ places: parsed.data });
  };

  return (
    <Box maxW="720px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="4">
        <Button asChild size="sm" variant="ghost" px="2">
          <Link href="/" prefetch={false}>
            Shelf
          </Link>
        </Button>
        <Heading as="h1" size="xl">
          Studio
        </Heading>
        <Text fontSize="sm" color="ink.soft" role="status">
          {isSaving ? 'Saving…' : 'Saved'}
        </Text>
      </Flex>
      <Box as="main">
        <Box as="section" aria-labelledby="into-new" mb="6">
          <Heading as="h2" size="md" id="into-new">
            Copied into new rigs
          </Heading>
          <Text fontSize="sm" color="ink.soft" mb="3">
            A rig keeps what it was made with. Change it there, under House rules, Sound and People.
          </Text>
          <Flex direction="column" gap="2">
            <ChoiceField
              label="Mains of the studio"
              value={now.mains ?? ''}
              options={[{ value: '', label: 'Not said' }, ...named(mainsNameSchema.options)]}
              onChoose={(name) => {
                const parsed = mainsNameSchema.safeParse(name);
                settle({ mains: parsed.success ? parsed.data : null });
              }}
            />
            <NumberField
              label="Temperature of the air"
              mayBeUnknown
              unit="°C"
              value={now.temperatureC}
              min={-20}
              max={50}
              step={1}
              onCommit={(temperatureC) => settle({ temperatureC })}
            />
            <Field.Root invalid={problem !== null}>
              <Field.Label>Places of the house, one a line</Field.Label>
              <Textarea
                rows={5}
                value={places}
                placeholder={'Boat shed\nControl corner'}
                onChange={({ target }) => setPlaces(target.value)}
                onBlur={settlePlaces}
              />
              <Field.ErrorText>{problem}</Field.ErrorText>
            </Field.Root>
          </Flex>
        </Box>
        <Box as="section" aria-labelledby="everywhere">
          <Heading as="h2" size="md" id="everywhere" mb="3">
            In every rig
          </Heading>
          <Flex direction="column" gap="2">
            <ChoiceField
              label="Currency of the studio"
              value={now.currency}
              options={named(currencySchema.options)}
              onChoose={(code) => {
                const parsed = currencySchema.safeParse(code);
                if (parsed.success) settle({ currency: parsed.data });
              }}
            />
            <ChoiceField
              label="Lengths on plans"
              value={now.lengths}
              options={lengthsSchema.options.map((value) => ({
                value,
                label: LENGTH_WORDS[value],
              }))}
              onChoose={(value) => {
                const parsed = lengthsSchema.safeParse(value);
                if (parsed.success) settle({ lengths: parsed.data });
              }}
            />
            <ChoiceField
              label="Paper"
              value={now.paper}
              options={named(paperSchema.options)}
              onChoose={(name) => {
                const parsed = paperSchema.safeParse(name);
                if (parsed.success) settle({ paper: parsed.data });
              }}
            />
          </Flex>
        </Box>
      </Box>
    </Box>
  );
};
