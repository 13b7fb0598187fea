'use client';

import { itemOf, useLoomView } from '@/features/chosen/view';
import { useRig } from '@/features/rig/RigProvider';
import { Box, Button, Flex, NativeSelect, Text } from '@chakra-ui/react';
import {
  type Analysis,
  AREA_IDS,
  AREAS,
  type Cause,
  findingKey,
  type Level,
} from '@echo-loom/core';
import { useRouter } from 'next/navigation';
import { memo, useMemo, useState } from 'react';
import { FilterChoice } from '@/ui/FilterChoice';
import { useGrowing } from '@/ui/useGrowing';
import { AsideList } from './AsideList';
import { FindingCard } from './FindingCard';
import { FreePanel } from './FreePanel';
import { TodoList } from './TodoList';

const AREA_OPTIONS = AREA_IDS.map((area) => [area, AREAS[area]] as const);
const LEVELS: readonly (readonly [Level, string])[] = [
  ['stop', 'Stops'],
  ['warn', 'Warnings'],
  ['note', 'Notes'],
];

/** So many cards are drawn at a time. */
const AT_A_TIME = 3;

interface CardProps {
  readonly rigId: string;
  readonly analysis: Analysis;
  readonly cause: Cause;
}

/** A finding with the way to its place on the loom. Drawn once, however many more come below it. */
const Card = memo(({ rigId, analysis, cause }: CardProps) => {
  const { finding } = cause;
  const select = useLoomView((view) => view.select);
  const router = useRouter();
  const item = itemOf(analysis, finding);
  return (
    // Laid out for itself: there are dozens, and each grows as its remedies come.
    <Box contain="layout style">
      <FindingCard analysis={analysis} finding={finding} cause={cause} />
      {item && (
        <Button
          size="xs"
          variant="plain"
          px="1"
          textDecoration="underline"
          color="ink.soft"
          onClick={() => {
            select(item);
            router.push(`/rigs/${rigId}`);
          }}
        >
          Show on the loom
        </Button>
      )}
    </Box>
  );
});
Card.displayName = 'Card';

interface Props {
  readonly rigId: string;
  /** The finding somebody came for, as `findingKey` gives it: it stands first */
  readonly asked?: string | null;
}

/** Every finding, worst first, filtered by area and level, with its fixes. */
export const FindingsView = ({ rigId, asked = null }: Props) => {
  const analysis = useRig((state) => state.analysis);
  const [area, setArea] = useState<string | null>(null);
  const [level, setLevel] = useState<string | null>(null);
  const [by, setBy] = useState<'level' | 'doing'>('level');
  const isAsked = ({ finding }: Cause): boolean => findingKey(finding) === asked;
  const listed = useMemo(
    () =>
      analysis.causes.filter(
        ({ finding }) =>
          (area === null || finding.area === area) && (level === null || finding.level === level),
      ),
    [analysis, area, level],
  );
  // What somebody came for stands first.
  const causes = [...listed.filter(isAsked), ...listed.filter((cause) => !isAsked(cause))];
  const drawn = useGrowing(causes.length, AT_A_TIME, `${area ?? ''} ${level ?? ''} ${asked ?? ''}`);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="3" align="center" mb="4" wrap="wrap">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Findings
        </Text>
        <NativeSelect.Root size="sm" width="11.875rem">
          <NativeSelect.Field
            aria-label="Findings by"
            value={by}
            onChange={({ target }) => setBy(target.value === 'doing' ? 'doing' : 'level')}
          >
            <option value="level">By how bad they are</option>
            <option value="doing">By what to do</option>
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        <FilterChoice
          label="Level"
          all="Level: all"
          value={level}
          options={LEVELS}
          onChoose={setLevel}
        />
        <FilterChoice
          label="Area"
          all="Area: all"
          value={area}
          options={AREA_OPTIONS}
          onChoose={setArea}
        />
        <Text fontSize="sm" color="ink.soft">
          {causes.length} of {analysis.causes.length}
        </Text>
      </Flex>
      {analysis.causes.length > 0 && <FreePanel analysis={analysis} />}
      {by === 'doing' && <TodoList analysis={analysis} causes={listed} />}
      {causes.length === 0 && (
        <Text>
          {analysis.causes.length === 0
            ? 'Nothing found. The rig does what it says.'
            : 'Nothing of this kind. Choose another level or area.'}
        </Text>
      )}
      {by === 'level' && (
        <Flex direction="column" gap="3" maxW="760px">
          {causes.slice(0, drawn).map((cause, index) => (
            <Card
              key={`${cause.finding.code} ${index}`}
              rigId={rigId}
              analysis={analysis}
              cause={cause}
            />
          ))}
        </Flex>
      )}
      <AsideList analysis={analysis} />
    </Box>
  );
};
