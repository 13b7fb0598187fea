import { Table } from '@chakra-ui/react';
import { type Had, OWNERSHIPS } from '@echo-loom/core';
import { oneOf, OWNERSHIP } from '@/features/brief/words';
import { cell } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

interface Props {
  readonly name: string;
  /** Left out: it is owned */
  readonly had: Had | undefined;
  readonly onChange: (had: Had) => void;
}

const OWNED: Had = { ownership: 'owned', price: null };

/** How a thing of a table is had and what it costs, in one cell. */
export const HadCell = ({ name, had = OWNED, onChange }: Props) => (
  <Table.Cell {...cell}>
    <ChoiceField
      inCell
      width="104px"
      label={`How ${name} is had`}
      value={had.ownership}
      options={OWNERSHIP}
      onChoose={(value) =>
        onChange({ ...had, ownership: oneOf(OWNERSHIPS, value) ?? had.ownership })
      }
    />
    <NumberField
      inCell
      mayBeUnknown
      label={`Price of ${name}`}
      unit=""
      min={0}
      max={1e9}
      step={1}
      value={had.price}
      onCommit={(price) => onChange({ ...had, price })}
    />
  </Table.Cell>
);
