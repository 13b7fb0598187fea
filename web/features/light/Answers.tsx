'use client';

import { Flex, Input, Text } from '@chakra-ui/react';
import { cleanLine, CONTROL_WAYS, type Lamp, type LightSource } from '@echo-loom/core';
import { useState } from 'react';
import { ChoiceField } from '@/ui/ChoiceField';

const UNSAID = 'not said';

/** What it answers to: a way, and a name for it. */
export const Answers = ({
  lampName,
  figures,
  hung,
  onHang,
}: {
  lampName: string;
  figures: LightSource['figures'];
  hung: Lamp;
  onHang: (change: Partial<Lamp>) => void;
}) => {
  const [name, setName] = useState(hung.answers?.name ?? '');
  const ways = CONTROL_WAYS.filter((way) => figures?.control.includes(way));
  const keep = (by: string) => {
    const way = ways.find((one) => one === by);
    onHang({
      answers: way
        ? { by: way, name: cleanLine(name) || (way === 'knob' ? 'Its knob' : way) }
        : null,
    });
  };
  return (
    <>
      <ChoiceField
        label="Set by"
        value={hung.answers?.by ?? UNSAID}
        options={[
          { value: UNSAID, label: UNSAID },
          ...ways.map((value) => ({ value, label: value })),
        ]}
        onChoose={keep}
      />
      {hung.answers && (
        <Flex gap="2" align="center" mt="1">
          <Text fontSize="sm" flex="1">
            Which one
          </Text>
          <Input
            size="sm"
            width="190px"
            aria-label={`What ${lampName} answers to`}
            value={name}
            onChange={(event) => setName(event.target.value)}
            onBlur={() => keep(hung.answers?.by ?? '')}
            onKeyDown={(event) => event.key === 'Enter' && keep(hung.answers?.by ?? '')}
          />
        </Flex>
      )}
    </>
  );
};
