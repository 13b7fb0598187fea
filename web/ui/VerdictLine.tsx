import { Flex, Text } from '@chakra-ui/react';
import type { Level, Verdict } from '@echo-loom/core';
import { LevelMark } from './LevelMark';

const PARTS: readonly { level: Level; key: keyof Verdict; one: string; many: string }[] = [
  { level: 'stop', key: 'stops', one: 'stop', many: 'stops' },
  { level: 'warn', key: 'warns', one: 'warning', many: 'warnings' },
  { level: 'note', key: 'notes', one: 'note', many: 'notes' },
];

/** The verdict in words and shapes; a tick where nothing was found. */
export const VerdictLine = ({ verdict }: { readonly verdict: Verdict }) => {
  const parts = PARTS.filter(({ key }) => verdict[key] > 0);
  return (
    <Flex
      gap="3"
      align="center"
      fontSize="sm"
      wrap="wrap"
      data-verdict={`${verdict.stops}/${verdict.warns}/${verdict.notes}`}
    >
      {parts.map(({ level, key, one, many }) => (
        <Flex key={level} align="center" gap="1.5">
          <LevelMark level={level} label="" />
          <Text as="span" whiteSpace="nowrap">
            {verdict[key]} {verdict[key] === 1 ? one : many}
          </Text>
        </Flex>
      ))}
      {parts.length === 0 && (
        <Flex align="center" gap="1.5">
          <LevelMark level="well" label="" />
          <Text as="span">Nothing found</Text>
        </Flex>
      )}
    </Flex>
  );
};
