'use client';

import { CATALOGUE, classById, freeId, freshName, searchWords, type Rig } from '@echo-loom/core';
import { useRef, useState } from 'react';
import { useLoomView } from '@/features/loom/view';
import { useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { PickList } from '@/ui/PickList';
import { stepGroups } from './steps';

const GROUPS = stepGroups(
  CATALOGUE.map((model) => ({ model })),
  ({ model }) => ({
    key: model.classId ?? model.name,
    label: model.name,
    about: model.about,
    words: searchWords(model),
  }),
);

interface Props {
  readonly rig: Rig;
  readonly onClose: () => void;
}

/** The catalogue: search, pick, and the device is in the rig, selected and ready to be connected. */
export const AddDevice = ({ rig, onClose }: Props) => {
  const { run } = useRigSession();
  const select = useLoomView((view) => view.select);
  const [query, setQuery] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const add = (classId: string) => {
    const model = classById(classId);
    const deviceId = freeId(classId, rig.devices);
    if (
      !run({
        type: 'addDevice',
        deviceId,
        name: freshName(rig, model.name),
        model,
        settings: {},
        personId: null,
        placeId: null,
      })
    )
      return;
    select({ kind: 'device', id: deviceId });
    onClose();
  };
  return (
    <Modal open onClose={onClose} title="Add a device" focusFirst={input}>
      <PickList
        label="Device classes"
        placeholder="Search: camera, quiet mic, capture, recording…"
        groups={GROUPS}
        empty="No class matches. Try a plainer word, such as camera or mic."
        query={query}
        onQuery={setQuery}
        onPick={add}
        inputRef={input}
      />
    </Modal>
  );
};
