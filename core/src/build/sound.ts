import { classById } from '../catalogue';
import { type Desk, DESK_WITH_CARD, deskFor } from './desks';
import { addListening } from './listening';
import { CannotBuild, guestsOf, onSiteOf, type Plan } from './plan';
import { noteOtherWay, soundWay } from './sound-way';

type Voice = Plan['people'][number];

/** A microphone that stays with whoever moves, and a close dynamic on an arm or a stand for everyone else. */
const microphoneClass = ({ posture, dislikesHeadset }: Voice): string =>
  posture === 'moves' ? (dislikesHeadset ? 'mic-lavalier' : 'mic-headset') : 'mic-dynamic-stage';
const NEEDS_PHANTOM: ReadonlySet<string> = new Set(['mic-headset', 'mic-lavalier']);

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

/** Each voice into the camera that sees it. */
const intoCameras = ({ draft }: Plan, voices: readonly Voice[]): void => {
  for (const voice of voices) {
    const classId = microphoneClass(voice);
    draft
      .device(`${voice.id}-mic`, classId, { name: `${voice.name} mic`, person: voice.id })
      .link(`${voice.id}-mic.out`, `${voice.id}-camera.mic`, 5)
      .do({
        type: 'setControl',
        deviceId: `${voice.id}-camera`,
        control: 'phantom',
        value: NEEDS_PHANTOM.has(classId),
      });
  }
};

/** Into a desk that keeps the tracks, and its mix with the pictures through the switcher. */
const throughSwitcher = (plan: Plan, voices: readonly Voice[]): void => {
  addMicrophones(plan, DESK_WITH_CARD, voices);
  addListening(plan, DESK_WITH_CARD, [
    'switcher.sound-1',
    ...addBackups(plan, DESK_WITH_CARD, plan.rules.recordingsOfVoice - 2),
  ]);
};

/**
 * Recorders beside the computer: the first on the desk's second output.
 * @returns inputs of the others, which want the mix from elsewhere
 */
const addBackups = ({ draft }: Plan, desk: Desk, count: number): string[] => {
  const ids = Array.from({ length: Math.max(0, count) }, (_, index) =>
    index === 0 ? 'backup' : `backup-${index + 1}`,
  );
  ids.forEach((id, index) =>
    draft.device(id, 'recorder-sound', {
      name: index === 0 ? 'Backup recorder' : `Backup recorder ${index + 1}`,
    }),
  );
  const [first, ...more] = ids;
  if (first !== undefined) draft.link(`desk.${desk.outs[1]}`, `${first}.line-1`, 2);
  return more.map((id) => `${id}.line-1`);
};

/** Into a desk by the computer, and the mix on as many more machines as are asked for. */
const intoComputer = (plan: Plan, voices: readonly Voice[]): void => {
  const { draft, rules, machine, answers } = plan;
  const desk = deskFor(voices.length, rules.spareInputs === 'one in four');
  addMicrophones(plan, desk, voices);
  draft.link('desk.usb', `computer.${machine.sockets.sound}`, 2, 'usb-2');
  const isWanted =
    answers.deliverables.includes('backup') || rules.soundRecorded === 'stand-alone recorder';
  addListening(
    plan,
    desk,
    addBackups(plan, desk, Math.max(isWanted ? 1 : 0, rules.recordingsOfVoice - 1)),
  );
};

/** Microphones, what they go into, what everyone listens with, and the second machine that records. */
export const addSound = (plan: Plan): void => {
  const { rules, answers } = plan;
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
  noteOtherWay(plan);
  switch (soundWay(plan)) {
    case 'into the camera':
      return intoCameras(plan, voices);
    case 'through the switcher':
      return throughSwitcher(plan, voices);
    case 'interface into the computer':
    case 'stand-alone recorder':
      return intoComputer(plan, voices);
  }
};
