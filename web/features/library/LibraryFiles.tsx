'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';
import { toaster } from '@/ui/toaster';
import { type Fault, libraryDo } from './door';

interface Looked {
  readonly file: string;
  readonly text: string;
  readonly says: string;
  readonly faults: readonly Fault[];
  /** Whether what is sound may be taken; a JSON file is taken whole or not at all */
  readonly mayTake: boolean;
}

/** The library out as files, and files into it: what is wrong is told before anything is taken. */
export const LibraryFiles = () => {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [isReading, setReading] = useState(false);
  const taken = (count: number) => {
    toaster.create({
      title:
        count === 0
          ? 'Nothing in it is new.'
          : `Taken: ${count} ${count === 1 ? 'model' : 'models'}.`,
      closable: true,
    });
    router.refresh();
  };
  const look = async (file: File) => {
    const text = await file.text();
    if (input.current) input.current.value = '';
    const isCsv = /\.csv$/i.test(file.name);
    const answer = await libraryDo(
      isCsv ? { does: 'take csv', text, isSure: false } : { does: 'take json', text },
    );
    if (!answer.ok)
      setLooked({
        file: file.name,
        text,
        says: answer.says,
        faults: answer.faults,
        mayTake: false,
      });
    else if (!isCsv) taken(answer.models.length);
    else
      setLooked({
        file: file.name,
        text,
        says:
          answer.names.length === 0
            ? 'No model would change.'
            : `It would change ${answer.names.join(', ')}.`,
        faults: answer.faults,
        mayTake: answer.names.length > 0,
      });
  };
  const read = async (file: File) => {
    setReading(true);
    try {
      await look(file);
    } catch {
      toaster.create({ title: `${file.name} cannot be read.`, type: 'error', closable: true });
    } finally {
      setReading(false);
    }
  };
  const take = async ({ text }: Looked) => {
    const answer = await libraryDo({ does: 'take csv', text, isSure: true });
    setLooked(null);
    if (answer.ok) taken(answer.models.length);
    else toaster.create({ title: answer.says, type: 'error', closable: true });
  };
  return (
    <Flex gap="2" wrap="wrap">
      <Button
        size="sm"
        variant="outline"
        loading={isReading}
        loadingText="Reading…"
        onClick={() => input.current?.click()}
      >
        Take from a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,.csv,application/json,text/csv"
        hidden
        aria-label="Library file"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void read(file);
        }}
      />
      <Button asChild size="sm" variant="outline">
        <a href="/api/library?as=json" download>
          As JSON
        </a>
      </Button>
      <Button asChild size="sm" variant="outline">
        <a href="/api/library?as=csv" download>
          As CSV
        </a>
      </Button>
      <Modal
        open={looked !== null}
        onClose={() => setLooked(null)}
        title={looked?.mayTake ? 'Before it is taken' : 'Not taken'}
        footer={
          <>
            <Button variant="outline" onClick={() => setLooked(null)}>
              {looked?.mayTake ? 'Leave it' : 'Close'}
            </Button>
            {looked?.mayTake && (
              <Button bg="madder" color="madder.ink" onClick={() => void take(looked)}>
                Take what is sound
              </Button>
            )}
          </>
        }
      >
        <Text mb="2">
          {looked?.file}: {looked?.says}
        </Text>
        <Box as="ul" maxH="50vh" overflowY="auto" ps="4" fontSize="sm">
          {looked?.faults.map(({ at, says }) => (
            <li key={`${at} ${says}`}>
              {at}: {says}
            </li>
          ))}
        </Box>
      </Modal>
    </Flex>
  );
};
