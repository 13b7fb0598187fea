'use client';

import { Button, Flex, IconButton, Text } from '@chakra-ui/react';
import { CircleHelp, Redo2, Search, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { useLoomView } from '@/features/loom/view';
import { ThemeButton } from '@/ui/ThemeButton';
import { VerdictLine } from '@/ui/VerdictLine';
import { useRig, useRigSession } from './RigProvider';
import type { SaveState } from './session';

const SAVE_WORDS: Readonly<Record<SaveState['state'], string>> = { saved: 'Saved', saving: 'Saving…', waiting: 'Not saved yet', gone: 'Deleted' };

/** Rig name, verdict, saved state, undo and redo: always in sight. */
export const TopLine = ({ rigId }: { readonly rigId: string }) => {
  const session = useRigSession();
  const name = useRig((state) => state.rig.name);
  const verdict = useRig((state) => state.analysis.verdict);
  const save = useRig((state) => state.save);
  const undo = useRig((state) => state.undo);
  const open = useLoomView((view) => view.open);
  const nextUndo = undo.undo.at(-1);
  const nextRedo = undo.redo.at(-1);
  return (
    <Flex as="header" align="center" gap="3" px="3" minH="12" borderBottomWidth="1px" borderColor="rule" wrap="wrap" data-rig={rigId}>
      <Button asChild size="sm" variant="ghost" px="2"><Link href="/" prefetch={false}>Shelf</Link></Button>
      <Text as="h1" fontWeight="600" fontSize="lg" truncate maxW="34ch">{name}</Text>
      <VerdictLine verdict={verdict} />
      <Text fontSize="sm" color={save.state === 'waiting' || save.state === 'gone' ? 'level.stop' : 'ink.soft'} role="status" aria-live="polite" data-save={save.state}>{SAVE_WORDS[save.state]}</Text>
      <Flex ml="auto" gap="1" className="screen-only">
        <IconButton size="sm" variant="ghost" aria-label="Undo" title={nextUndo ? `Undo: ${nextUndo.says}` : 'Nothing to undo'} disabled={!nextUndo} onClick={session.undo}><Undo2 size={16} /></IconButton>
        <IconButton size="sm" variant="ghost" aria-label="Redo" title={nextRedo ? `Redo: ${nextRedo.says}` : 'Nothing to redo'} disabled={!nextRedo} onClick={session.redo}><Redo2 size={16} /></IconButton>
        <Button size="sm" variant="ghost" px="2" onClick={() => open('commands')}><Search size={15} /> Find <Text as="kbd" fontSize="xs" color="ink.soft">Ctrl K</Text></Button>
        <ThemeButton />
        <IconButton size="sm" variant="ghost" aria-label="Keys" onClick={() => open('keys')}><CircleHelp size={16} /></IconButton>
      </Flex>
    </Flex>
  );
};
