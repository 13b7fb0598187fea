'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  SIZES,
  studySize,
  verdictText,
  type Analysis,
  type Size,
  type SizeStudy,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { LevelMark } from '@/ui/LevelMark';

/** What would break if everything ran at another size, found by trying it. */
export const SizeStudyPanel = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [tried, setTried] = useState<{
    readonly analysis: Analysis;
    readonly size: Size;
    readonly study: SizeStudy | null;
  } | null>(null);
  // What was tried on an older rig says nothing of this one.
  const shown = tried?.analysis === analysis ? tried : null;
  return (
    <Box mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600">
        Everything at another size
      </Text>
      <Flex gap="2" mt="1" align="center" wrap="wrap">
        {SIZES.map((size) => (
          <Button
            key={size}
            size="sm"
            variant="outline"
            onClick={() => setTried({ analysis, size, study: studySize(analysis, size) })}
          >
            Try {size}p throughout
          </Button>
        ))}
      </Flex>
      {shown && (
        <Box
          role="status"
          mt="2"
          bg="madder.wash"
          borderLeftWidth="3px"
          borderColor="madder"
          p="2.5"
        >
          {shown.study === null ? (
            <Text fontSize="sm">Everything that can stands at {shown.size}p already.</Text>
          ) : (
            <>
              <Text fontSize="sm" fontWeight="600">
                {shown.study.breaks.length === 0
                  ? `Nothing breaks at ${shown.size}p.`
                  : `${shown.study.breaks.length} ` +
                    `${shown.study.breaks.length === 1 ? 'place breaks' : 'places break'} at ` +
                    `${shown.size}p.`}{' '}
                Then: {verdictText(shown.study.after.verdict).toLowerCase()}.
              </Text>
              {shown.study.breaks.map((finding, index) => (
                <Flex key={`${finding.code} ${index}`} gap="1.5" align="baseline" mt="1">
                  <LevelMark level={finding.level} size={11} />
                  <Text fontSize="xs">{finding.says}</Text>
                </Flex>
              ))}
              <Button
                size="sm"
                mt="2"
                bg="madder"
                color="madder.ink"
                onClick={() =>
                  shown.study &&
                  run({
                    type: 'batch',
                    label: `Set everything to ${shown.size}p`,
                    commands: [...shown.study.commands],
                  })
                }
              >
                Set everything to {shown.size}p
              </Button>
            </>
          )}
        </Box>
      )}
    </Box>
  );
};
