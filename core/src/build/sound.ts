import { classById } from '../catalogue';
import { type Desk, deskFor } from './desks';
import { addListening } from './listening';
import { CannotBuild, guestsOf, onSiteOf, type Plan } from './plan';

type Voice = Plan['people'][number];

/** A microphone that stays with whoever moves, and a close dynamic on an arm or a stand for everyone else. */
const microphoneClass = ({ posture, dislikesHeadset }: Voice): string =>
  posture === 'moves' ? (dislikesHeadset ? 'mic-wireless' : 'mic-headset') : 'mic-dynamic-stage';
const NEEDS_PHANTOM: ReadonlySet<string> = new Set(['mic-headset']);

const byUsb = ({ draft, machine: { sockets } }: Plan, voice: Voice): void => {
  draft
    .device(`${voice.id}-mic`, 'mic-usb', { name: `${voice.name} mic`, person: voice.id })
    .link(`${voice.id}-mic.usb`, `computer.${sockets.sound}`, 2, 'usb-2')
    .device(`${voice.id}-phones`, 'headphones-closed', {
      name: `${voice.name} headphones`,
      person: voice.id,
    })
    .link(`${voice.id}-mic.phones`, `${voice.id}-phones.in`, 1);
};

/** The microphones of voices, each into the desk's next input, powered where they need it. */
const addMicrophones = ({ draft }: Plan, desk: Desk, voices: readonly Voice[]): void => {
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
};

/** Whether a second machine keeps the sound: asked for, or by a house rule. */
const wantsBackup = ({ answers, rules }: Plan, voices: readonly Voice[]): boolean =>
  answers.deliverables.includes('backup') ||
  (voices.length > 0 &&
    (rules.recordingsOfVoice > 1 || rules.soundRecorded === 'stand-alone recorder'));

/** Microphones, what they go into, what everyone listens with, and the second machine that records. */
export const addSound = (plan: Plan): void => {
  const { draft, rules, answers, machine } = plan;
  const local = onSiteOf(plan);
  const voices = local.filter(({ isHeard }) => isHeard);
  const guests = guestsOf(plan).some(({ isHeard }) => isHeard);
  const [only] = voices;
  if (only && rules.microphones === 'usb' && voices.length === 1 && local.length === 1) {
    if (answers.deliverables.includes('backup'))
      throw new CannotBuild(
        'A USB microphone goes into one computer only, and a backup of the sound on a second ' +
          'machine is asked for. Use XLR and an interface, or leave the backup out.',
      );
    byUsb(plan, only);
    return;
  }
  if (voices.length === 0 && !guests) return;
  const needs = new Set(voices.map(microphoneClass));
  const desk = deskFor(voices.length, {
    keepSpare: rules.spareInputs === 'one in four',
    singlePhantom: needs.has('mic-headset') && needs.has('mic-wireless'),
  });
  addMicrophones(plan, desk, voices);
  draft.link('desk.usb', `computer.${machine.sockets.sound}`, 2, 'usb-2');
  addListening(plan, desk, rules.monitoring === 'loudspeakers muted' && !guests ? [] : local);
  if (wantsBackup(plan, voices))
    draft
      .device('backup', 'recorder-sound', { name: 'Backup recorder' })
      .link(`desk.${desk.outs[1]}`, 'backup.line-1', 2);
};
