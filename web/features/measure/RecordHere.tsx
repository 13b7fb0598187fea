'use client';

import { Button, Text } from '@chakra-ui/react';
import { useRecording } from './useRecording';

interface Props {
  readonly withPicture?: boolean;
  /** @unit s */
  readonly lengthS: number;
  readonly isBusy: boolean;
  readonly onFile: (file: File) => void;
}

/** Records with what is connected to this machine, instead of a file from elsewhere. */
export const RecordHere = ({ withPicture = false, lengthS, isBusy, onFile }: Props) => {
  const { at, begin, stop } = useRecording(withPicture, lengthS, onFile);
  if (at.state === 'recording')
    return (
      <>
        <Button size="sm" variant="outline" borderColor="madder" onClick={stop}>
          Stop and measure
        </Button>
        <Text fontSize="sm" className="figures" role="timer">
          recording, {at.leftS} s left
        </Text>
      </>
    );
  return (
    <>
      <Button
        size="sm"
        variant="outline"
        disabled={isBusy || at.state === 'asking'}
        onClick={begin}
      >
        Record {lengthS} s here
      </Button>
      {at.state === 'failed' && (
        <Text role="alert" fontSize="sm" color="madder" w="full">
          {at.says}
        </Text>
      )}
    </>
  );
};
