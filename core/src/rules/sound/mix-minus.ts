import type { Fix } from '../../edits/fix';
import { unplug } from '../../edits/unplug';
import type { Thread } from '../../graph';
import { stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { atStage } from '../about';
import type { Rule } from '../rule';

/** Sound that goes from a caller's return back to the same caller. */
const echoes = (measured: Measured): Thread[] =>
  measured.traced.threads.filter(
    (thread) =>
      thread.end.device === thread.source.device &&
      // A file at their side is no way back.
      !thread.end.port.records &&
      thread.signal === 'sound' &&
      thread.source.device.model.kind === 'call',
  );

/** Ways of opening one loop: its switch, or else a cable on it, the last one first. */
const openings = (measured: Measured, { last }: Thread): readonly Fix[] => {
  const stages = stagesOf(last);
  const switches = stages.flatMap((stage): Fix[] => {
    const when = stage.via.by === 'route' ? stage.via.route.route.when : undefined;
    const control = when && stage.at.device.model.controls[when.control];
    const other =
      control?.type === 'choice'
        ? control.options.find((option) => option.value !== when?.is)
        : undefined;
    return when && other
      ? [
          {
            label: `Let the caller hear: ${other.label.toLowerCase()}`,
            command: {
              type: 'setControl',
              deviceId: stage.at.device.id,
              control: when.control,
              value: other.value,
            },
          },
        ]
      : [];
  });
  return switches.length > 0
    ? switches
    : stages
        .flatMap(({ via }) =>
          via.by === 'link' && via.link.from.port.family !== 'software' ? [via.link] : [],
        )
        .reverse()
        .map((edge) => unplug(measured, edge));
};

/** So many cables of a loop are offered to be unplugged. */
const MOST_WAYS = 6;

/** Every loop of one caller opened at once: with one of them left they hear themself as before. */
const openAll = (measured: Measured, loops: readonly Thread[]): Fix[] => {
  const ways = loops.map((loop) => openings(measured, loop));
  if (ways.some(({ length }) => length === 0)) return [];
  const most = Math.min(MOST_WAYS, Math.max(...ways.map(({ length }) => length)));
  return Array.from({ length: most }, (_, index): Fix => {
    const chosen = new Map(
      ways
        .flatMap((way) => way[Math.min(index, way.length - 1)] ?? [])
        .map((fix) => [fix.label, fix]),
    );
    const label = [...chosen.keys()].join('; ');
    const [first, ...more] = [...chosen.values()];
    const commands = [...chosen.values()].flatMap(({ command }) =>
      command.type === 'batch' || command.type === 'revert' ? [] : [command],
    );
    return first && more.length === 0
      ? first
      : { label, command: { type: 'batch', label, commands } };
  });
};

export const mixMinus: Rule = {
  code: 'sound.mix-minus',
  area: 'sound',
  matters: ['ears'],
  looksFor: 'A way from a remote guest’s sound back to the same guest.',
  why: 'They hear themself late and stop talking.',
  remedy: 'Send them a mix-minus: everything but themself.',
  source: 'handbook 2-sound, hearing',
  find: (measured) =>
    echoes(measured).map((thread) => ({
      code: 'sound.mix-minus',
      area: 'sound',
      level: 'stop',
      about: atStage(thread.last, {
        deviceId: thread.source.device.id,
        portId: thread.end.id,
      }),
      title: 'The guest hears themself',
      says: `${measured.device(thread.source.device).name} is sent their own voice back, by way of ${[
        ...new Set(
          stagesOf(thread.last)
            .slice(1, -1)
            .map((stage) => measured.device(stage.at.device).name),
        ),
      ].join(', ')}. They will hear an echo and stop talking. Send them everything but themself.`,
    })),
  fixes: (measured, { about }) => {
    const all = echoes(measured);
    const thread = all.find(({ last }) => last.index === about.stage);
    return thread
      ? openAll(
          measured,
          all.filter(({ source, end }) => source === thread.source && end === thread.end),
        )
      : [];
  },
};
