'use client';

import { Box, Button, Flex, Link as ChakraLink, Text } from '@chakra-ui/react';
import type { Level } from '@echo-loom/core';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useLoomView } from '@/features/loom/view';
import { CommandMenu } from '@/features/menu/CommandMenu';
import { KeysSheet } from '@/features/menu/KeysSheet';
import { WordsSheet } from '@/features/words/WordsSheet';
import { LevelMark } from '@/ui/LevelMark';
import { Notices } from './Notices';
import { useRig, useRigSession } from './RigProvider';
import type { RigState } from '@/session/state';
import { TopLine } from './TopLine';
import { GROUPS, VIEWS } from './views';

/** Letters typed into a field are text, not commands; Ctrl with a letter is a command everywhere. */
const EVERYWHERE = { enableOnFormTags: true, preventDefault: true } as const;

/** In a text field undo belongs to the text; in a list, a box to tick or a choice it belongs to the rig. */
const isText = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && target.type !== 'radio' && target.type !== 'checkbox');
const OUTSIDE_TEXT = {
  enableOnFormTags: true,
  preventDefault: true,
  ignoreEventWhen: isText,
} as const;

const LEVELS: readonly Level[] = ['stop', 'warn', 'note'];

/**
 * The worst finding in each view, as one text: it stays the same through most edits, and then
 * nothing is drawn again.
 */
const worstLevels = ({ analysis }: RigState): string =>
  VIEWS.map(
    ({ marks }) =>
      (marks &&
        analysis.findings.find(({ area }) => marks === 'all' || marks.includes(area))?.level) ??
      '',
  ).join(' ');

interface SpineProps {
  readonly rigId: string;
  readonly onGo: () => void;
}

/** The order of the work in groups: every view, with the worst finding in it. */
const Spine = ({ rigId, onGo }: SpineProps) => {
  const pathname = usePathname();
  const levels = useRig(worstLevels).split(' ');
  return (
    <>
      {GROUPS.map(({ name: group, views }) => (
        <Box key={group} mb="2.5" role="group" aria-label={`Views: ${group}`}>
          <Text px="3" fontSize="xs" color="ink.soft" aria-hidden>
            {group}
          </Text>
          {views.map(({ name, path }) => {
            const href = `/rigs/${rigId}${path}`;
            const isHere = pathname === href;
            const index = VIEWS.findIndex((view) => view.path === path);
            const level = LEVELS.find((item) => item === levels[index]);
            return (
              <ChakraLink
                asChild
                key={path}
                display="flex"
                justifyContent="space-between"
                alignItems="center"
                px="3"
                py="1"
                minH="7"
                fontSize="sm"
                color="ink"
                borderLeftWidth="3px"
                borderColor={isHere ? 'madder' : 'transparent'}
                bg={isHere ? 'paper.deep' : undefined}
                fontWeight={isHere ? '600' : '400'}
                borderRadius="0"
                _hover={{ bg: 'paper.deep', textDecoration: 'none' }}
              >
                <Link
                  href={href}
                  aria-current={isHere ? 'page' : undefined}
                  aria-label={name}
                  prefetch={false}
                  onClick={onGo}
                >
                  {name}
                  {level && <LevelMark level={level} size={12} label="" />}
                </Link>
              </ChakraLink>
            );
          })}
        </Box>
      ))}
    </>
  );
};

/** Where there is no room for the spine: the name of the view, which opens it. */
const Drawer = ({ isOpen, onTurn }: { readonly isOpen: boolean; readonly onTurn: () => void }) => {
  const pathname = usePathname();
  const { path: here } = VIEWS.find(({ path }) => path !== '' && pathname.endsWith(path)) ?? {
    path: '',
  };
  return (
    <Button
      display={{ base: 'flex', md: 'none' }}
      className="screen-only"
      variant="ghost"
      size="sm"
      width="100%"
      justifyContent="start"
      borderRadius="0"
      borderBottomWidth="1px"
      borderColor="rule"
      aria-expanded={isOpen}
      onClick={onTurn}
    >
      {`Views · ${VIEWS.find(({ path }) => path === here)?.name ?? ''}`}
    </Button>
  );
};

/** The page round every view of a rig: top line, spine, notices, and the keys that work everywhere. */
export const Frame = ({
  rigId,
  children,
}: {
  readonly rigId: string;
  readonly children: ReactNode;
}) => {
  const session = useRigSession();
  const { dialog, open } = useLoomView();
  const [isOpen, setOpen] = useState(false);
  useHotkeys('mod+k', () => open('commands'), EVERYWHERE);
  useHotkeys('mod+z', () => session.undo(), OUTSIDE_TEXT);
  useHotkeys('mod+shift+z, mod+y', () => session.redo(), OUTSIDE_TEXT);
  useHotkeys('shift+slash, ?', () => open('keys'), { useKey: true });

  return (
    <Flex direction="column" height="100dvh" css={{ '@media print': { height: 'auto' } }}>
      <TopLine rigId={rigId} />
      <Notices />
      <Drawer isOpen={isOpen} onTurn={() => setOpen(!isOpen)} />
      <Flex flex="1" minH="0" position="relative">
        <Box
          as="nav"
          aria-label="Views of the rig"
          width={{ base: '220px', md: '148px' }}
          display={{ base: isOpen ? 'block' : 'none', md: 'block' }}
          position={{ base: 'absolute', md: 'static' }}
          zIndex="docked"
          insetY="0"
          left="0"
          bg="paper"
          overflowY="auto"
          flex="none"
          borderRightWidth="1px"
          borderColor="rule"
          pt="3"
          className="screen-only"
        >
          <Spine rigId={rigId} onGo={() => setOpen(false)} />
        </Box>
        <Flex as="main" flex="1" minW="0" position="relative" direction="column">
          {children}
        </Flex>
      </Flex>
      {dialog === 'commands' && <CommandMenu rigId={rigId} onClose={() => open(null)} />}
      {dialog === 'keys' && <KeysSheet onClose={() => open(null)} onWords={() => open('words')} />}
      {dialog === 'words' && <WordsSheet onClose={() => open(null)} />}
    </Flex>
  );
};
