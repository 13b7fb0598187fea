import type { Measured } from '../../passes/measured';
import { coverage } from '../../passes/coverage';
import { loudnesses } from '../../passes/processing/loudness';
import { figure } from '../../passes/sum';
import { predictedVoices } from '../../recorded/voices';
import { type Device, entry, inOrder, type Kind, type Rig } from '../../rig';
import { about, type CheckLine, line } from './line';

/** Lines about what is tried before the show: voices, ears, the way out. */

/** How far what is read may be from what is computed before it is said. Typical; a voice varies by as much. */
const LEVEL_WITHIN_DB = 4;
const LOUDNESS_WITHIN_LU = 3;
/** A quarter of a frame at 25 frames a second. @unit ms */
const OFFSET_WITHIN_MS = 10;

export const voiceLines = (analysis: Measured): CheckLine[] =>
  predictedVoices(analysis).map(({ key, label, personId, levelDbfs, soundId }) =>
    line({
      id: `voice ${key}`,
      phase: 'test',
      what: `${entry(analysis.rig.people, personId ?? '')?.name ?? label} speaks as in the show`,
      where: label,
      who: entry(analysis.rig.people, personId ?? '')?.name ?? '',
      why: 'A level that is off by more than a few decibels says that something is set otherwise.',
      figure: levelDbfs === null ? null : `${figure(levelDbfs)} dBFS on average`,
      reads:
        levelDbfs === null ? null : { unit: 'dBFS', expected: levelDbfs, within: LEVEL_WITHIN_DB },
      lookUp: 'gain',
      isMust: true,
      deviceId: soundId,
    }),
  );

const isRemotePerson = ({ people }: Rig, personId: string): boolean =>
  entry(people, personId)?.where === 'remote';

export const earLines = (analysis: Measured): CheckLine[] =>
  coverage(analysis)
    .filter(
      ({ need, verdict, subject }) =>
        need === 'hears' && (verdict !== 'missing' || isRemotePerson(analysis.rig, subject.id)),
    )
    .map(({ subject, says }) => {
      const isRemote = isRemotePerson(analysis.rig, subject.id);
      return line({
        id: `ears ${subject.id}`,
        phase: 'test',
        what: isRemote
          ? `${subject.name} hears everybody but not themselves`
          : `${subject.name} hears what they should`,
        who: subject.name,
        why: isRemote
          ? 'Hearing oneself late makes speech falter.'
          : 'Who hears nothing asks for it on air.',
        figure: says,
        lookUp: 'monitoring',
        isMust: isRemote,
        caution: isRemote ? null : 'Turn down before putting headphones on.',
      });
    });

/** The kinds of ends that a show goes out by. */
export const endLines = (rig: Rig, kind: Kind): readonly (readonly [string, Device])[] =>
  inOrder(rig.devices).filter(([, { model }]) => model.kind === kind);

export const streamLines = (analysis: Measured): CheckLine[] =>
  endLines(analysis.rig, 'stream').flatMap(([id, device]) => [
    line({
      id: `stream-test ${id}`,
      phase: 'test',
      what: `${device.name}: a minute to a private page, watched from outside`,
      why: 'Sound and picture are judged where they arrive, and the line is loaded.',
      lookUp: 'time',
      deviceId: id,
      isMust: true,
    }),
    line({
      id: `stream-on ${id}`,
      phase: 'go live',
      what: `${device.name} started, seen on another screen`,
      why: 'A stream that is started is not yet a stream that arrives.',
      deviceId: id,
      isMust: true,
    }),
    line({
      id: `stream-off ${id}`,
      phase: 'strike',
      what: `${device.name} ended, seen as ended on another screen`,
      why: 'What is said after the show is heard otherwise.',
      deviceId: id,
    }),
  ]);

/** What a programme measures when it is over: only then all of it was heard. */
export const loudnessLines = (analysis: Measured): CheckLine[] =>
  loudnesses(analysis).map(({ end, lufs, targetLufs }) =>
    line({
      id: `loudness ${end.id}`,
      phase: 'strike',
      what: `Read the loudness of ${analysis.device(end).name}, whole`,
      why: 'What differs from show to show is what listeners turn up and down for.',
      figure: `about ${figure(lufs)} LUFS as it is set; ${figure(targetLufs)} LUFS to deliver`,
      reads: { unit: 'LUFS', expected: lufs, within: LOUDNESS_WITHIN_LU },
      lookUp: 'gain',
      deviceId: end.id,
    }),
  );

export const computerLines = (rig: Rig): CheckLine[] =>
  endLines(rig, 'computer').flatMap(([id, device]) => [
    line({
      ...about(rig, id, device),
      id: `network ${id}`,
      phase: 'set up',
      what: `${device.name} on the network by wire`,
      why: 'A wireless link is shared with everybody’s telephone in the room.',
    }),
    line({
      ...about(rig, id, device),
      id: `quiet ${id}`,
      phase: 'go live',
      what: `${device.name}: do not disturb, no updates, no sleep`,
      why: 'What pops up is in the show.',
    }),
  ]);

export const syncLines = (analysis: Measured): CheckLine[] =>
  inOrder(analysis.rig.offsets).map(([id, { soundId, pictureId, offsetMs }]) => {
    const name = (deviceId: string): string => entry(analysis.rig.devices, deviceId)?.name ?? '';
    return line({
      id: `sync ${id}`,
      phase: 'test',
      what: `Clap before ${name(pictureId)}, heard by ${name(soundId)}`,
      why: 'A setting that was changed since moves sound against picture.',
      figure: `${figure(offsetMs)} ms when it was measured`,
      reads: { unit: 'ms', expected: offsetMs, within: OFFSET_WITHIN_MS },
      lookUp: 'time',
      deviceId: pictureId,
    });
  });
