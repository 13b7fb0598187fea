'use client';

import { Box, Checkbox, Text } from '@chakra-ui/react';
import { baseName, type FolderCheck } from '@echo-loom/core';
import { useState } from 'react';
import { PlainTable } from '@/ui/PlainTable';
import { fileSizeText } from './words';

/** What a folder holds: what is wrong first, the rest when it is asked for. */
export const FolderFound = ({ check: { files, missing } }: { readonly check: FolderCheck }) => {
  const [isAll, setAll] = useState(false);
  const wrong = files.filter(({ says }) => says.length > 0);
  const shown = isAll ? files : wrong;
  const many = wrong.length + missing.length;
  return (
    <Box mt="3">
      <Text fontSize="sm" role="status" fontWeight="600">
        {`${files.length} files read. ` +
          (many === 0 ? 'All is as it should be.' : `${many} not as it should be.`)}
      </Text>
      {missing.length > 0 && (
        <Text fontSize="sm" color="level.stop">
          Not here: {missing.join(', ')}.
        </Text>
      )}
      {files.length > wrong.length && (
        <Checkbox.Root
          size="sm"
          mt="1"
          checked={isAll}
          onCheckedChange={({ checked }) => setAll(checked === true)}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Show the others, too</Checkbox.Label>
        </Checkbox.Root>
      )}
      {shown.length > 0 && (
        <PlainTable
          label="Files of the folder"
          headings={['File', 'Size', 'Most likely', 'Checksum begins', 'Not as it should be']}
          lines={shown.map(({ found, planned, isByName, says }, at) => ({
            id: `${at} ${found.name}`,
            head: baseName(found.name),
            isMarked: says.length > 0,
            cells: [
              fileSizeText(found.bytes),
              planned ? planned.name + (isByName ? '' : ', by what it is') : '–',
              found.sha256.slice(0, 12),
              says.length === 0 ? 'nothing' : `${says.join('; ')}.`,
            ],
          }))}
        />
      )}
    </Box>
  );
};
