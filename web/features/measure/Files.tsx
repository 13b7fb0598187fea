'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { droppedFiles } from './dropped';
import { RecordHere } from './RecordHere';

interface Props {
  readonly label: string;
  readonly says: string;
  /** At least so many are needed */
  readonly least: number;
  /** Recordings of ours, to see how it goes; none where that shows nothing */
  readonly ours: readonly string[];
  /** What the browser records itself, where that makes sense */
  readonly records?: { readonly withPicture?: boolean; readonly lengthS: number };
  /** A whole folder is taken */
  readonly isFolder?: boolean;
  readonly isBusy: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

const fetched = async (name: string): Promise<File> => {
  const answer = await fetch(`/ours/${name}`);
  if (!answer.ok) throw new Error(`${name} is not there.`);
  return new File([await answer.blob()], name);
};

/** Recordings to measure, chosen or dropped here. They are read where they are and go nowhere. */
export const Files = ({
  label,
  says,
  least,
  ours,
  records,
  isFolder = false,
  isBusy,
  onFiles,
}: Props) => {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const give = (all: readonly File[]) => {
    // What a system leaves in its folders is nobody's recording.
    const files = all.filter(({ name }) => !name.startsWith('.'));
    const isEnough = files.length >= least;
    setProblem(isEnough || files.length === 0 ? null : `${least} recordings at least.`);
    if (isEnough) onFiles(files);
  };
  const failed = (error: unknown) =>
    setProblem(error instanceof Error ? error.message : String(error));
  const tryOurs = () => Promise.all(ours.map(fetched)).then(give, failed);
  return (
    <Box
      borderWidth="1px"
      borderStyle="dashed"
      borderColor={isOver ? 'madder' : 'rule'}
      p="3"
      className="screen-only"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void droppedFiles(event.dataTransfer).then(give, failed);
      }}
    >
      <Text fontSize="sm" mb="2">
        {says}
      </Text>
      <Flex gap="2" wrap="wrap" align="center">
        <Button
          size="sm"
          bg="madder"
          color="madder.ink"
          disabled={isBusy}
          onClick={() => input.current?.click()}
        >
          {label}
        </Button>
        {records && <RecordHere {...records} isBusy={isBusy} onFile={(file) => onFiles([file])} />}
        {ours.length > 0 && (
          <Button size="sm" variant="outline" disabled={isBusy} onClick={() => void tryOurs()}>
            Try it with ours
          </Button>
        )}
        <Text fontSize="xs" color="ink.soft">
          or drop them here. They stay on this machine.
        </Text>
      </Flex>
      <input
        ref={input}
        type="file"
        accept={isFolder ? undefined : 'audio/*,video/*'}
        multiple={isFolder || least > 1}
        {...(isFolder ? { webkitdirectory: '' } : {})}
        hidden
        aria-label={`${label}, files`}
        onChange={(event) => {
          give([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      {problem && (
        <Text role="alert" fontSize="sm" color="madder" mt="2">
          {problem}
        </Text>
      )}
    </Box>
  );
};
