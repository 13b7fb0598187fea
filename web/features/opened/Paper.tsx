'use client';

import { Box, Button, Flex, Heading, IconButton, Text } from '@chakra-ui/react';
import type { Area, Level, Verdict } from '@echo-loom/core';
import { CircleHelp, Redo2, Search, Undo2 } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { useState, useSyncExternalStore } from 'react';
import { LevelMark } from '@/ui/LevelMark';
import { ThemeButton } from '@/ui/ThemeButton';
import { VerdictLine } from '@/ui/VerdictLine';
import { useFrameKeys } from '@/features/rig/hotkeys';
import { type Press, usePressed } from '@/features/rig/pressed';
import { Drawer, Spine, viewAt, worstLevels } from './Spine';
import { HeaderLine } from './HeaderLine';

/** What the server knows of a rig without opening it. */
export interface RigFacts {
  readonly name: string;
  /** null while it is being worked out */
  readonly known: {
    readonly verdict: Verdict;
    readonly devices: number;
    readonly cables: number;
    readonly people: number;
    /** The worst of each area first */
    readonly found: readonly {
      readonly area: Area;
      readonly level: Level;
      readonly title: string;
      readonly says: string;
    }[];
  } | null;
}

const WORDS: Readonly<Record<Press, string>> = {
  undo: 'Undo',
  redo: 'Redo',
  commands: 'Find',
  keys: 'Keys',
};

/** Most findings written out. */
const SHOWN = 12;

const count = (number: number, one: string, many: string): string =>
  `${number} ${number === 1 ? one : many}`;

const never = () => () => undefined;

/** What is pressed here is kept, and done once the rig is open; it cannot be pressed before the page runs. */
const Buttons = ({ press }: { readonly press: (what: Press) => void }) => {
  const isRunning = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return <Keys press={press} isOff={!isRunning} />;
};

const Keys = ({
  press,
  isOff,
}: {
  readonly press: (what: Press) => void;
  readonly isOff: boolean;
}) => (
  <Flex ml="auto" gap="1" className="screen-only">
    <IconButton
      size="sm"
      variant="ghost"
      aria-label="Undo"
      disabled={isOff}
      onClick={() => press('undo')}
    >
      <Undo2 size={16} />
    </IconButton>
    <IconButton
      size="sm"
      variant="ghost"
      aria-label="Redo"
      disabled={isOff}
      onClick={() => press('redo')}
    >
      <Redo2 size={16} />
    </IconButton>
    <Button size="sm" variant="ghost" px="2" disabled={isOff} onClick={() => press('commands')}>
      <Search size={15} /> Find{' '}
      <Text as="kbd" fontSize="xs" color="ink.soft">
        Ctrl K
      </Text>
    </Button>
    <ThemeButton />
    <IconButton
      size="sm"
      variant="ghost"
      aria-label="Keys"
      disabled={isOff}
      onClick={() => press('keys')}
    >
      <CircleHelp size={16} />
    </IconButton>
  </Flex>
);

/** What is found where this view looks. */
const Found = ({ known }: { readonly known: NonNullable<RigFacts['known']> }) => {
  const view = viewAt(usePathname());
  const marks = view?.marks ?? 'all';
  const found = known.found.filter(({ area }) => marks === 'all' || marks.includes(area));
  return (
    <>
      <Text fontSize="sm" color="ink.soft" mb="3">
        {[
          count(known.devices, 'device', 'devices'),
          count(known.cables, 'cable', 'cables'),
          count(known.people, 'person', 'people'),
        ].join(', ')}
      </Text>
      <Box as="ul" listStyleType="none" maxW="80ch">
        {found.slice(0, SHOWN).map(({ area, level, title, says }) => (
          <Flex as="li" key={`${area} ${title} ${says}`} gap="2" mb="2" fontSize="sm">
            <Box pt="1" flex="none">
              <LevelMark level={level} />
            </Box>
            <Box>
              <Text fontWeight="600">{title}</Text>
              <Text>{says}</Text>
            </Box>
          </Flex>
        ))}
      </Box>
      {found.length > SHOWN && (
        <Text fontSize="sm" color="ink.soft">
          and {found.length - SHOWN} more
        </Text>
      )}
    </>
  );
};

/** A rig as the server knows it, to be read while it is being opened. */
export const Paper = ({
  rigId,
  facts: { name, known },
}: {
  readonly rigId: string;
  readonly facts: RigFacts;
}) => {
  const { waiting, press, keys } = usePressed();
  const then = [...waiting.map((what) => WORDS[what]), ...keys.map(({ key }) => key)];
  const [isOpen, setOpen] = useState(false);
  useFrameKeys(press);
  return (
    <Flex direction="column" height="100dvh" data-opening={rigId}>
      <HeaderLine name={name}>
        {known && <VerdictLine verdict={known.verdict} />}
        <Text fontSize="sm" color="ink.soft" role="status" className="screen-only">
          {then.length === 0 ? 'Opening…' : `Opening… then: ${then.join(', ')}`}
        </Text>
        <Buttons press={press} />
      </HeaderLine>
      <Drawer isOpen={isOpen} onTurn={() => setOpen(!isOpen)} />
      <Flex flex="1" minH="0" position="relative">
        <Spine
          rigId={rigId}
          levels={worstLevels(known?.found ?? [])}
          isOpen={isOpen}
          onGo={() => setOpen(false)}
        />
        {/* It scrolls, and may have nothing in it to go to by key. */}
        <Box as="main" flex="1" minW="0" overflowY="auto" p="4" tabIndex={0}>
          <Heading as="h2" size="md" mb="1">
            {viewAt(usePathname())?.name}
          </Heading>
          {known ? <Found known={known} /> : <Text fontSize="sm">It is being worked out…</Text>}
        </Box>
      </Flex>
    </Flex>
  );
};
