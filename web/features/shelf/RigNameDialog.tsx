'use client';

import { Button, Field, Input, RadioCard, SimpleGrid, Text } from '@chakra-ui/react';
import { cleanLine, nameSchema } from '@echo-loom/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { useRef } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { z } from 'zod';
import { Modal } from '@/ui/Modal';

const formSchema = z.object({ name: nameSchema, from: z.string() });
export type RigNameForm = z.infer<typeof formSchema>;

/** A starting point as it is offered. */
export interface Start {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  /** “4 people, 5 cameras, about €9,400” */
  readonly brings: string;
}

interface Props {
  readonly title: string;
  readonly submitLabel: string;
  readonly initialName: string;
  /** Starting points to choose from; none for a rename */
  readonly points?: readonly Start[];
  readonly onSubmit: (form: RigNameForm) => Promise<string | null>;
  readonly onClose: () => void;
}

/**
 * Asks for a rig's name and, for a new one, what to start from. `onSubmit` answers with why it did
 * not work, or null.
 */
export const RigNameDialog = ({
  title,
  submitLabel,
  initialName,
  points,
  onSubmit,
  onClose,
}: Props) => {
  const { register, control, handleSubmit, setError, formState } = useForm<RigNameForm>({
    resolver: zodResolver(formSchema),
    defaultValues: { name: initialName, from: 'blank' },
  });
  const input = useRef<HTMLInputElement | null>(null);
  const name = register('name', { setValueAs: (text: string) => cleanLine(text) });
  const submit = handleSubmit(async (form) => {
    const problem = await onSubmit(form);
    if (problem) setError('name', { message: problem });
  });
  return (
    <Modal
      open
      onClose={onClose}
      title={title}
      size={points ? 'lg' : 'md'}
      focusFirst={input}
      footer={
        <>
          <Button variant="outline" onClick={onClose}>
            Cancel
          </Button>
          <Button
            type="submit"
            form="rig-name"
            bg="madder"
            color="madder.ink"
            loading={formState.isSubmitting}
          >
            {submitLabel}
          </Button>
        </>
      }
    >
      <form id="rig-name" onSubmit={(event) => void submit(event)} noValidate>
        <Field.Root invalid={formState.errors.name !== undefined}>
          <Field.Label>Name</Field.Label>
          <Input
            {...name}
            ref={(element) => {
              name.ref(element);
              input.current = element;
            }}
            maxLength={80}
            autoComplete="off"
          />
          <Field.ErrorText>{formState.errors.name?.message}</Field.ErrorText>
        </Field.Root>
        {points && (
          <Controller
            control={control}
            name="from"
            render={({ field }) => (
              <RadioCard.Root
                mt="4"
                size="sm"
                value={field.value}
                onValueChange={({ value }) => field.onChange(value)}
                orientation="horizontal"
              >
                <RadioCard.Label>Start from</RadioCard.Label>
                <SimpleGrid columns={{ base: 1, md: 2 }} gap="2">
                  {[
                    {
                      id: 'blank',
                      name: 'Blank',
                      about: 'Nothing yet; add each device yourself.',
                      brings: '',
                    },
                    ...points,
                  ].map((point) => (
                    <RadioCard.Item
                      key={point.id}
                      value={point.id}
                      _checked={{ borderColor: 'madder', boxShadowColor: 'madder' }}
                    >
                      <RadioCard.ItemHiddenInput />
                      <RadioCard.ItemControl py="2">
                        <RadioCard.ItemContent>
                          <RadioCard.ItemText fontWeight="600">{point.name}</RadioCard.ItemText>
                          <Text fontSize="sm" color="ink.soft">
                            {point.about}
                          </Text>
                          {point.brings && (
                            <Text fontSize="xs" className="figures">
                              {point.brings}
                            </Text>
                          )}
                        </RadioCard.ItemContent>
                        <RadioCard.ItemIndicator />
                      </RadioCard.ItemControl>
                    </RadioCard.Item>
                  ))}
                </SimpleGrid>
              </RadioCard.Root>
            )}
          />
        )}
      </form>
    </Modal>
  );
};
