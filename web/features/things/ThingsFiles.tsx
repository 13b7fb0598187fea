'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type OwnThing, THING_HEADINGS, type ThingFault, thingRows } from '@echo-loom/core';
import { useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';
import { saveTable } from '@/ui/saveFile';
import { toaster } from '@/ui/toaster';
import { type ThingsDeed, thingsDo } from './door';
import { useThings } from './useThings';

type File_ = Extract<ThingsDeed, { does: 'take csv' | 'take cells' }>;

interface Looked {
  readonly name: string;
  readonly deed: File_;
  readonly added: readonly string[];
  readonly changed: readonly string[];
  readonly same: number;
  readonly faults: readonly ThingFault[];
}

const counted = (count: number): string => `${count} ${count === 1 ? 'thing' : 'things'}`;

/** So many names are told; the rest is counted. */
const NAMED = 12;
const some = (names: readonly string[]): string =>
  names.slice(0, NAMED).join(', ') +
  (names.length > NAMED ? ` and ${names.length - NAMED} more` : '');

/** A file as the server reads it. The reader of spreadsheets is loaded when one is chosen. */
const deedOf = async (file: File): Promise<File_> => {
  if (!/\.xlsx$/i.test(file.name))
    return { does: 'take csv', text: await file.text(), isSure: false };
  const { readSheet } = await import('read-excel-file/browser');
  const rows = await readSheet(file);
  return {
    does: 'take cells',
    isSure: false,
    cells: rows.map((row) =>
      row.map((cell) =>
        cell instanceof Date
          ? cell.toISOString().slice(0, 10)
          : typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean'
            ? cell
            : null,
      ),
    ),
  };
};

/** The list of things out as a file, and files into it: what they bring and what is wrong is told first. */
export const ThingsFiles = ({ things }: { readonly things: readonly OwnThing[] }) => {
  const perform = useThings();
  const input = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [isBusy, setBusy] = useState(false);
  const read = async (file: File) => {
    if (input.current) input.current.value = '';
    setBusy(true);
    try {
      const deed = await deedOf(file);
      const answer = await thingsDo(deed);
      if (answer.ok) setLooked({ name: file.name, deed, ...answer });
      else toaster.create({ title: answer.says, type: 'error', closable: true });
    } catch {
      const title = `${file.name} cannot be read as a spreadsheet. Nothing was taken.`;
      toaster.create({ title, type: 'error', closable: true });
    }
    setBusy(false);
  };
  const brings = looked ? looked.added.length + looked.changed.length : 0;
  return (
    <Flex gap="2" wrap="wrap">
      <Button size="sm" variant="outline" loading={isBusy} onClick={() => input.current?.click()}>
        Take from a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,.xlsx,text/csv"
        hidden
        aria-label="List of things"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void read(file);
        }}
      />
      <Button asChild size="sm" variant="outline">
        <a href="/api/things?as=csv" download>
          As CSV
        </a>
      </Button>
      <Button
        size="sm"
        variant="outline"
        onClick={() => void saveTable('things.xlsx', 'Things', THING_HEADINGS, thingRows(things))}
      >
        As a spreadsheet
      </Button>
      {looked && (
        <Modal
          open
          onClose={() => setLooked(null)}
          title={brings > 0 ? 'Before it is taken' : 'Nothing to take'}
          size="lg"
          footer={
            <>
              <Button variant="outline" onClick={() => setLooked(null)}>
                {brings > 0 ? 'Leave it' : 'Close'}
              </Button>
              {brings > 0 && (
                <Button
                  bg="madder"
                  color="madder.ink"
                  onClick={() => {
                    setLooked(null);
                    void perform(
                      { ...looked.deed, isSure: true },
                      `Taken: ${counted(brings)} from ${looked.name}.`,
                    );
                  }}
                >
                  Take {counted(brings)}
                </Button>
              )}
            </>
          }
        >
          <Text fontSize="sm">
            {looked.name}: {looked.added.length} new, {looked.changed.length} changed, {looked.same}{' '}
            as they are, {looked.faults.length} {looked.faults.length === 1 ? 'fault' : 'faults'}.
          </Text>
          {looked.added.length > 0 && (
            <Text fontSize="sm" mt="1.5">
              New: {some(looked.added)}.
            </Text>
          )}
          {looked.changed.length > 0 && (
            <Text fontSize="sm" mt="1.5">
              Changed: {some(looked.changed)}.
            </Text>
          )}
          {looked.faults.length > 0 && (
            <>
              <Text fontSize="sm" mt="3" fontWeight="600">
                Left out, line by line
              </Text>
              <Box
                as="ul"
                aria-label="Faults"
                maxH="40vh"
                overflowY="auto"
                ps="4"
                fontSize="sm"
                listStyleType="disc"
              >
                {looked.faults.map(({ at, says }) => (
                  <li key={`${at} ${says}`}>
                    {at}: {says}
                  </li>
                ))}
              </Box>
            </>
          )}
        </Modal>
      )}
    </Flex>
  );
};
