'use client';

import { Flex } from '@chakra-ui/react';
import type { Analysis, Area } from '@echo-loom/core';
import { memo } from 'react';
import { FindingCard } from './FindingCard';

interface Props {
  readonly analysis: Analysis;
  readonly areas: readonly Area[];
}

/** What is found in some areas, a cause once, beside the view that can mend it. */
export const FoundIn = memo(function FoundIn({ analysis, areas }: Props) {
  return (
    <Flex direction="column" gap="2.5">
      {analysis.causes
        .filter(({ finding }) => areas.includes(finding.area))
        .map((cause, index) => (
          <FindingCard
            key={`${cause.finding.code} ${index}`}
            analysis={analysis}
            finding={cause.finding}
          />
        ))}
    </Flex>
  );
});
