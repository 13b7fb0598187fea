'use client';

import { Button, Flex, Text } from '@chakra-ui/react';
import { freeId, inOrder } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { NameField } from '@/ui/NameField';

interface Props {
  /** Whose settings; neither, and they are the room's */
  readonly deviceId?: string;
  readonly personId?: string;
}

/** Settings in menus and on the spot that nothing is computed with and that are worth repeating. */
export const Reminders = ({ deviceId, personId }: Props) => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const owner = { deviceId: deviceId ?? null, personId: personId ?? null };
  const own = inOrder(rig.reminders).filter(
    ([, reminder]) => reminder.deviceId === owner.deviceId && reminder.personId === owner.personId,
  );
  return (
    <Flex direction="column" gap="1.5">
      {own.map(([reminderId, { what, value }]) => (
        <Flex key={reminderId} gap="2" align="end" role="group" aria-label={what}>
          <NameField
            label="What"
            value={what}
            onCommit={(name) =>
              run({ type: 'changeReminder', reminderId, reminder: { what: name } })
            }
          />
          <NameField
            label="How it is set"
            value={value}
            onCommit={(text) =>
              run({ type: 'changeReminder', reminderId, reminder: { value: text } })
            }
          />
          <Button
            size="sm"
            variant="outline"
            aria-label={`Remove ${what}`}
            onClick={() => run({ type: 'removeReminder', reminderId })}
          >
            Remove
          </Button>
        </Flex>
      ))}
      {own.length === 0 && deviceId !== undefined && (
        <Text fontSize="xs" color="ink.soft">
          Clean output, sleep, firmware: what is set once and asked for every time. Printed with the
          gains.
        </Text>
      )}
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        onClick={() =>
          run({
            type: 'addReminder',
            reminderId: freeId('setting', rig.reminders),
            reminder: { ...owner, what: `Setting ${own.length + 1}`, value: 'on' },
          })
        }
      >
        Add a setting to repeat
      </Button>
    </Flex>
  );
};
