'use client';

import { Box, Flex, Link as ChakraLink } from '@chakra-ui/react';
import type { Level } from '@echo-loom/core';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useLoomView } from '@/features/loom/view';
import { CommandMenu } from '@/features/menu/CommandMenu';
import { KeysSheet } from '@/features/menu/KeysSheet';
import { LevelMark } from '@/ui/LevelMark';
import { Notices } from './Notices';
import { useRig, useRigSession } from './RigProvider';
import type { RigState } from '@/session/state';
import { TopLine } from './TopLine';
import { VIEWS } from './views';

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

/** The order of the work: every view, with the worst finding in it. */
const Spine = ({ rigId }: { readonly rigId: string }) => {
  const pathname = usePathname();
  const levels = useRig(worstLevels).split(' ');
  return (
    <>
      {VIEWS.map(({ name, path }, index) => {
        const href = `/rigs/${rigId}${path}`;
        const isHere = pathname === href;
        const level = LEVELS.find((item) => item === levels[index]);
        return (
          <ChakraLink
            asChild
            key={path}
            display="flex"
            justifyContent={{ base: 'center', md: 'space-between' }}
            alignItems="center"
            px={{ base: '1', md: '3' }}
            py="1.5"
            minH="8"
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
            >
              <Box as="span" display={{ base: 'none', md: 'inline' }}>
                {name}
              </Box>
              <Box as="span" display={{ base: 'inline', md: 'none' }} aria-hidden>
                {name.slice(0, 2)}
              </Box>
              {level && <LevelMark level={level} size={12} label="" />}
            </Link>
          </ChakraLink>
        );
      })}
    </>
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
  useHotkeys('mod+k', () => open('commands'), EVERYWHERE);
  useHotkeys('mod+z', () => session.undo(), OUTSIDE_TEXT);
  useHotkeys('mod+shift+z, mod+y', () => session.redo(), OUTSIDE_TEXT);
  useHotkeys('shift+slash, ?', () => open('keys'), { useKey: true });

  return (
    <Flex direction="column" height="100dvh" css={{ '@media print': { height: 'auto' } }}>
      <TopLine rigId={rigId} />
      <Notices />
      <Flex flex="1" minH="0" position="relative">
        <Box
          as="nav"
          aria-label="Views of the rig"
          width={{ base: '44px', md: '148px' }}
          flex="none"
          borderRightWidth="1px"
          borderColor="rule"
          pt="3"
          className="screen-only"
        >
          <Spine rigId={rigId} />
        </Box>
        <Flex as="main" flex="1" minW="0" position="relative" direction="column">
          {children}
        </Flex>
      </Flex>
      {dialog === 'commands' && <CommandMenu rigId={rigId} onClose={() => open(null)} />}
      {dialog === 'keys' && <KeysSheet onClose={() => open(null)} />}
    </Flex>
  );
};
