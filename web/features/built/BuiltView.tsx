'use client';

import { Box, Button, Field, Flex, Input, Text } from '@chakra-ui/react';
import { builtFollows, type BuiltLine, builtLines, type Found, nameSchema } from '@echo-loom/core';
import { useMemo, useRef, useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { FilterChoice } from '@/ui/FilterChoice';
import { toaster } from '@/ui/toaster';
import { useGrowing } from '@/ui/useGrowing';
import { BuiltRow } from './BuiltRow';
import { useLooker } from './useLooker';

const AT_A_TIME = 12;

interface Group {
  readonly owner: string;
  readonly lines: readonly BuiltLine[];
}

const grouped = (lines: readonly BuiltLine[]): Group[] => {
  const groups = new Map<string, BuiltLine[]>();
  for (const line of lines) groups.set(line.owner, [...(groups.get(line.owner) ?? []), line]);
  return [...groups].map(([owner, its]) => ({ owner, lines: its }));
};

const PARTS = [
  ['settings', 'Settings'],
  ['cables', 'Cables'],
  ['places', 'Places'],
] as const;
const STATES = [
  ['open', 'Not looked at'],
  ['differs', 'Not as planned'],
  ['so', 'As planned'],
] as const;

/** The plan beside the real thing: somebody goes round, ticks what is so, and says what is not. */
export const BuiltView = () => {
  const rig = useRig((state) => state.rig);
  const { run } = useRigSession();
  const [looker, setLooker] = useLooker();
  const [part, setPart] = useState<string | null>(null);
  const [state, setState] = useState<string | null>(null);
  const [query, setQuery] = useState('');
  const nameField = useRef<HTMLInputElement>(null);
  const lines = useMemo(() => builtLines(rig), [rig]);
  const differing = lines.filter((line) => line.state === 'differs');
  const open = lines.filter((line) => line.state === 'open').length;
  const shown = lines.filter(
    (line) =>
      (state === null ? line.state !== 'differs' : line.state === state) &&
      (part === null || line.part === part || (part === 'places' && line.part === 'supports')) &&
      `${line.owner} ${line.what} ${line.plan}`.toLowerCase().includes(query.toLowerCase()),
  );
  const groups = grouped(shown);
  const drawn = useGrowing(groups.length, AT_A_TIME, `${part ?? ''} ${state ?? ''} ${query}`);

  /** Does something in the name of whoever looks; asks for it first where it is not known. */
  const inName = (perform: (by: string, when: string) => void) => {
    const by = nameSchema.safeParse(looker);
    if (by.success) {
      perform(by.data, new Date().toISOString());
      return;
    }
    toaster.create({ title: 'Say who looks first; it stands beside every tick.', closable: true });
    nameField.current?.focus();
  };
  const tick = (found: Found) => inName((by, when) => run({ type: 'tickBuilt', found, by, when }));
  const tickAll = ({ owner, lines: its }: Group) =>
    inName((by, when) =>
      run({
        type: 'batch',
        label: `${by} looked at all of ${owner}`,
        commands: its
          .filter((line) => line.state === 'open')
          .slice(0, 500)
          .map(({ toTick }) => ({ type: 'tickBuilt', found: toTick, by, when })),
      }),
    );
  const planFollows = ({ planFollows: commands, owner, what }: BuiltLine) =>
    run({
      type: 'batch',
      label: `Planned ${what} of ${owner} as it was found`,
      commands: [...commands],
    });
  const row = (line: BuiltLine) => (
    <BuiltRow
      key={`${line.part} ${line.key}`}
      rig={rig}
      line={line}
      onTick={tick}
      onUntick={() => run({ type: 'untickBuilt', part: line.part, key: line.key })}
      onPlanFollows={() => planFollows(line)}
      onBuiltFollows={() => inName((by, when) => run(builtFollows(rig, line, by, when)))}
    />
  );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="3" align="end" wrap="wrap" mb="3">
        <Text as="h2" fontSize="lg" fontWeight="600">
          As built
        </Text>
        <Text fontSize="sm" role="status">
          {lines.length - open} of {lines.length} looked at, {differing.length} not as planned.
        </Text>
        <Field.Root ms="auto" width="14rem" orientation="horizontal">
          <Field.Label fontSize="sm" whiteSpace="nowrap">
            Who looks
          </Field.Label>
          <Input
            ref={nameField}
            size="sm"
            maxLength={80}
            value={looker}
            onChange={({ target }) => setLooker(target.value)}
          />
        </Field.Root>
      </Flex>
      {lines.length === 0 && (
        <Text fontSize="sm">
          There is nothing to look at yet. Settings, cables and places stand here once the rig has
          devices.
        </Text>
      )}
      {differing.length > 0 && state === null && (
        <Box as="section" aria-label="Not as planned" mb="4">
          <Text as="h3" fontWeight="600">
            Not as planned
          </Text>
          <Text fontSize="sm" color="ink.soft">
            Take over either side: the plan follows what is there, or what is there was made as
            planned.
          </Text>
          {grouped(differing).map(({ owner, lines: its }) => (
            <Box key={owner} mt="1.5">
              <Text fontSize="sm" fontWeight="600">
                {owner}
              </Text>
              <Box as="ul" listStyleType="none">
                {its.map(row)}
              </Box>
            </Box>
          ))}
        </Box>
      )}
      {lines.length > 0 && (
        <Flex gap="2" wrap="wrap" mb="2" align="center">
          <Input
            size="sm"
            maxW="14rem"
            type="search"
            aria-label="Search what is looked at"
            placeholder="Search: device, knob, cable…"
            value={query}
            onChange={({ target }) => setQuery(target.value)}
          />
          <FilterChoice
            label="Part"
            all="Everything"
            value={part}
            options={PARTS}
            onChoose={setPart}
          />
          <FilterChoice
            label="State"
            all="Looked at or not"
            value={state}
            options={STATES}
            onChoose={setState}
          />
        </Flex>
      )}
      {groups.slice(0, drawn).map((group) => (
        <Box as="section" key={group.owner} aria-label={group.owner} mb="3">
          <Flex align="center" gap="3">
            <Text as="h3" fontWeight="600">
              {group.owner}
            </Text>
            {group.lines.some((line) => line.state === 'open') && (
              <Button
                size="xs"
                variant="outline"
                ms="auto"
                aria-label={`All of ${group.owner} is so`}
                onClick={() => tickAll(group)}
              >
                All of it is so
              </Button>
            )}
          </Flex>
          <Box as="ul" listStyleType="none">
            {group.lines.map(row)}
          </Box>
        </Box>
      ))}
    </Box>
  );
};
