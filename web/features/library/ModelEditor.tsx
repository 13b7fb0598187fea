'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { type Field, fieldsOf, type ModelDraft, type OwnModel, readModel } from '@echo-loom/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { toaster } from '@/ui/toaster';
import { libraryDo } from './door';
import { type Editing, EditingContext } from './editing';
import { FieldEdit, Fields, ListEdit } from './FieldEdit';
import { useDraft } from './useDraft';

interface Props {
  /** What is in the library already; null for a new one */
  readonly own: OwnModel | null;
  readonly start: ModelDraft;
}

const numbersIn = (fields: readonly Field[]): Extract<Field, { is: 'number' }>[] =>
  fields.flatMap((field) =>
    field.is === 'number'
      ? [field]
      : field.is === 'group' || field.is === 'list'
        ? numbersIn(field.fields)
        : [],
  );

/** How far the figures are known. */
const knownText = (fields: readonly Field[]): string => {
  const figures = numbersIn(fields).filter(({ isStated }) => isStated !== null);
  const stated = figures.filter(({ isStated }) => isStated).length;
  const unknown = figures.filter(({ value }) => value === null).length;
  return (
    `${stated} of ${figures.length} figures from the data sheet, ` +
    `${figures.length - stated - unknown} typical, ${unknown} not known`
  );
};

const Section = ({ field }: { readonly field: Extract<Field, { is: 'list' }> }) => (
  <Box as="section" aria-label={field.words.label} mb="6">
    <Heading as="h2" size="md" mb="1">
      {field.words.label}
    </Heading>
    <ListEdit field={field} />
  </Box>
);

/** A model field by field: what it is, its sockets, inner ways, controls, and its figures as a whole. */
export const ModelEditor = ({ own, start }: Props) => {
  const router = useRouter();
  const { now, change, undo, redo } = useDraft(start);
  const [savedAs, setSavedAs] = useState({ id: own?.id ?? null, version: own?.version ?? 0 });
  const [saved, setSaved] = useState(own ? start : null);
  const [isSaving, setSaving] = useState(false);
  const read = readModel(now);
  const problems = read.ok ? [] : read.problems;
  const fields = fieldsOf(now);
  const isChanged = now !== saved;
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (isChanged && undo) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [isChanged, undo]);
  const editing: Editing = {
    change,
    wrong: new Map(problems.map(({ path, says }) => [path.join('.'), says])),
  };
  const save = async (id: string | null) => {
    if (!read.ok) return;
    setSaving(true);
    const answer = await libraryDo({
      does: 'save',
      id,
      from: id === null ? 0 : savedAs.version,
      model: read.model,
    });
    setSaving(false);
    const [kept] = answer.ok ? answer.models : [];
    if (!answer.ok || !kept) {
      toaster.create({
        title: answer.ok ? 'It was not kept.' : answer.says,
        type: 'error',
        closable: true,
      });
      return;
    }
    setSavedAs(kept);
    setSaved(now);
    toaster.create({ title: `Kept as version ${kept.version}.`, closable: true });
    // The page of a new model is that of the model from now on; what is open stays open.
    if (id === null) window.history.replaceState(null, '', `/library/${kept.id}`);
    router.refresh();
  };
  const lists = fields.filter(
    (field): field is Extract<Field, { is: 'list' }> => field.is === 'list',
  );
  const plain = fields.filter(({ is }) => is !== 'list' && is !== 'group' && is !== 'left out');
  const whole = fields.filter(({ is }) => is === 'group' || is === 'left out');
  return (
    <EditingContext value={editing}>
      <Flex
        as="header"
        position="sticky"
        top="0"
        zIndex="1"
        bg="paper"
        borderBottomWidth="1px"
        align="center"
        gap="3"
        py="2"
        mb="4"
        wrap="wrap"
      >
        <Button asChild size="sm" variant="ghost" px="2">
          <Link href="/library" prefetch={false}>
            Library
          </Link>
        </Button>
        <Heading as="h1" size="lg">
          {typeof now['name'] === 'string' && now['name'] !== '' ? now['name'] : 'Without a name'}
        </Heading>
        <Text fontSize="sm" color="ink.soft" role="status">
          {savedAs.version > 0 ? `version ${savedAs.version}` : 'not kept yet'}
          {isChanged && savedAs.version > 0 ? ', changed since' : ''}
        </Text>
        <Flex ms="auto" gap="2">
          <Button size="sm" variant="outline" disabled={!undo} onClick={() => undo?.()}>
            Undo
          </Button>
          <Button size="sm" variant="outline" disabled={!redo} onClick={() => redo?.()}>
            Redo
          </Button>
          {savedAs.id !== null && (
            <Button
              size="sm"
              variant="outline"
              disabled={!read.ok || isSaving}
              onClick={() => void save(null)}
            >
              Keep as a new one
            </Button>
          )}
          <Button
            size="sm"
            bg="madder"
            color="madder.ink"
            disabled={!read.ok || !isChanged || isSaving}
            onClick={() => void save(savedAs.id)}
          >
            {isSaving ? 'Keeping…' : 'Keep it'}
          </Button>
        </Flex>
      </Flex>
      <Text fontSize="sm" color="ink.soft" mb="3">
        {knownText(fields)}. A figure you type counts as one of the data sheet.
      </Text>
      {problems.length > 0 && (
        <Box as="section" aria-label="What is missing" mb="4">
          <Text fontWeight="600" fontSize="sm" role="status">
            It cannot be kept yet
          </Text>
          <Box as="ul" ps="5" fontSize="sm">
            {problems.map(({ path, field, says }) => (
              <li key={`${path.join('.')} ${says}`}>
                {field}: {says}
              </li>
            ))}
          </Box>
        </Box>
      )}
      <Box as="section" aria-label="What it is" mb="6" maxW="44rem">
        <Heading as="h2" size="md" mb="2">
          What it is
        </Heading>
        <Flex direction="column" gap="2">
          {plain.map((field) => (
            <FieldEdit key={field.path.join('.')} field={field} />
          ))}
        </Flex>
      </Box>
      <Box maxW="44rem">
        {lists.map((field) => (
          <Section key={field.path.join('.')} field={field} />
        ))}
        <Box as="section" aria-label="As a whole">
          <Heading as="h2" size="md" mb="2">
            As a whole
          </Heading>
          <Fields fields={whole} />
        </Box>
      </Box>
    </EditingContext>
  );
};
