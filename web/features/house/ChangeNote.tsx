'use client';

import { useMoney } from '@/features/rig/Studio';
import { LevelMark } from '@/ui/LevelMark';
import { Box, Flex, Text } from '@chakra-ui/react';
import type { Difference, Finding, HouseQuestionKey } from '@echo-loom/core';

export interface Changed {
  readonly key: HouseQuestionKey;
  readonly school: string;
  readonly difference: Difference;
}

const FindingLines = ({
  title,
  findings,
}: {
  readonly title: string;
  readonly findings: readonly Finding[];
}) =>
  findings.length === 0 ? null : (
    <Box mt="1">
      <Text fontSize="xs" fontWeight="600">
        {title}
      </Text>
      {findings.map((finding, index) => (
        <Flex key={`${finding.code} ${index}`} gap="1.5" align="baseline">
          <LevelMark level={finding.level} size={11} />
          <Text fontSize="xs">{finding.says}</Text>
        </Flex>
      ))}
    </Box>
  );

/** What switching a school has changed, just now. */
export const ChangeNote = ({ difference }: { readonly difference: Difference }) => {
  const money = useMoney();
  const { gone, fresh, money: more, devices } = difference;
  const isNothing = gone.length + fresh.length === 0;
  return (
    <Box role="status" bg="madder.wash" borderLeftWidth="3px" borderColor="madder" p="2" mt="2">
      <Text fontSize="xs">
        {isNothing
          ? 'Nothing in the verdict changes for this rig.'
          : `${gone.length} ${gone.length === 1 ? 'finding' : 'findings'} gone, ${fresh.length} new.`}{' '}
        Money {more === 0 ? 'unchanged' : money(more)}, devices{' '}
        {devices === 0 ? 'unchanged' : devices}.
      </Text>
      <FindingLines title="Gone" findings={gone} />
      <FindingLines title="New" findings={fresh} />
    </Box>
  );
};
