'use client';

import { Flex, Text } from '@chakra-ui/react';
import type { Level } from '@echo-loom/core';
import { type ReactNode, Suspense, useCallback, useEffect, useState } from 'react';
import { useLoomView } from '@/features/chosen/view';
import { CommandMenu } from '@/features/menu/CommandMenu';
import { KeysSheet } from '@/features/menu/KeysSheet';
import { WordsSheet } from '@/features/words/WordsSheet';
import type { RigState } from '@/session/state';
import { handKeysOver } from './early-keys';
import { useFrameKeys } from '@/features/rig/hotkeys';
import { Notices } from './Notices';
import { type Press, usePressed } from '@/features/rig/pressed';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Drawer, Spine, worstLevels } from './Spine';
import { TopLine } from './TopLine';

/** As one text: it stays the same through most edits, and then nothing is drawn again. */
const levelsText = ({ analysis }: RigState): string =>
  worstLevels(analysis.findings)
    .map((level) => level ?? '')
    .join(' ');

const LEVELS: readonly Level[] = ['stop', 'warn', 'note'];

/** Stands behind a view: it is there once the view is, and answers to its keys. */
const ViewIsThere = () => {
  useEffect(handKeysOver, []);
  return null;
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
  const levels = useRig(levelsText)
    .split(' ')
    .map((text) => LEVELS.find((level) => level === text));
  const press = useCallback(
    (what: Press): void => {
      if (what === 'undo') session.undo();
      else if (what === 'redo') session.redo();
      else open(what);
    },
    [session, open],
  );
  useFrameKeys(press);
  const take = usePressed((pressed) => pressed.take);
  useEffect(() => take().forEach(press), [take, press]);

  return (
    <Flex direction="column" height="100dvh" css={{ '@media print': { height: 'auto' } }}>
      <TopLine rigId={rigId} />
      <Notices />
      <Drawer isOpen={isOpen} onTurn={() => setOpen(!isOpen)} />
      <Flex flex="1" minH="0" position="relative">
        <Spine rigId={rigId} levels={levels} isOpen={isOpen} onGo={() => setOpen(false)} />
        <Flex as="main" flex="1" minW="0" position="relative" direction="column">
          <Suspense
            fallback={
              <Text role="status" p="4" fontSize="sm" color="ink.soft">
                Opening the view…
              </Text>
            }
          >
            {children}
            <ViewIsThere />
          </Suspense>
        </Flex>
      </Flex>
      {dialog === 'commands' && <CommandMenu rigId={rigId} onClose={() => open(null)} />}
      {dialog === 'keys' && <KeysSheet onClose={() => open(null)} onWords={() => open('words')} />}
      {dialog === 'words' && <WordsSheet onClose={() => open(null)} />}
    </Flex>
  );
};
