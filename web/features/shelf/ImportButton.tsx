'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';
import { sendFile, type FileProblem } from './door';

interface Refused {
  readonly file: string;
  readonly says: string;
  readonly problems: readonly FileProblem[];
}

/** Reads a rig from a file. A refused file is told with every problem and its place; nothing has changed then. */
export const ImportButton = () => {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused | null>(null);

  const read = async (file: File) => {
    setBusy(true);
    const answer = await sendFile('/api/rigs/import', file);
    setBusy(false);
    if (input.current) input.current.value = '';
    if (answer.ok) router.push(`/rigs/${answer.id}`);
    else setRefused({ file: file.name, says: answer.says, problems: answer.problems });
  };

  return (
    <>
      <Button
        variant="outline"
        loading={busy}
        loadingText="Reading…"
        onClick={() => input.current?.click()}
      >
        Import
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Rig file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void read(file);
        }}
      />
      <Modal
        open={refused !== null}
        onClose={() => setRefused(null)}
        title="Not imported"
        footer={<Button onClick={() => setRefused(null)}>Close</Button>}
      >
        <Text mb="2">
          {refused?.file}: {refused?.says}
        </Text>
        <Box as="ul" maxH="50vh" overflowY="auto" pl="4" listStyleType="disc">
          {refused?.problems.map((problem, index) => (
            <Text as="li" key={index} fontSize="sm" mb="1">
              <Text as="code" className="figures" fontSize="0.8125rem">
                {problem.path}
              </Text>
              : {problem.says}
            </Text>
          ))}
        </Box>
      </Modal>
    </>
  );
};
