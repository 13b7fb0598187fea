'use client';

import { Text } from '@chakra-ui/react';
import { type OwnThing, takeCommand } from '@echo-loom/core';
import Link from 'next/link';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { useListedThings } from './useListedThings';

interface Props {
  readonly of: 'device' | 'lens';
  readonly itemId: string;
  readonly thingId: string | undefined;
  /** Whether a thing could be this item */
  readonly fits: (own: OwnThing) => boolean;
}

const NONE = '';

const label = ({ thing }: OwnThing): string =>
  [thing.name, thing.serial, thing.condition === 'good' ? null : thing.condition]
    .filter((part) => part !== null)
    .join(', ');

/** Which of the studio's things a device or lens of the rig is, and what is wrong with that. */
export const ThingOf = ({ of, itemId, thingId, fits }: Props) => {
  const { run } = useRigSession();
  const { things, findings } = useListedThings(thingId ?? NONE);
  const offered = things.filter((own) => own.id === thingId || fits(own));
  if (offered.length === 0 && thingId === undefined) return null;
  const said = findings.filter((finding) => finding.thingId === thingId);
  return (
    <>
      <ChoiceField
        label="Thing of the studio"
        value={thingId ?? NONE}
        options={[
          { value: NONE, label: 'None of them' },
          ...offered.map((own) => ({ value: own.id, label: label(own) })),
          ...(thingId !== undefined && !offered.some(({ id }) => id === thingId)
            ? [{ value: thingId, label: 'no longer listed' }]
            : []),
        ]}
        onChoose={(id) => run(takeCommand(of, itemId, things.find((own) => own.id === id) ?? null))}
      />
      {said.map(({ says }) => (
        <Text key={says} fontSize="xs" color="madder">
          {says}{' '}
          <Link href="/things" style={{ textDecoration: 'underline' }}>
            See the things.
          </Link>
        </Text>
      ))}
    </>
  );
};
