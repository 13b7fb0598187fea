import type { Fix } from '../../edits/fix';
import type { Thread } from '../../graph';
import { stagesOf } from '../../graph';
import type { Measured } from '../../passes/measure';
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
    const thread = echoes(measured).find(({ last }) => last.index === about.stage);
    if (!thread) return [];
    return stagesOf(thread.last).flatMap((stage): Fix[] => {
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
  },
};
