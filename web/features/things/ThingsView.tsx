'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { OwnThing, Thing, ThingFinding, Use } from '@echo-loom/core';
import Link from 'next/link';
import { useDeferredValue, useMemo, useState } from 'react';
import { PlainTable } from '@/ui/PlainTable';
import { StillReading } from '@/ui/StillReading';
import { useGrowing } from '@/ui/useGrowing';
import { ALL_THINGS, narrowedThings, whatText } from './search';
import { type ModelChoice, ThingForm } from './ThingForm';
import { ThingsFiles } from './ThingsFiles';
import { ThingsFilters } from './ThingsFilters';
import { ThingsFound } from './ThingsFound';
import { useThings } from './useThings';

interface Props {
  readonly things: readonly OwnThing[];
  readonly uses: readonly Use[];
  readonly findings: readonly ThingFinding[];
  readonly models: readonly ModelChoice[];
  readonly currency: string;
  readonly behind: number;
}

const AT_A_TIME = 100;

const Used = ({ uses }: { readonly uses: readonly Use[] }) => (
  <>
    {uses.map(({ rigId, rigName, itemId, itemName }) => (
      <Text key={`${rigId} ${itemId}`} fontSize="xs">
        <Link href={`/rigs/${rigId}`} prefetch={false} style={{ textDecoration: 'underline' }}>
          {rigName}
        </Link>
        , {itemName}
      </Text>
    ))}
  </>
);

/** Every thing of the studio once: what it is, how it is, where it lies, which rigs use it. */
export const ThingsView = ({ things, uses, findings, models, currency, behind }: Props) => {
  const perform = useThings();
  const [by, setBy] = useState(ALL_THINGS);
  const [open, setOpen] = useState<OwnThing | 'new' | null>(null);
  const deferred = useDeferredValue(by);
  const usesOf = useMemo(() => {
    const all = new Map<string, Use[]>();
    for (const use of uses) all.set(use.thingId, [...(all.get(use.thingId) ?? []), use]);
    return all;
  }, [uses]);
  const names = useMemo(() => new Map(models.map(({ value, label }) => [value, label])), [models]);
  const shown = useMemo(
    () => narrowedThings(things, usesOf, names, deferred),
    [things, usesOf, names, deferred],
  );
  const drawn = useGrowing(shown.length, AT_A_TIME, JSON.stringify(deferred));
  const save = async (own: OwnThing | null, thing: Thing | null): Promise<boolean> => {
    const name = thing?.name ?? own?.thing.name ?? '';
    const says = own
      ? thing
        ? `${name} is kept.`
        : `${name} is off the list.`
      : `${name} is on the list.`;
    const to = { id: own?.id ?? null, from: own?.version ?? 0, thing };
    return (await perform({ does: 'save', things: [to] }, says)).ok;
  };
  const paid = things.reduce(
    (sum, { thing }) => sum + (thing.had === 'owned' ? (thing.paid ?? 0) : 0),
    0,
  );
  const money = new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    maximumFractionDigits: 0,
  });
  return (
    <Box maxW="1180px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="4" wrap="wrap">
        <Button asChild size="sm" variant="ghost" px="2">
          <Link href="/" prefetch={false}>
            Shelf
          </Link>
        </Button>
        <Heading as="h1" size="xl">
          Things
        </Heading>
        <Flex ms="auto" gap="2" wrap="wrap">
          <ThingsFiles things={things} />
          <Button size="sm" bg="madder" color="madder.ink" onClick={() => setOpen('new')}>
            Add a thing
          </Button>
        </Flex>
      </Flex>
      <Box as="main">
        <StillReading rigs={behind} />
        {things.length === 0 ? (
          <Text fontSize="sm" mb="4">
            Nothing is listed yet. Add what you own, borrow and want, or take a list from a
            spreadsheet: “As CSV” gives an empty one with its headings. A new rig then takes what
            there is before it buys, and a thing that is wanted in two places on one day is found.
          </Text>
        ) : (
          <>
            <Text color="ink.soft" fontSize="sm" mb="3">
              {things.length} {things.length === 1 ? 'entry' : 'entries'}; paid for what is owned:{' '}
              {money.format(paid)}.
            </Text>
            <ThingsFound findings={findings} />
            <ThingsFilters by={by} onBy={setBy} shown={shown.length} of={things.length} />
            {shown.length === 0 ? (
              <Button size="sm" variant="outline" onClick={() => setBy(ALL_THINGS)}>
                Nothing fits all of that: show everything
              </Button>
            ) : (
              <PlainTable
                label="Things"
                headings={['Thing', 'What', 'Count', 'Had', 'Condition', 'Kept at', 'Used in', '']}
                lines={shown.slice(0, drawn).map((own) => ({
                  id: own.id,
                  head: (
                    <Button
                      variant="plain"
                      height="auto"
                      minH="24px"
                      p="0"
                      fontSize="sm"
                      fontWeight="600"
                      whiteSpace="normal"
                      textAlign="start"
                      textDecoration="underline"
                      onClick={() => setOpen(own)}
                    >
                      {own.thing.name}
                    </Button>
                  ),
                  cells: [
                    whatText(own.thing, names),
                    own.thing.count,
                    own.thing.backOn === null
                      ? own.thing.had
                      : `${own.thing.had} until ${own.thing.backOn}`,
                    own.thing.condition,
                    own.thing.keptAt ?? '–',
                    <Used key="used" uses={usesOf.get(own.id) ?? []} />,
                    <Button
                      key="off"
                      size="xs"
                      variant="ghost"
                      fontFamily="body"
                      aria-label={`Take ${own.thing.name} off the list`}
                      onClick={() => void save(own, null)}
                    >
                      Take off
                    </Button>,
                  ],
                }))}
              />
            )}
          </>
        )}
      </Box>
      {open !== null && (
        <ThingForm
          key={open === 'new' ? 'new' : open.id}
          own={open === 'new' ? null : open}
          models={models}
          onSave={(thing) => save(open === 'new' ? null : open, thing)}
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
};
