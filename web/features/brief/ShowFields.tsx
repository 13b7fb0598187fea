'use client';

import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Box, Flex } from '@chakra-ui/react';
import { type Brief, SWITCHED_BY } from '@echo-loom/core';
import { DeliverableFields } from './DeliverableFields';
import { ShowHeading } from './ShowHeading';
import { SightFields } from './SightFields';
import { CUTS, FORMS, oneOf, ROOMS, SWITCHERS } from './words';

/** The answers of the brief, each editable where it stands. */
export const ShowFields = ({ brief }: { readonly brief: Brief }) => {
  const { run } = useRigSession();
  const write = (changes: Partial<Omit<Brief, 'sights' | 'deliverables'>>) =>
    run({ type: 'writeBrief', brief: changes });
  return (
    <Box>
      <ShowHeading>The show</ShowHeading>
      <Flex direction="column" gap="1.5">
        <ChoiceField
          label="Form"
          value={brief.form}
          options={FORMS}
          onChoose={(value) => write({ form: oneOf(['live', 'recorded', 'both'] as const, value) })}
        />
        <ChoiceField
          label="Cut"
          value={brief.cut}
          options={CUTS}
          onChoose={(value) =>
            write({ cut: oneOf(['long form', 'clips', 'long form and clips'] as const, value) })
          }
        />
        <NumberField
          label="Length"
          unit="min"
          value={brief.lengthMin}
          min={1}
          max={1440}
          step={5}
          onCommit={(value) => value !== null && write({ lengthMin: value })}
        />
        <NumberField
          label="Shows a month"
          unit=""
          value={brief.showsPerMonth}
          min={0}
          max={200}
          onCommit={(value) => value !== null && write({ showsPerMonth: value })}
        />
        <ChoiceField
          label="Who switches"
          value={brief.switchedBy}
          options={SWITCHERS}
          onChoose={(value) => write({ switchedBy: oneOf(SWITCHED_BY, value) })}
        />
        <NumberField
          label="Set-up time allowed"
          unit="min"
          value={brief.setUpMin}
          min={0}
          max={1440}
          step={5}
          onCommit={(value) => value !== null && write({ setUpMin: value })}
        />
        <NumberField
          label="Line out of the building"
          unit="Mb/s"
          mayBeUnknown
          value={brief.uplinkMbps}
          min={0.1}
          max={100000}
          onCommit={(value) => write({ uplinkMbps: value })}
        />
        <ChoiceField
          label="Room"
          value={brief.room}
          options={ROOMS}
          onChoose={(value) => write({ room: oneOf(['shared', 'fixed'] as const, value) })}
        />
      </Flex>

      <SightFields brief={brief} />
      <DeliverableFields brief={brief} />
    </Box>
  );
};
