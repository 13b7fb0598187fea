'use client';

import { Button, Flex, IconButton, Text } from '@chakra-ui/react';
import { CircleHelp, Redo2, Search, Undo2 } from 'lucide-react';
import { useLoomView } from '@/features/chosen/view';
import { ThemeButton } from '@/ui/ThemeButton';
import { VerdictLine } from '@/ui/VerdictLine';
import { NextStep } from './NextStep';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import type { SaveState } from '@/session/state';
import { HeaderLine } from './HeaderLine';

const SAVE_WORDS: Readonly<Record<SaveState['state'], string>> = {
  saved: 'Saved',
  saving: 'Saving…',
  waiting: 'Not saved yet',
  gone: 'Deleted',
};

/** Counts of findings. Drawn again only when one of them changes. */
const Findings = () => {
  const stops = useRig((state) => state.analysis.verdict.stops);
  const warns = useRig((state) => state.analysis.verdict.warns);
  const notes = useRig((state) => state.analysis.verdict.notes);
  const aside = useRig((state) => state.analysis.aside.length);
  return (
    <>
      <VerdictLine verdict={{ stops, warns, notes }} />
      {aside > 0 && (
        <Text fontSize="sm" color="ink.soft" whiteSpace="nowrap">
          {aside} put aside
        </Text>
      )}
    </>
  );
};

/** What is not in the database is never called saved: an edit that was set aside counts as not saved. */
const Saved = () => {
  const state = useRig(({ save }) => save.state);
  const aside = useRig(({ setAside }) => setAside.length);
  const shown = state === 'saved' && aside > 0 ? 'aside' : state;
  const words =
    shown === 'aside' ? `${aside} ${aside === 1 ? 'edit' : 'edits'} set aside` : SAVE_WORDS[shown];
  const isGood = shown === 'saved' || shown === 'saving';
  return (
    <Text
      fontSize="sm"
      color={isGood ? 'ink.soft' : 'level.stop'}
      role="status"
      aria-live="polite"
      data-save={shown}
      className="screen-only"
    >
      {words}
    </Text>
  );
};

/** Undo and redo, each saying what it would take back or do again. */
const UndoButtons = () => {
  const session = useRigSession();
  const undo = useRig((state) => state.undo.undo.at(-1)?.says);
  const redo = useRig((state) => state.undo.redo.at(-1)?.says);
  const mayUndo = useRig((state) => state.may.undo);
  const mayRedo = useRig((state) => state.may.redo);
  return (
    <>
      <IconButton
        size="sm"
        variant="ghost"
        aria-label="Undo"
        title={undo === undefined ? (mayUndo ? 'Undo' : 'Nothing to undo') : `Undo: ${undo}`}
        disabled={!mayUndo}
        onClick={session.undo}
      >
        <Undo2 size={16} />
      </IconButton>
      <IconButton
        size="sm"
        variant="ghost"
        aria-label="Redo"
        title={redo === undefined ? (mayRedo ? 'Redo' : 'Nothing to redo') : `Redo: ${redo}`}
        disabled={!mayRedo}
        onClick={session.redo}
      >
        <Redo2 size={16} />
      </IconButton>
    </>
  );
};

/**
 * Rig name, verdict, saved state, what next, undo and redo: always in sight. Each part is drawn again by
 * itself, since every edit changes one of them.
 */
export const TopLine = ({ rigId }: { readonly rigId: string }) => {
  const name = useRig((state) => state.rig.name);
  const open = useLoomView((view) => view.open);
  return (
    <HeaderLine name={name} openRigId={rigId}>
      <Findings />
      <Saved />
      <NextStep rigId={rigId} />
      <Flex ml="auto" gap="1" className="screen-only">
        <UndoButtons />
        <Button size="sm" variant="ghost" px="2" onClick={() => open('commands')}>
          <Search size={15} /> Find{' '}
          <Text as="kbd" fontSize="xs" color="ink.soft">
            Ctrl K
          </Text>
        </Button>
        <ThemeButton />
        <IconButton size="sm" variant="ghost" aria-label="Keys" onClick={() => open('keys')}>
          <CircleHelp size={16} />
        </IconButton>
      </Flex>
    </HeaderLine>
  );
};
