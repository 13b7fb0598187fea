import { Flex } from '@chakra-ui/react';
import { inOrder, laid, MOST_BY, type Rig } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import type { CableRow } from './rows';

interface Props {
  readonly rig: Rig;
  readonly row: CableRow;
}

const SHORTEST = '';

/** The ways a cable is told to lie in, one after the other; the last choice adds one more. */
export const LedBy = ({ rig, row }: Props) => {
  const { run } = useRigSession();
  const by = row.link.lay?.by ?? [];
  const ways = inOrder(rig.cableWays).map(([value, { name }]) => ({ value, label: name }));
  if (ways.length === 0) return null;
  const lead = (at: number, value: string) =>
    run(
      laid(rig, row.linkId, {
        by: [...by.slice(0, at), ...(value === SHORTEST ? [] : [value]), ...by.slice(at + 1)],
      }),
    );
  const choice = (at: number) => (
    <ChoiceField
      key={at}
      inCell
      width="132px"
      label={
        at === 0
          ? `Where cable ${row.number} is led`
          : `Where cable ${row.number} is led after that, ${at + 1}`
      }
      value={by[at] ?? SHORTEST}
      options={[
        { value: SHORTEST, label: at === 0 ? 'its shortest way' : 'then as is shortest' },
        ...ways,
      ]}
      onChoose={(value) => lead(at, value)}
    />
  );
  return (
    <Flex direction="column" gap="1">
      {by.map((_, at) => choice(at))}
      {by.length < MOST_BY && choice(by.length)}
    </Flex>
  );
};
