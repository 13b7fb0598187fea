import { startCard } from '../../edits/cards';
import { isSeparateRecording } from '../../passes/coverage/recordings';
import { batchFix } from '../rule-of';
import { devices, houseRule, one, passes } from './house-rule';

export const switchingSchool = houseRule(
  'switching',
  'brief.switching',
  {
    looksFor:
      'Several cameras on their way to a stream without a switcher where the school is ' +
      'hardware, or with one where it is not.',
    why: 'Who switches, and on what, decides what has to be bought and who has to be there.',
    remedy: 'Put the cameras through a switcher, or choose the school the rig follows.',
  },
  (measured) => {
    const { switching } = measured.rig.houseRules;
    const cameras = devices(measured, 'camera', 'webcam', 'phone').filter((node) =>
      node.ports.values().some(({ links }) => links.length > 0),
    );
    const isCamera = new Set(cameras);
    const threads = measured.traced.threads.filter(
      ({ signal, source, end }) =>
        signal === 'picture' && isCamera.has(source.device) && end.device.model.step === 'deliver',
    );
    const onAir = new Set(threads.map(({ source }) => source.device));
    const switched = new Set(
      threads
        .filter((thread) => passes(thread, ({ model }) => model.kind === 'switcher'))
        .map(({ source }) => source.device),
    );
    const [box] = devices(measured, 'switcher').filter((node) =>
      node.ports.values().some(({ links }) => links.length > 0),
    );
    if (switching === 'hardware switcher') {
      const past = cameras.filter((node) => onAir.has(node) && !switched.has(node));
      const [first] = past;
      return first && cameras.length > 1
        ? [
            one(
              'warn',
              first,
              `${past.length} of ${cameras.length} cameras past the switcher`,
              `${past.map((node) => measured.device(node).name).join(', ')} ` +
                `${past.length === 1 ? 'goes' : 'go'} to the computer without a switcher; the house ` +
                'rule is a hardware switcher.',
            ),
          ]
        : [];
    }
    if (switching === 'none, cut later') {
      const kept = new Set(
        measured.traced.threads
          .filter((thread) => thread.signal === 'picture' && isSeparateRecording(thread))
          .map(({ source }) => source.device),
      );
      return cameras
        .filter((node) => !kept.has(node))
        .map((node) =>
          one(
            'warn',
            node,
            'No recording of its own',
            `${measured.device(node).name} has no recording of its own; the house rule is to record every ` +
              'camera and cut later. Let it record on a card, or give it a recorder.',
          ),
        );
    }
    return box
      ? [
          one(
            'note',
            box,
            'A switcher',
            `${measured.device(box).name} switches; the house rule is software on the computer.`,
          ),
        ]
      : [];
  },
  {
    fixes: (measured, { about }) => {
      const node =
        about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
      const { switching } = measured.rig.houseRules;
      if (!node || switching !== 'none, cut later') return [];
      const commands = startCard(measured, node);
      return commands.length > 0
        ? [batchFix(`Let ${measured.device(node).name} record on its own card`, commands)]
        : [];
    },
  },
);
