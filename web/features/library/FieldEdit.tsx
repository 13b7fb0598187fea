'use client';

import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { added, asVariant, type Field, leftOut, oneMore } from '@echo-loom/core';
import { useState } from 'react';
import { ChoiceField } from '@/ui/ChoiceField';
import { useEditing } from './editing';
import {
  ChoiceEdit,
  Hint,
  LeaveOut,
  NumberEdit,
  type Of,
  SeveralEdit,
  TextEdit,
  Wrong,
} from './Leaves';

const Variants = ({ field }: { readonly field: Of<'group'> }) => {
  const { change } = useEditing();
  return field.variants.length === 0 ? null : (
    <ChoiceField
      label={field.variantWords.label}
      value={String(field.variant)}
      options={field.variants.map((label, index) => ({ value: String(index), label }))}
      onChoose={(index) => change((draft) => asVariant(draft, field.path, Number(index)))}
    />
  );
};

/** What may be added to a group that does not have it yet. */
const LeftOut = ({ fields }: { readonly fields: readonly Field[] }) => {
  const { change } = useEditing();
  return fields.length === 0 ? null : (
    <Flex gap="1.5" wrap="wrap" align="center" mt="1">
      <Text fontSize="xs" color="ink.soft">
        Add
      </Text>
      {fields.map(({ path, words }) => (
        <Button
          key={path.join('.')}
          size="2xs"
          variant="outline"
          title={words.says}
          onClick={() => change((draft) => added(draft, path))}
        >
          {words.label}
        </Button>
      ))}
    </Flex>
  );
};

/** The fields of something, those that are there and those that may be added. */
export const Fields = ({ fields }: { readonly fields: readonly Field[] }) => (
  <Flex direction="column" gap="2">
    {fields
      .filter(({ is }) => is !== 'left out')
      .map((field) => (
        <FieldEdit key={field.path.join('.')} field={field} />
      ))}
    <LeftOut fields={fields.filter(({ is }) => is === 'left out')} />
  </Flex>
);

const GroupEdit = ({ field }: { readonly field: Of<'group'> }) => (
  <Box role="group" aria-label={field.words.label} borderStartWidth="2px" ps="3">
    <Flex align="center" gap="2">
      <Text fontSize="sm" fontWeight="600">
        {field.words.label}
      </Text>
      {field.isOptional && <LeaveOut field={field} />}
    </Flex>
    <Hint words={field.words} />
    <Flex direction="column" gap="2" mt="1">
      <Variants field={field} />
      <Fields fields={field.fields} />
    </Flex>
  </Box>
);

const NewItem = ({ field }: { readonly field: Of<'list'> }) => {
  const { change } = useEditing();
  const [name, setName] = useState('');
  const isNamed = field.path.length === 1 && field.path[0] !== 'routes';
  const add = () => {
    change((draft) => oneMore(draft, field.path, name.trim() || (isNamed ? 'New' : 'Way')));
    setName('');
  };
  const label = `Add to ${field.words.label.toLowerCase()}`;
  return (
    <Flex gap="2" mt="2" maxW="26rem">
      {isNamed && (
        <Input
          size="sm"
          aria-label={`Name of what is added to ${field.words.label.toLowerCase()}`}
          placeholder="Name as on the device"
          maxLength={80}
          value={name}
          onChange={({ target }) => setName(target.value)}
          onKeyDown={({ key }) => key === 'Enter' && add()}
        />
      )}
      <Button size="sm" variant="outline" disabled={field.isFull} onClick={add}>
        {label}
      </Button>
    </Flex>
  );
};

/** Each by its name, shut until it is looked at: a mixer has sixty sockets. */
export const ListEdit = ({ field }: { readonly field: Of<'list'> }) => {
  const { change } = useEditing();
  return (
    <Box role="group" aria-label={field.words.label}>
      <Hint words={field.words} />
      {field.fields.map((item) => (
        <Box
          as="details"
          key={item.path.join('.')}
          borderBottomWidth="1px"
          css={{ '& > summary': { cursor: 'pointer', minHeight: '32px', fontSize: '14px' } }}
        >
          <summary>{item.words.label}</summary>
          <Box ps="4" pb="3">
            {item.is === 'group' ? (
              <Flex direction="column" gap="2">
                <Variants field={item} />
                <Fields fields={item.fields} />
              </Flex>
            ) : (
              <FieldEdit field={item} />
            )}
            <Button
              mt="2"
              size="xs"
              variant="outline"
              onClick={() => change((draft) => leftOut(draft, item.path))}
            >
              Take out {item.words.label}
            </Button>
          </Box>
        </Box>
      ))}
      <NewItem field={field} />
    </Box>
  );
};

const Body = ({ field }: { readonly field: Field }) => {
  switch (field.is) {
    case 'number':
      return <NumberEdit field={field} />;
    case 'text':
      return <TextEdit field={field} />;
    case 'choice':
      return <ChoiceEdit field={field} />;
    case 'several':
      return <SeveralEdit field={field} />;
    case 'group':
      return <GroupEdit field={field} />;
    case 'list':
      return <ListEdit field={field} />;
    case 'left out':
      return null;
  }
};

/** Any field of a model, as it can be typed. */
export const FieldEdit = ({ field }: { readonly field: Field }) => (
  <Box data-path={field.path.join('.')}>
    <Body field={field} />
    {field.is !== 'group' && field.is !== 'list' && <Hint words={field.words} />}
    <Wrong field={field} />
  </Box>
);
