'use client';

import { inOrder } from '@echo-loom/core';
import { useTheme } from 'next-themes';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { READINGS } from '@/features/chosen/readings';
import { itemOf, useLoomView } from '@/features/chosen/view';
import { VIEWS } from '@/features/rig/views';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { PickList, type PickGroup } from '@/ui/PickList';

interface Action {
  readonly label: string;
  readonly keys?: string;
  readonly about?: string;
  readonly words?: string;
  readonly act: () => void;
}

interface Props {
  readonly rigId: string;
  readonly onClose: () => void;
}

/** Everything by name: actions, views, devices, findings. */
export const CommandMenu = ({ rigId, onClose }: Props) => {
  const analysis = useRig((state) => state.analysis);
  const session = useRigSession();
  const router = useRouter();
  const view = useLoomView();
  const { resolvedTheme, setTheme } = useTheme();
  const [query, setQuery] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const toLoom = () => router.push(`/rigs/${rigId}`);
  const download = (as: string) =>
    Object.assign(document.createElement('a'), {
      href: `/api/rigs/${rigId}/export?as=${as}`,
      download: '',
    }).click();

  const actions: Readonly<Record<string, readonly Action[]>> = {
    Do: [
      {
        label: 'Add a device',
        keys: 'a',
        act: () => {
          toLoom();
          view.open('add');
        },
      },
      {
        label: 'Connect two ports',
        keys: 'c',
        act: () => {
          toLoom();
          view.open('connect');
        },
      },
      {
        label: 'Words of the field',
        words: 'glossary terms explained',
        act: () => view.open('words'),
      },
      { label: 'Undo', keys: 'Ctrl Z', act: session.undo },
      { label: 'Redo', keys: 'Ctrl Shift Z', act: session.redo },
      ...READINGS.map((reading, index) => ({
        label: `Reading: ${reading}`,
        keys: String(index + 1),
        act: () => {
          toLoom();
          view.setReading(reading);
        },
      })),
      { label: 'Rows by person and place', act: () => view.setGrouping('owner') },
      { label: 'Rows by picture and sound', act: () => view.setGrouping('family') },
      { label: 'Rows by whichever crosses less', act: () => view.setGrouping(null) },
      {
        label: resolvedTheme === 'dark' ? 'Light theme' : 'Dark theme',
        words: 'theme dark light',
        act: () => setTheme(resolvedTheme === 'dark' ? 'light' : 'dark'),
      },
      { label: 'Print', act: () => window.print() },
      { label: 'Export the rig (JSON)', act: () => download('json') },
      { label: 'Export the patch sheet (CSV)', act: () => download('csv') },
      { label: 'Export the graph (DOT)', act: () => download('dot') },
      { label: 'Keys', keys: '?', act: () => view.open('keys') },
    ],
    'Go to': [
      ...VIEWS.map(({ name, path }) => ({
        label: name,
        act: () => router.push(`/rigs/${rigId}${path}`),
      })),
      { label: 'The shelf', act: () => router.push('/') },
    ],
    Devices: inOrder(analysis.rig.devices).map(([id, device]) => ({
      label: device.name,
      about: device.model.name,
      act: () => {
        toLoom();
        view.select({ kind: 'device', id });
      },
    })),
    Findings: analysis.findings.map((finding) => ({
      label: finding.title,
      about: finding.says,
      act: () => {
        toLoom();
        view.select(itemOf(analysis, finding));
      },
    })),
  };
  const groups: PickGroup[] = Object.entries(actions)
    .filter(([, items]) => items.length > 0)
    .map(([heading, items]) => ({
      heading,
      items: items.map(({ label, keys, about, words }, index) => ({
        key: `${heading}/${index}`,
        label,
        keys,
        about,
        words,
      })),
    }));

  const pick = (key: string) => {
    const [heading = '', index = ''] = key.split('/');
    onClose();
    actions[heading]?.[Number(index)]?.act();
  };

  return (
    <Modal open onClose={onClose} title="Everything by name" focusFirst={input}>
      <PickList
        label="Everything by name"
        placeholder="Type a name: a device, a finding, something to do"
        groups={groups}
        empty="Nothing has that name."
        query={query}
        onQuery={setQuery}
        onPick={pick}
        inputRef={input}
      />
    </Modal>
  );
};
