'use client';

import { Box, Text } from '@chakra-ui/react';
import type { Analysis, PowerRules } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

/** What is asked of the mains and of what lasts. */
export const Asked = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { powerRules } = analysis.rig;
  const set = (rules: Partial<PowerRules>) => run({ type: 'setPowerRules', powerRules: rules });
  return (
    <Box as="section" aria-label="What is asked">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What is asked
      </Text>
      <NumberField
        label="Share of a breaker that may be used"
        unit="%"
        step={5}
        min={10}
        max={100}
        value={Math.round(powerRules.breakerShare * 100)}
        onCommit={(share) => share !== null && set({ breakerShare: share / 100 })}
      />
      <NumberField
        label="A supply that lasts carries the show for"
        unit="min"
        min={0}
        max={600}
        value={powerRules.lastsMin}
        onCommit={(lastsMin) => lastsMin !== null && set({ lastsMin })}
      />
      <NumberField
        label="A long day has"
        unit="h"
        min={1}
        max={24}
        value={powerRules.dayH}
        onCommit={(dayH) => dayH !== null && set({ dayH })}
      />
      <NumberField
        mayBeUnknown
        label="Changes of air an hour with the ventilation off"
        unit="/h"
        step={0.1}
        min={0.05}
        max={50}
        value={powerRules.airChanges}
        onCommit={(airChanges) => set({ airChanges })}
      />
    </Box>
  );
};
