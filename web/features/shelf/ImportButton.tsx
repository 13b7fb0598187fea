'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { z } from 'zod';
import { Modal } from '@/ui/Modal';

const answerSchema = z.object({ id: z.string().optional(), says: z.string().optional(), problems: z.array(z.object({ path: z.string(), says: z.string() })).optional() });
type Refused = { readonly file: string; readonly says: string; readonly problems: readonly { readonly path: string; readonly says: string }[] };

/** Reads a rig from a file. A refused file is told with every problem and its place; nothing has changed then. */
export const ImportButton = () => {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused | null>(null);

  const read = async (file: File) => {
    setBusy(true);
    try {
      const response = await fetch('/api/rigs/import', { method: 'POST', body: file });
      const answer = answerSchema.parse(await response.json());
      if (response.ok && answer.id) router.push(`/rigs/${answer.id}`);
      else setRefused({ file: file.name, says: answer.says ?? 'The file was not imported.', problems: answer.problems ?? [] });
    } catch {
      setRefused({ file: file.name, says: 'The server does not answer. Nothing was imported; try again in a moment.', problems: [] });
    } finally {
      setBusy(false);
      if (input.current) input.current.value = '';
    }
  };

  return (
    <>
      <Button variant="outline" loading={busy} loadingText="Reading…" onClick={() => input.current?.click()}>Import</Button>
      <input ref={input} type="file" accept=".json,application/json" hidden aria-label="Rig file" onChange={(event) => {
        const [file] = event.target.files ?? [];
        if (file) void read(file);
      }} />
      <Modal open={refused !== null} onClose={() => setRefused(null)} title="Not imported" footer={<Button onClick={() => setRefused(null)}>Close</Button>}>
        <Text mb="2">{refused?.file}: {refused?.says}</Text>
        <Box as="ul" maxH="50vh" overflowY="auto" pl="4" listStyleType="disc">
          {refused?.problems.map((problem, index) => <Text as="li" key={index} fontSize="sm" mb="1"><Text as="code" className="figures" fontSize="13px">{problem.path}</Text>: {problem.says}</Text>)}
        </Box>
      </Modal>
    </>
  );
};
