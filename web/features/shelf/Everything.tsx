'use client';

import { Button, Menu, Portal, Text } from '@chakra-ui/react';
import { Archive } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';
import { toaster } from '@/ui/toaster';
import { sendFile } from './door';

interface Props {
  /** Rigs that can be put back */
  readonly putAway: number;
}

/** What concerns everything at once: a file with all of it, its restoring, and what was put away. */
export const Everything = ({ putAway }: Props) => {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  return (
    <>
      <Menu.Root>
        <Menu.Trigger asChild>
          <Button variant="outline" title="Save everything, restore it, put rigs back">
            <Archive size={16} /> Everything
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content borderWidth="1px" borderColor="rule.strong">
              <Menu.Item value="backup" asChild>
                <a href="/api/backup" download>
                  Save everything as one file
                </a>
              </Menu.Item>
              <Menu.Item value="restore" onClick={() => input.current?.click()}>
                Restore everything from a file…
              </Menu.Item>
              <Menu.Item value="away" asChild>
                <Link href="/away">Put away ({putAway})</Link>
              </Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      <input
        ref={input}
        type="file"
        accept=".gz,application/gzip"
        hidden
        aria-label="Backup file"
        onChange={(event) => {
          setFile(event.target.files?.[0] ?? null);
          event.target.value = '';
        }}
      />
      {file && <RestoreDialog file={file} onClose={() => setFile(null)} />}
    </>
  );
};

/** Asks once more: what is here now is replaced. */
const RestoreDialog = ({
  file,
  onClose,
}: {
  readonly file: File;
  readonly onClose: () => void;
}) => {
  const router = useRouter();
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const restore = async (): Promise<void> => {
    setBusy(true);
    const answer = await sendFile('/api/restore', file);
    setBusy(false);
    if (!answer.ok) {
      setProblem([answer.says, ...answer.problems.map(({ says }) => says)].join(' '));
      return;
    }
    toaster.create({ title: `Everything is as in ${file.name}.`, type: 'success', closable: true });
    onClose();
    router.refresh();
  };
  const footer = (
    <>
      <Button variant="outline" onClick={onClose} disabled={isBusy}>
        Cancel
      </Button>
      <Button
        bg="madder"
        color="madder.ink"
        loading={isBusy}
        loadingText="Restoring…"
        onClick={() => void restore()}
      >
        Replace everything
      </Button>
    </>
  );
  return (
    <Modal open onClose={onClose} title="Restore everything" footer={footer}>
      <Text>
        Everything that is here now (every rig, its history, what was put away, the studio’s
        settings) is replaced by what {file.name} holds. The file is checked to its end first; if
        anything is wrong with it, nothing changes.
      </Text>
      <Text mt="3">
        Save what is here now, if you may want it back:{' '}
        <Button asChild size="xs" variant="outline" ml="1">
          <a href="/api/backup" download>
            Save everything as one file
          </a>
        </Button>
      </Text>
      {problem !== null && (
        <Text role="alert" mt="3" color="level.stop">
          {problem}
        </Text>
      )}
    </Modal>
  );
};
