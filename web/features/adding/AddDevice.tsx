'use client';

import {
  CATALOGUE,
  classById,
  freeId,
  freshName,
  type OwnModel,
  searchWords,
  stamped,
  type Rig,
} from '@echo-loom/core';
import { useRef, useState } from 'react';
import { useOwnModels } from '@/features/library/useOwnModels';
import { useLoomView } from '@/features/chosen/view';
import { useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { type PickGroup, PickList } from '@/ui/PickList';
import { stepGroups } from './steps';

const CLASSES = stepGroups(
  CATALOGUE.map((model) => ({ model })),
  ({ model }) => ({
    key: model.classId ?? model.name,
    label: model.name,
    about: model.about,
    words: searchWords(model),
  }),
);

/** Models of the studio’s library stand before the classes. */
const OURS = 'ours ';

const oursAsGroup = (models: readonly OwnModel[]): PickGroup[] =>
  models.length === 0
    ? []
    : [
        {
          heading: 'Yours',
          items: models.map(({ id, model }) => ({
            key: `${OURS}${id}`,
            label: model.name,
            about: model.about,
            words: searchWords(model),
          })),
        },
      ];

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
  const ours = useOwnModels();
  const add = (key: string) => {
    const own = ours.find(({ id }) => key === `${OURS}${id}`);
    const model = own ? stamped(own) : classById(key);
    const deviceId = freeId(own?.id ?? key, rig.devices);
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
        groups={[...oursAsGroup(ours), ...CLASSES]}
        empty="No class matches. Try a plainer word, such as camera or mic."
        query={query}
        onQuery={setQuery}
        onPick={add}
        inputRef={input}
      />
    </Modal>
  );
};
