'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type Finding, type Size, SIZES, verdictText } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { LevelMark } from '@/ui/LevelMark';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';

const Findings = ({ findings }: { readonly findings: readonly Finding[] }) =>
  findings.map((finding, index) => (
    <Flex key={`${finding.code} ${index}`} gap="1.5" align="baseline" mt="1">
      <LevelMark level={finding.level} size={11} />
      <Text fontSize="xs">{finding.says}</Text>
    </Flex>
  ));

/** What would break if everything ran at another size, found by trying it. */
export const SizeStudyPanel = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [size, setSize] = useState<Size | null>(null);
  const search = useSearch({
    analysis,
    ask: (tasks) => (size === null ? Promise.resolve(null) : tasks.sizeStudy(size)),
  });
  const isDone = search.about === `${size}` && search.at.state === 'done';
  const study = search.at.state === 'done' ? search.at.value : null;
  return (
    <Box mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600">
        Everything at another size
      </Text>
      <Flex gap="2" mt="1" align="center" wrap="wrap">
        {SIZES.map((next) => (
          <Button
            key={next}
            size="sm"
            variant="outline"
            onClick={() => {
              setSize(next);
              search.start(`${next}`);
            }}
          >
            Try {next}p throughout
          </Button>
        ))}
      </Flex>
      <SearchProgress
        at={search.at}
        label={`Trying ${size ?? ''}p throughout`}
        onCancel={search.cancel}
      />
      {isDone && (
        <Box
          role="status"
          mt="2"
          bg="madder.wash"
          borderLeftWidth="3px"
          borderColor="madder"
          p="2.5"
        >
          {study === null ? (
            <Text fontSize="sm">Everything that can stands at {size}p already.</Text>
          ) : (
            <>
              <Text fontSize="sm" fontWeight="600">
                {study.breaks.length === 0
                  ? `Nothing breaks at ${size}p.`
                  : `${study.breaks.length} ` +
                    `${study.breaks.length === 1 ? 'place breaks' : 'places break'} at ` +
                    `${size}p.`}{' '}
                Then: {verdictText(study.after).toLowerCase()}.
              </Text>
              <Findings findings={study.breaks} />
              {study.makesLess.map((says) => (
                <Text key={says} fontSize="xs" mt="1" pl="4">
                  {says}
                </Text>
              ))}
              {study.behind.length > 0 && (
                <Box mt="2">
                  <Text fontSize="sm" fontWeight="600">
                    Behind these, once they are mended: {study.behind.length} more.
                  </Text>
                  <Findings findings={study.behind} />
                </Box>
              )}
              <Button
                size="sm"
                mt="2"
                bg="madder"
                color="madder.ink"
                onClick={() =>
                  run({
                    type: 'batch',
                    label: `Set everything to ${size}p`,
                    commands: [...study.commands],
                  })
                }
              >
                Set everything to {size}p
              </Button>
            </>
          )}
        </Box>
      )}
    </Box>
  );
};
