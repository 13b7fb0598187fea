import { classById } from '../catalogue';
import { fittingMbps } from '../edits/cards';
import { CannotBuild, type PictureSubject, type Plan } from './plan';

const isUhd = ({ rules }: Plan): boolean => rules.captureSize !== '1080p everywhere';

/**
 * The format a camera is set to by the school of capture size: what is punched into or delivered
 * larger is shot larger.
 */
const cameraFormat = (plan: Plan): string => (isUhd(plan) ? '3840x2160p30' : '1920x1080p60');

const sourceId = ({ id, source }: PictureSubject): string =>
  `${id}-${source === 'camera' ? 'camera' : 'source'}`;

/** Whether each camera makes a file of its own. */
const recordsEach = ({ answers, rules }: Plan): boolean =>
  answers.deliverables.includes('camera recordings') || rules.switching === 'none, cut later';

/** Bitrates that keep a picture for the edit. @unit Mb/s */
const CARD_MBPS = { hd: 50, uhd: 100 } as const;

/** How a camera's card is set so that the whole show goes on it. */
const onItsCard = (plan: Plan, classId: string): Record<string, boolean | number | string> => {
  const { storage, controls } = classById(classId);
  const bitrate = controls['card-mbps'];
  if (!storage || bitrate?.type !== 'amount') return {};
  const fitsMbps = fittingMbps(storage, plan.answers.brief.lengthMin) ?? Infinity;
  const wanted = isUhd(plan) ? CARD_MBPS.uhd : CARD_MBPS.hd;
  const steps = Math.floor(Math.min(wanted, fitsMbps) / bitrate.step);
  return {
    record: true,
    'card-format': cameraFormat(plan),
    'card-mbps': Math.max(bitrate.min, steps * bitrate.step),
  };
};

const addSource = (plan: Plan, subject: PictureSubject, classId = 'camera-camcorder'): void => {
  const person = subject.personId ?? undefined;
  const sight = subject.sightId ?? undefined;
  const format = cameraFormat(plan);
  switch (subject.source) {
    case 'camera':
      plan.draft.device(sourceId(subject), classId, {
        name: `${subject.name} camera`,
        person,
        sight,
        settings:
          classId === 'webcam'
            ? {}
            : { format, ...(recordsEach(plan) ? onItsCard(plan, classId) : {}) },
      });
      return;
    case 'slides':
      plan.draft.device(sourceId(subject), 'player-slides', { name: subject.name, sight });
      return;
    case 'console':
      plan.draft.device(sourceId(subject), 'player-console', {
        name: subject.name,
        sight,
        settings: { protected: false },
      });
      return;
  }
};

/** Switchers by size, with the inputs that stay free when one in four is kept. */
const SWITCHERS = [
  { classId: 'switcher-4', inputs: 4 },
  { classId: 'switcher-8', inputs: 8 },
  { classId: 'switcher-20', inputs: 20 },
] as const;
const switcherFor = ({ pictures, rules }: Plan): (typeof SWITCHERS)[number] => {
  const found = SWITCHERS.find(
    ({ inputs }) =>
      pictures.length <= inputs - (rules.spareInputs === 'exact' ? 0 : Math.floor(inputs / 4)),
  );
  if (!found)
    throw new CannotBuild(
      `${pictures.length} pictures are more than the largest switcher takes with the inputs ` +
        `that must stay free (${SWITCHERS[2].inputs - Math.floor(SWITCHERS[2].inputs / 4)}). ` +
        'Let a camera see several people.',
    );
  return found;
};

/** One camera, straight into the computer. */
const addSingle = (plan: Plan, subject: PictureSubject): void => {
  const { draft, answers } = plan;
  const [socket = 'usb-2'] = plan.sockets.pictures;
  const isPlain =
    subject.source === 'camera' &&
    !isUhd(plan) &&
    !answers.deliverables.includes('camera recordings');
  if (isPlain && answers.people.length === 1) {
    addSource(plan, subject, 'webcam');
    draft.link(`${sourceId(subject)}.usb`, `computer.${socket}`, 2, 'usb-2');
    return;
  }
  addSource(plan, subject);
  addCapture(plan, 'capture', `${sourceId(subject)}.hdmi`, socket);
};

/** A capture device on a socket of its own. Uncompressed 1080p30 leaves room for two on one controller. */
const addCapture = ({ draft, rules }: Plan, id: string, from: string, socket: string): void => {
  const isLarge = rules.captureSize !== '1080p everywhere';
  draft
    .device(id, isLarge ? 'capture-10g' : 'capture-5g', {
      name: id === 'capture' ? 'Capture' : id.replace('-', ' '),
      settings: { 'capture-format': '1920x1080p30', encoding: 'raw 16' },
    })
    .link(from, `${id}.in`, 3)
    .link(`${id}.usb`, `computer.${socket}`, 1, 'usb-5g');
};

const inSoftware = (plan: Plan): void => {
  const { pictures, sockets } = plan;
  if (pictures.length > sockets.pictures.length)
    throw new CannotBuild(
      `${pictures.length} pictures want a fast socket of the computer each, and it has ` +
        `${sockets.pictures.length}. Switch in hardware, or let a camera see several people.`,
    );
  pictures.forEach((subject, index) => {
    addSource(plan, subject);
    addCapture(
      plan,
      `capture-${index + 1}`,
      `${sourceId(subject)}.hdmi`,
      sockets.pictures[index] ?? '',
    );
  });
};

const inHardware = (plan: Plan): void => {
  const { draft, pictures } = plan;
  const { classId } = switcherFor(plan);
  const isSerial = classId === 'switcher-20';
  // Without scalers every input must arrive in the house format.
  if (isSerial && isUhd(plan))
    throw new CannotBuild(
      `${pictures.length} pictures at 2160p want a switcher that is not in the catalogue. ` +
        'Choose 1080p everywhere, or let a camera see several people.',
    );
  draft.device('switcher', classId, {
    name: 'Switcher',
    settings: isSerial ? {} : { 'usb-encoding': 'raw 16' },
  });
  pictures.forEach((subject, index) => {
    addSource(plan, subject);
    const id = sourceId(subject);
    const input = `switcher.in-${index + 1}`;
    if (!isSerial) scaledInto(plan, id, input, subject);
    else if (subject.source === 'camera') draft.link(`${id}.sdi`, input, 10);
    else
      draft
        .device(`${id}-converter`, 'converter-hdmi-sdi', { name: `${subject.name} converter` })
        .link(`${id}.hdmi`, `${id}-converter.in`, 2)
        .link(`${id}-converter.out`, input, 10);
  });
  if (!isSerial) draft.link('switcher.usb', 'computer.usb-2', 2, 'usb-5g');
  else {
    draft
      .device('programme-converter', 'converter-sdi-hdmi', { name: 'Programme converter' })
      .link('switcher.programme', 'programme-converter.in', 3);
    addCapture(plan, 'capture', 'programme-converter.out', 'usb-2');
  }
  if (classId === 'switcher-8')
    draft
      .device('multiview', 'display-monitor', { name: 'Multiview' })
      .link('switcher.multiview', 'multiview.in', 3);
};

/**
 * HDMI inputs take 1080p: a larger picture comes through a scan converter, which leaves the
 * camera's own recording large.
 */
const scaledInto = (plan: Plan, id: string, input: string, subject: PictureSubject): void => {
  const { draft } = plan;
  if (subject.source !== 'camera' || !isUhd(plan)) draft.link(`${id}.hdmi`, input, 5);
  else
    draft
      .device(`${id}-scaler`, 'converter-scan', { name: `${subject.name} scaler` })
      .link(`${id}.hdmi`, `${id}-scaler.in`, 2)
      .link(`${id}-scaler.out`, input, 5);
};

const priceOf = (classId: string): number => classById(classId).typicalPrice ?? Infinity;

/**
 * A file of what has no card of its own: a recorder each, or one switcher that records all its
 * inputs where that costs less.
 */
const addRecorders = ({ draft }: Plan, subjects: readonly PictureSubject[]): void => {
  const each = priceOf('recorder-picture');
  const together = priceOf('switcher-8-recording');
  if (subjects.length <= 8 && together < each * subjects.length) {
    draft.device('recorder', 'switcher-8-recording', { name: 'Recording switcher' });
    subjects.forEach((subject, index) =>
      draft.link(`${sourceId(subject)}.hdmi`, `recorder.in-${index + 1}`, 3),
    );
    return;
  }
  for (const subject of subjects) {
    const id = sourceId(subject);
    draft
      .device(`${id}-recorder`, 'recorder-picture', { name: `${subject.name} recorder` })
      .link(`${id}.hdmi`, `${id}-recorder.in`, 2);
  }
};

/** Cameras and players, and their way into the computer by the school of switching. */
export const addPictures = (plan: Plan): void => {
  const { pictures, rules, answers } = plan;
  const [only] = pictures;
  const recorded = answers.deliverables.includes('camera recordings');
  if (recorded && !pictures.some(({ source }) => source === 'camera'))
    throw new CannotBuild(
      'A recording per camera was asked for, and no camera is needed. Let someone be seen, ' +
        'or leave the recordings out.',
    );
  if (!only) return;
  if (rules.switching === 'none, cut later' && pictures.length > 1) {
    if (
      answers.deliverables.some(
        (what) => what === 'stream' || what === 'programme recording' || what === 'vertical clips',
      )
    )
      throw new CannotBuild(
        'The house rule is not to switch at all, and a stream or a programme is asked for. ' +
          'Choose another school of switching, or deliver a recording per camera.',
      );
    for (const subject of pictures) addSource(plan, subject);
    addRecorders(
      plan,
      pictures.filter(({ source }) => source !== 'camera'),
    );
    return;
  }
  if (pictures.length === 1) addSingle(plan, only);
  else if (rules.switching === 'software') inSoftware(plan);
  else inHardware(plan);
};
