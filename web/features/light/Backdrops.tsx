'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type Backdrop, backdropsLit, freeId, HUES } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { luxText } from './shares';

/** What can be put up: a name, what it is, and its size. */
const KINDS = [
  {
    name: 'Green screen',
    is: 'green screen',
    widthM: 2.4,
    heightM: 2.2,
    bottomM: 0,
    reflects: 0.3,
    hue: 'green',
    mostLux: null,
  },
  {
    name: 'Back wall',
    is: 'wall',
    widthM: 3,
    heightM: 2.4,
    bottomM: 0,
    reflects: 0.5,
    hue: 'neutral',
    mostLux: null,
  },
  {
    name: 'Board',
    is: 'board',
    widthM: 1.5,
    heightM: 1,
    bottomM: 0.9,
    reflects: 0.1,
    hue: 'neutral',
    mostLux: 150,
  },
  {
    name: 'Benches',
    is: 'area',
    widthM: 4,
    heightM: 3,
    bottomM: 0.8,
    reflects: 0.25,
    hue: 'neutral',
    mostLux: null,
  },
] as const satisfies readonly Omit<Backdrop, 'at' | 'order'>[];

const Fields = ({ id, backdrop }: { readonly id: string; readonly backdrop: Backdrop }) => {
  const { run } = useRigSession();
  const set = (change: Partial<Omit<Backdrop, 'order'>>) =>
    run({ type: 'changeBackdrop', backdropId: id, backdrop: change });
  const { at } = backdrop;
  const number = (
    label: string,
    unit: string,
    value: number,
    min: number,
    max: number,
    to: (value: number) => Partial<Omit<Backdrop, 'order'>>,
  ) => (
    <NumberField
      key={label}
      label={label}
      unit={unit}
      min={min}
      max={max}
      value={value}
      onCommit={(next) => next !== null && set(to(next))}
    />
  );
  return (
    <Box borderTopWidth="1px" borderColor="rule" pt="1.5" mt="1.5">
      <Text fontSize="sm" fontWeight="600">
        {backdrop.name}
      </Text>
      {number('Middle, along x', 'm', at.xM, -1000, 1000, (xM) => ({ at: { ...at, xM } }))}
      {number('Middle, along y', 'm', at.yM, -1000, 1000, (yM) => ({ at: { ...at, yM } }))}
      {number('Its front looks to', '°', at.facingDeg, -360, 360, (facingDeg) => ({
        at: { ...at, facingDeg },
      }))}
      {number('Width', 'm', backdrop.widthM, 0.05, 50, (widthM) => ({ widthM }))}
      {number(
        backdrop.is === 'area' ? 'Depth' : 'Height',
        'm',
        backdrop.heightM,
        0.05,
        50,
        (heightM) => ({ heightM }),
      )}
      {number(
        backdrop.is === 'area' ? 'Level' : 'Lower edge',
        'm',
        backdrop.bottomM,
        0,
        50,
        (bottomM) => ({ bottomM }),
      )}
      {number('Sends back', '%', Math.round(100 * backdrop.reflects), 0, 100, (share) => ({
        reflects: share / 100,
      }))}
      <NumberField
        label="May have at most"
        unit="lux"
        min={0}
        max={200_000}
        mayBeUnknown
        whenEmpty="any"
        value={backdrop.mostLux}
        onCommit={(mostLux) => set({ mostLux })}
      />
      <ChoiceField
        label="Colour"
        value={backdrop.hue}
        options={HUES.map((value) => ({ value, label: value === 'skin' ? 'of skin' : value }))}
        onChoose={(value) => {
          const hue = HUES.find((one) => one === value);
          if (hue) set({ hue });
        }}
      />
      <Button
        size="xs"
        variant="outline"
        onClick={() => run({ type: 'removeBackdrop', backdropId: id })}
      >
        Take {backdrop.name} away
      </Button>
    </Box>
  );
};

/** Walls, green screens, boards and benches that light falls on, and how evenly. */
export const Backdrops = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [open, setOpen] = useState<string | null>(null);
  const all = backdropsLit(analysis);
  const corners = analysis.rig.shell?.corners ?? [];
  const middle = {
    xM: corners.reduce((sum, { xM }) => sum + xM, 0) / Math.max(1, corners.length),
    yM: Math.min(0, ...corners.map(({ yM }) => yM)) + 0.05,
    facingDeg: 0,
  };
  return (
    <Box as="section" aria-label="Backgrounds and screens">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Backgrounds and screens
      </Text>
      {all.length > 0 && (
        <PlainTable
          label="Light on backgrounds and screens"
          headings={['', 'Darkest', 'Brightest', 'Evenness', '']}
          lines={all.map(({ id, backdrop, leastLux, mostLux, evenness }) => ({
            id,
            head: backdrop.name,
            cells: [
              `${luxText(leastLux)} lux`,
              `${luxText(mostLux)} lux`,
              evenness === null ? 'dark' : `${evenness.toFixed(2)} : 1`,
              <Button
                key="open"
                size="xs"
                variant="outline"
                className="screen-only"
                aria-expanded={open === id}
                aria-label={`Change ${backdrop.name}`}
                onClick={() => setOpen(open === id ? null : id)}
              >
                {open === id ? 'Done' : 'Change'}
              </Button>,
            ],
          }))}
        />
      )}
      {all.map(({ id, backdrop }) =>
        open === id ? <Fields key={id} id={id} backdrop={backdrop} /> : null,
      )}
      <Flex gap="1.5" wrap="wrap" mt="1.5" className="screen-only">
        {KINDS.map((kind) => (
          <Button
            key={kind.name}
            size="xs"
            variant="outline"
            onClick={() => {
              const backdropId = freeId(kind.name, analysis.rig.backdrops);
              run({ type: 'addBackdrop', backdropId, backdrop: { ...kind, at: middle } });
              setOpen(backdropId);
            }}
          >
            Add: {kind.name.toLowerCase()}
          </Button>
        ))}
      </Flex>
    </Box>
  );
};
