'use client';

import { Box, Input, Text } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';
import { GLOSSARY } from './glossary';

/** Every word of the field that is explained, to be searched. */
export const WordsSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const [query, setQuery] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const words = GLOSSARY.filter(({ term, forms, says }) =>
    [term, ...(forms ?? []), says].join(' ').toLowerCase().includes(query.trim().toLowerCase()),
  );
  return (
    <Modal open onClose={onClose} title="Words of the field" focusFirst={input}>
      <Input
        ref={input}
        size="sm"
        mb="3"
        aria-label="Search the words"
        placeholder="Search: headroom, phantom …"
        value={query}
        onChange={({ target }) => setQuery(target.value)}
      />
      <Box as="dl" maxH="50vh" overflowY="auto" tabIndex={0} aria-label="Words">
        {words.map(({ term, says }) => (
          <Box key={term} mb="2.5">
            <Text as="dt" fontWeight="600">
              {term}
            </Text>
            <Text as="dd" fontSize="sm">
              {says}
            </Text>
          </Box>
        ))}
      </Box>
      {words.length === 0 && <Text fontSize="sm">No word matches.</Text>}
    </Modal>
  );
};
