'use client';

import {
  type Analysis,
  isFree,
  type Model,
  offeredBeside,
  offeredBetween,
  putInto,
  searchWords,
  type SimpleCommand,
} from '@echo-loom/core';
import { useRef, useState } from 'react';
import { useLoomView } from '@/features/chosen/view';
import { stepGroups } from '@/features/adding/steps';
import { useRigSession } from '@/features/rig/RigProvider';
import { Modal } from '@/ui/Modal';
import { PickList, type PickGroup } from '@/ui/PickList';
import { joinBy, putIntoThread } from './drop';
import { type Asking, usePointing } from './pointing';
import { cableText, wayText } from './says';

interface Choice {
  readonly title: string;
  readonly placeholder: string;
  readonly empty: string;
  readonly groups: readonly PickGroup[];
  readonly pick: (key: string) => void;
}

const classItem = (model: Model, about: string) => ({
  key: `class:${model.classId ?? model.name}`,
  label: model.name,
  about,
  words: searchWords(model),
});

/** What is asked after a drop, or from a sheet: which way, what goes here, what goes in between. */
export const PointingDialogs = ({ analysis }: { readonly analysis: Analysis }) => {
  const asking = usePointing((pointing) => pointing.asking);
  return asking && <Question key={asking.ask} analysis={analysis} asking={asking} />;
};

const Question = ({
  analysis,
  asking,
}: {
  readonly analysis: Analysis;
  readonly asking: Asking;
}) => {
  const session = useRigSession();
  const select = useLoomView((view) => view.select);
  const askFor = usePointing((pointing) => pointing.askFor);
  const [query, setQuery] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const done = () => askFor(null);

  const add = (label: string, deviceId: string, commands: readonly SimpleCommand[]) => {
    if (session.run({ type: 'batch', label, commands: [...commands] }))
      select({ kind: 'device', id: deviceId });
    done();
  };

  const choice = (): Choice => {
    switch (asking.ask) {
      case 'which way':
        return {
          title: 'Connect them which way?',
          placeholder: 'By which sockets?',
          empty: 'No way matches.',
          groups: [
            {
              heading: 'Ways',
              items: asking.ways.map((way, index) => ({
                key: String(index),
                label: wayText(analysis, way),
                about: cableText(way.cable),
              })),
            },
          ],
          pick: (key) => {
            const way = asking.ways[Number(key)];
            if (way) joinBy(session, way);
            done();
          },
        };
      case 'what goes here': {
        const { deviceId, portId } = asking.held;
        const name = analysis.rig.devices[deviceId]?.name ?? '';
        const offered = offeredBeside(analysis, deviceId, portId);
        const isAnyFree = analysis.graph.devices
          .get(deviceId)
          ?.ports.values()
          .some((port) => isFree(port) && (portId === null || port.id === portId));
        return {
          title: `What goes here, connected to ${name}?`,
          placeholder: 'Search: what takes it, what feeds it …',
          empty: isAnyFree
            ? 'No class matches. Try a plainer word.'
            : `Every socket of ${name} holds a cable.`,
          groups: [
            ...stepGroups(
              offered.filter(({ takes }) => takes),
              ({ model, portName, cable }) =>
                classItem(model, `takes ${name}, ${portName}: ${cableText(cable)}`),
            ),
            ...stepGroups(
              offered.filter(({ takes }) => !takes),
              ({ model, portName, cable }) =>
                classItem(model, `feeds ${name}, ${portName}: ${cableText(cable)}`),
              'Feeding it: ',
            ),
          ],
          pick: (key) => {
            const found = offered.find(({ model }) => classItem(model, '').key === key);
            if (found) add(`Add ${found.model.name} to ${name}`, found.deviceId, found.commands);
          },
        };
      }
      case 'what between': {
        const edge = analysis.graph.links.get(asking.linkId);
        const offered = edge ? offeredBetween(analysis, edge) : [];
        const there = edge
          ? [...analysis.graph.devices.keys()].flatMap((id) => {
              const spliced = putInto(analysis, id, edge);
              return spliced.can ? [{ id, label: spliced.label }] : [];
            })
          : [];
        return {
          title: 'What goes in between?',
          placeholder: 'Search: booster, converter, pad …',
          empty: 'Nothing passes this cable’s signal on from one end to the other.',
          groups: [
            ...(there.length > 0
              ? [
                  {
                    heading: 'In the rig',
                    items: there.map(({ id, label }) => ({
                      key: `device:${id}`,
                      label: analysis.rig.devices[id]?.name ?? id,
                      about: label,
                    })),
                  },
                ]
              : []),
            ...stepGroups(offered, ({ model }) => classItem(model, model.about)),
          ],
          pick: (key) => {
            const own = there.find(({ id }) => `device:${id}` === key);
            if (own) {
              putIntoThread(session, own.id, asking.linkId);
              return done();
            }
            const found = offered.find(({ model }) => classItem(model, '').key === key);
            if (found) add(`Put ${found.model.name} in between`, found.deviceId, found.commands);
          },
        };
      }
    }
  };

  const { title, placeholder, empty, groups, pick } = choice();
  return (
    <Modal open onClose={done} title={title} focusFirst={input}>
      <PickList
        label={title}
        placeholder={placeholder}
        groups={groups}
        empty={empty}
        query={query}
        onQuery={setQuery}
        onPick={pick}
        inputRef={input}
      />
    </Modal>
  );
};
