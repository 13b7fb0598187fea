import { Checkbox, Field, Flex, Input, Text } from '@chakra-ui/react';
import {
  type EditList,
  laterThanSoundMs,
  mayDrop,
  namedFiles,
  offsetText,
  rateName,
  TIMECODE_RATES,
} from '@echo-loom/core';
import { useMemo, useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

export type ListForm = Omit<EditList, 'title'>;

const USUAL_RATE = TIMECODE_RATES[2];
export const FIRST_LIST: ListForm = {
  rate: USUAL_RATE ?? { num: 25, den: 1 },
  isDrop: false,
  start: '01:00:00:00',
  reel: 'PROGRAM',
  offsetMs: 0,
};

interface Props {
  /** Of the show: `2026-12-03` */
  readonly day: string;
  readonly value: ListForm;
  readonly onChange: (value: ListForm) => void;
}

const TextField = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) => (
  <Field.Root orientation="horizontal" justifyContent="space-between">
    <Field.Label fontSize="sm" fontWeight="400" whiteSpace="nowrap">
      {label}
    </Field.Label>
    <Input
      size="sm"
      width="12rem"
      value={value}
      onChange={({ target }) => onChange(target.value)}
    />
  </Field.Root>
);

/** How the marks become a list for the edit: counted how, for which recording, and how far that one is out of step. */
export const EditListForm = ({ day, value, onChange }: Props) => {
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState('');
  const files = useMemo(
    () => namedFiles(analysis, { date: day, episode: 1, take: 1 }),
    [analysis, day],
  );
  const { rig } = analysis;
  const file = files.find(({ key }) => key === chosen);
  const change = (more: Partial<ListForm>) => onChange({ ...value, ...more });
  const choose = (key: string) => {
    setChosen(key);
    const next = files.find((each) => each.key === key);
    if (next)
      change({
        reel: next.of.replace(/^[^:]*: /, ''),
        offsetMs: laterThanSoundMs(rig, next.sourceId) ?? 0,
      });
  };
  return (
    <Flex direction="column" gap="2" mt="3" role="group" aria-label="Edit list">
      <ChoiceField
        label="Frames a second of the edit"
        value={String(TIMECODE_RATES.indexOf(value.rate))}
        options={TIMECODE_RATES.map((each, at) => ({ value: String(at), label: rateName(each) }))}
        onChoose={(at) => {
          const rate = TIMECODE_RATES[Number(at)] ?? value.rate;
          change({ rate, isDrop: value.isDrop && mayDrop(rate) });
        }}
      />
      {mayDrop(value.rate) && (
        <Checkbox.Root
          size="sm"
          checked={value.isDrop}
          onCheckedChange={({ checked }) => change({ isDrop: checked === true })}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Drop-frame: numbers left out, so that the clock is right</Checkbox.Label>
        </Checkbox.Root>
      )}
      <TextField
        label="Timecode of the first frame of the show"
        value={value.start}
        onChange={(start) => change({ start })}
      />
      <ChoiceField
        label="The recording"
        value={chosen}
        options={[
          { value: '', label: 'Another, as said below' },
          ...files.map(({ key, of }) => ({ value: key, label: of })),
        ]}
        onChoose={choose}
      />
      <TextField
        label="Name of the recording"
        value={value.reel}
        onChange={(reel) => change({ reel })}
      />
      <NumberField
        label="The recording shows the same moment later than the sound by"
        unit="ms"
        value={value.offsetMs}
        min={-3_600_000}
        max={3_600_000}
        onCommit={(offsetMs) => offsetMs !== null && change({ offsetMs })}
      />
      {file && (
        <Text role="status" fontSize="sm" color="ink.soft">
          {offsetText(rig, file.sourceId) || 'Nothing was measured of it: clap, and see Measure.'}
        </Text>
      )}
    </Flex>
  );
};
