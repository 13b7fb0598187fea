import { classById } from '../catalogue';
import { CannotBuild, type Plan } from './plan';

interface Desk {
  readonly classId: string;
  readonly inputs: number;
  readonly phones: number;
  /** Line outputs: the first feeds headphones, the second the recorder */
  readonly outs: readonly [string, string];
  /** Switch that powers a channel */
  readonly phantom: (channel: number) => string;
}

const inGroupsOf =
  (size: number) =>
  (channel: number): string =>
    `phantom-${Math.ceil(channel / size)}`;
const INTERFACE_OUTS = ['out-1', 'out-2'] as const;

/** What microphones go into, smallest first. */
const DESKS: readonly Desk[] = [
  { classId: 'interface-2', inputs: 2, phones: 1, outs: INTERFACE_OUTS, phantom: inGroupsOf(2) },
  { classId: 'interface-4', inputs: 4, phones: 2, outs: INTERFACE_OUTS, phantom: inGroupsOf(2) },
  { classId: 'interface-8', inputs: 8, phones: 2, outs: INTERFACE_OUTS, phantom: inGroupsOf(4) },
  {
    classId: 'mixer-16',
    inputs: 16,
    phones: 2,
    outs: ['main-1', 'main-2'],
    phantom: (channel) => `phantom-${channel}`,
  },
];

/** The smallest desk with inputs for every voice and the spare ones of the house rule. */
const deskFor = (voices: number, keepSpare: boolean): Desk => {
  const desk = DESKS.find(
    ({ inputs }) => voices <= inputs - (keepSpare ? Math.floor(inputs / 4) : 0),
  );
  if (!desk)
    throw new CannotBuild(
      `${voices} microphones are more than the largest desk of the catalogue takes.`,
    );
  return desk;
};

type Voice = Plan['people'][number];

/** A microphone that stays with whoever moves or needs both hands, and a close dynamic for everyone else. */
const microphoneClass = ({ posture, needsHandsFree, dislikesHeadset }: Voice): string =>
  posture === 'moves' || needsHandsFree
    ? dislikesHeadset
      ? 'mic-wireless'
      : 'mic-headset'
    : 'mic-dynamic-stage';
const NEEDS_PHANTOM: ReadonlySet<string> = new Set(['mic-headset']);

const byUsb = ({ draft, sockets }: Plan, voice: Voice): void => {
  draft
    .device(`${voice.id}-mic`, 'mic-usb', { name: `${voice.name} mic`, person: voice.id })
    .link(`${voice.id}-mic.usb`, `computer.${sockets.sound}`, 2, 'usb-2')
    .device(`${voice.id}-phones`, 'headphones-closed', {
      name: `${voice.name} headphones`,
      person: voice.id,
    })
    .link(`${voice.id}-mic.phones`, `${voice.id}-phones.in`, 1);
};

/** Headphones for everyone on site: the desk's own sockets first, then an amplifier on its first output. */
const addHeadphones = ({ draft }: Plan, desk: Desk, listeners: readonly Voice[]): void => {
  const beyond = listeners.length - desk.phones;
  const amplifier =
    beyond > 4
      ? { classId: 'headphone-amplifier-8', sockets: 8 }
      : { classId: 'headphone-amplifier-4', sockets: 4 };
  if (beyond > amplifier.sockets)
    throw new CannotBuild(
      `${listeners.length} pairs of headphones are more than one desk and one amplifier feed.`,
    );
  if (beyond > 0)
    draft
      .device('headphone-amplifier', amplifier.classId, { name: 'Headphone amplifier' })
      .link(`desk.${desk.outs[0]}`, 'headphone-amplifier.in', 2);
  listeners.forEach(({ id, name }, index) => {
    const socket =
      index < desk.phones
        ? `desk.phones-${index + 1}`
        : `headphone-amplifier.phones-${index + 1 - desk.phones}`;
    draft
      .device(`${id}-phones`, 'headphones-closed', { name: `${name} headphones`, person: id })
      .link(socket, `${id}-phones.in`, 3);
  });
};

/** Microphones, what they go into, headphones, and the second machine that records. */
export const addSound = (plan: Plan): void => {
  const { draft, people, rules, answers, sockets } = plan;
  const local = people.filter(({ where }) => where === 'on site');
  const voices = local.filter(({ isHeard }) => isHeard);
  const guests = people.some(({ where, isHeard }) => where === 'remote' && isHeard);
  const listeners = rules.monitoring === 'loudspeakers muted' && !guests ? [] : local;
  const [only] = voices;
  const wantsBackup = answers.deliverables.includes('backup');
  if (only && rules.microphones === 'usb' && voices.length === 1 && local.length === 1) {
    if (wantsBackup)
      throw new CannotBuild(
        'A USB microphone goes into one computer only, and a backup of the sound on a second ' +
          'machine is asked for. Use XLR and an interface, or leave the backup out.',
      );
    byUsb(plan, only);
    return;
  }
  if (voices.length === 0 && listeners.length === 0) return;
  const desk = deskFor(voices.length, rules.spareInputs === 'one in four');
  const settings: Record<string, boolean> = {};
  voices.forEach((voice, index) => {
    if (NEEDS_PHANTOM.has(microphoneClass(voice))) settings[desk.phantom(index + 1)] = true;
  });
  draft.device('desk', desk.classId, {
    name: classById(desk.classId).kind === 'mixer' ? 'Mixer' : 'Interface',
    settings,
  });
  voices.forEach((voice, index) =>
    draft
      .device(`${voice.id}-mic`, microphoneClass(voice), {
        name: `${voice.name} mic`,
        person: voice.id,
      })
      .link(`${voice.id}-mic.out`, `desk.mic-${index + 1}`, 5),
  );
  draft.link('desk.usb', `computer.${sockets.sound}`, 2, 'usb-2');
  if (listeners.length > 0) addHeadphones(plan, desk, listeners);
  if (wantsBackup || (rules.recordingsOfVoice > 1 && voices.length > 0))
    draft
      .device('backup', 'recorder-sound', { name: 'Backup recorder' })
      .link(`desk.${desk.outs[1]}`, 'backup.line-1', 2);
};
