'use client';

import { Box, Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type Cause, type Doing, DOINGS, findingKey } from '@echo-loom/core';
import { useState } from 'react';
import { useMoney } from '@/features/rig/Studio';
import { LevelMark } from '@/ui/LevelMark';
import { ChosenBar } from './ChosenBar';
import { type BestOffer, useBestOffers } from './useBestOffers';

const HEADINGS: Readonly<Record<Doing, string>> = {
  turn: 'Turn a knob or a switch',
  write: 'Decide, and write it down',
  plug: 'Plug something',
  move: 'Move something',
  buy: 'Buy or fetch something',
};

interface Row {
  readonly key: string;
  readonly cause: Cause;
  readonly best: BestOffer;
}

interface Props {
  readonly analysis: Analysis;
  readonly causes: readonly Cause[];
}

/** The findings by what is to be done about them, each with its best remedy, to be chosen and done together. */
export const TodoList = ({ analysis, causes }: Props) => {
  const money = useMoney();
  const found = useBestOffers(analysis, causes);
  const [kept, setKept] = useState<{ analysis: Analysis; keys: ReadonlySet<string> } | null>(null);
  const chosen = kept?.analysis === analysis ? kept.keys : new Set<string>();
  const choose = (keys: readonly string[], isOn: boolean) => {
    const next = new Set(chosen);
    for (const key of keys)
      if (isOn) next.add(key);
      else next.delete(key);
    setKept({ analysis, keys: next });
  };

  const keyOf = ({ finding }: Cause) => findingKey(finding);
  const rows = causes.flatMap((cause): Row[] => {
    const best = found.get(keyOf(cause));
    return best ? [{ key: keyOf(cause), cause, best }] : [];
  });
  const waiting = causes.filter((cause) => !found.has(keyOf(cause))).length;
  const helpless = causes.filter((cause) => found.get(keyOf(cause)) === null);

  const line = ({ key, cause, best }: Row) => (
    <Checkbox.Root
      key={key}
      size="sm"
      display="flex"
      alignItems="start"
      py="1.5"
      borderTopWidth="1px"
      borderColor="rule"
      checked={chosen.has(key)}
      onCheckedChange={({ checked }) => choose([key], checked === true)}
    >
      <Checkbox.HiddenInput />
      <Checkbox.Control mt="1" />
      <Checkbox.Label fontWeight="400" flex="1">
        <Flex justify="space-between" gap="3">
          <Text as="span" fontSize="sm" fontWeight="600">
            {best.offer.fix.label}
          </Text>
          <Text as="span" fontSize="sm" className="figures" whiteSpace="nowrap">
            {best.offer.cost > 0
              ? money(best.offer.cost)
              : best.doing === 'buy'
                ? 'no price'
                : 'free'}
          </Text>
        </Flex>
        <Flex gap="1.5" align="center" fontSize="xs" color="ink.soft">
          <LevelMark level={cause.finding.level} size={11} label="" />
          {cause.title}
        </Flex>
      </Checkbox.Label>
    </Checkbox.Root>
  );

  return (
    <Box maxW="760px">
      {DOINGS.map((doing) => {
        const group = rows.filter(({ best }) => best.doing === doing);
        if (group.length === 0) return null;
        const cost = group.reduce((sum, { best }) => sum + Math.max(0, best.offer.cost), 0);
        const keys = group.map(({ key }) => key);
        const isAll = keys.every((key) => chosen.has(key));
        return (
          <Box as="section" key={doing} mb="5" aria-label={HEADINGS[doing]}>
            <Flex justify="space-between" align="center" mb="1">
              <Text as="h3" fontWeight="600">
                {HEADINGS[doing]}: {group.length}, {cost > 0 ? money(cost) : 'free'}
              </Text>
              <Button size="xs" variant="outline" onClick={() => choose(keys, !isAll)}>
                {isAll ? 'Choose none' : 'Choose all'}
              </Button>
            </Flex>
            {group.map(line)}
          </Box>
        );
      })}
      {waiting > 0 && (
        <Text fontSize="sm" color="ink.soft" role="status" mb="3">
          Trying what would help: {waiting} to go …
        </Text>
      )}
      {helpless.length > 0 && (
        <Box as="section" mb="5" aria-label="Nothing on offer helps">
          <Text as="h3" fontWeight="600" mb="1">
            Nothing on offer helps: {helpless.length}
          </Text>
          {helpless.map((cause) => (
            <Flex key={keyOf(cause)} gap="1.5" align="center" fontSize="sm" py="0.5">
              <LevelMark level={cause.finding.level} size={11} label="" />
              {cause.title}
            </Flex>
          ))}
        </Box>
      )}
      <ChosenBar
        analysis={analysis}
        chosen={rows
          .filter(({ key }) => chosen.has(key))
          .map(({ key, best }) => ({ key, fix: best.offer.fix }))}
        onClear={() => setKept(null)}
      />
    </Box>
  );
};
