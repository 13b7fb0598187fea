import { classById } from '../catalogue';
import { fittingMbps } from '../edits/cards';
import { framesPerSecond, parseFormat } from '../units';
import {
  CannotBuild,
  isSeenGuest,
  type PictureSubject,
  type Plan,
  priceOf,
  sourceId,
  TooSmall,
} from './plan';
import { isStreamedFrom, soundWay } from './sound-way';
import { type SwitcherSize, switcherFor } from './switchers';

const isUhd = ({ rules }: Plan): boolean => rules.captureSize !== '1080p everywhere';

/** Whether each camera makes a file of its own. */
const recordsEach = (plan: Plan): boolean =>
  plan.answers.deliverables.includes('camera recordings') ||
  plan.rules.switching === 'none, cut later' ||
  soundWay(plan) === 'into the camera';

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
    'card-format': plan.formats.camera,
    'card-mbps': Math.max(bitrate.min, steps * bitrate.step),
  };
};

/**
 * One over the shutter: half a picture's time or all of it, a whole number of times the lamps flash.
 * @source handbook 3-picture: the mains region decides shutters
 */
const shutterFor = ({ mains, formats }: Plan): number => {
  const hz = mains?.hz ?? 50;
  return framesPerSecond(parseFormat(formats.camera)) > 30 ? 2 * hz : hz;
};

const addSource = (plan: Plan, subject: PictureSubject, classId = 'camera-camcorder'): void => {
  const person = subject.personId ?? undefined;
  const sight = subject.sightId ?? undefined;
  const { camera, house } = plan.formats;
  switch (subject.source) {
    case 'camera':
      plan.draft
        .device(sourceId(subject), classId, {
          name: `${subject.name} camera`,
          person,
          sight,
          settings:
            classId === 'webcam'
              ? { format: plan.formats.programme, shutter: shutterFor(plan) }
              : {
                  format: camera,
                  shutter: shutterFor(plan),
                  ...(recordsEach(plan) ? onItsCard(plan, classId) : {}),
                },
        })
        .shot(sourceId(subject), {
          personId: subject.personId,
          sightId: subject.sightId,
          wanted: subject.wanted,
        });
      return;
    case 'slides':
      plan.draft.device(sourceId(subject), 'player-slides', {
        name: subject.name,
        sight,
        settings: { format: house },
      });
      return;
    case 'console':
      plan.draft.device(sourceId(subject), 'player-console', {
        name: subject.name,
        sight,
        settings: { format: house, protected: false },
      });
      return;
  }
};

/**
 * Where a source's picture leaves it. Who plays must see the game at once, and what is captured comes
 * late: a splitter gives them a screen of their own.
 */
const outOf = ({ draft }: Plan, subject: PictureSubject): string => {
  const id = sourceId(subject);
  if (subject.source !== 'console') return `${id}.hdmi`;
  draft
    .device(`${id}-split`, 'splitter-hdmi-2', { name: `${subject.name} splitter` })
    .device(`${id}-screen`, 'display-monitor', { name: `Player’s screen of ${subject.name}` })
    .link(`${id}.hdmi`, `${id}-split.in`, 2)
    .link(`${id}-split.out-2`, `${id}-screen.in`, 2);
  return `${id}-split.out-1`;
};

const WEBCAM_FORMATS: ReadonlySet<string> = new Set(
  (() => {
    const format = classById('webcam').controls['format'];
    return format?.type === 'choice' ? format.options.map(({ value }) => value) : [];
  })(),
);

/** One picture, straight into the computer. */
const addSingle = (plan: Plan, subject: PictureSubject): void => {
  const { draft, answers, formats } = plan;
  const [socket = 'usb-2'] = plan.machine.sockets.pictures;
  const isPlain =
    subject.source === 'camera' &&
    !isUhd(plan) &&
    WEBCAM_FORMATS.has(formats.programme) &&
    !recordsEach(plan);
  if (isPlain && answers.people.length === 1) {
    addSource(plan, subject, 'webcam');
    draft.link(`${sourceId(subject)}.usb`, `computer.${socket}`, 2, 'usb-2');
    return;
  }
  addSource(plan, subject);
  addCapture(plan, 'capture', outOf(plan, subject), socket);
};

/**
 * Uncompressed 1080p30 leaves room for two on one controller; larger or faster ones are packed where
 * there are several.
 */
const addCapture = (
  { draft, formats, pictures, rules }: Plan,
  id: string,
  from: string,
  socket: string,
): void => {
  const isLarge = parseFormat(formats.camera).height > 1080;
  const programme = parseFormat(formats.programme);
  const isPacked = programme.height > 1080 || framesPerSecond(programme) > 30;
  draft
    .device(id, isLarge ? 'capture-10g' : 'capture-5g', {
      name: id === 'capture' ? 'Capture' : id.replace('-', ' '),
      settings: {
        'capture-format': isLarge ? formats.programme : formats.capture,
        encoding: !isPacked
          ? 'raw 16'
          : pictures.length > 1 && rules.switching === 'software'
            ? 'compressed'
            : 'raw 12',
      },
    })
    .link(from, `${id}.in`, 3)
    .link(`${id}.usb`, `computer.${socket}`, 1, 'usb-5g');
};

const inSoftware = (plan: Plan): void => {
  const { pictures, machine } = plan;
  const sockets = machine.sockets.pictures;
  if (pictures.length > sockets.length)
    throw new TooSmall(
      `${pictures.length} pictures want a fast socket of the computer each, and it has ` +
        `${sockets.length}. Switch in hardware, or let a camera see several people.`,
    );
  pictures.forEach((subject, index) => {
    addSource(plan, subject);
    addCapture(plan, `capture-${index + 1}`, outOf(plan, subject), sockets[index] ?? '');
  });
};

const inHardware = (plan: Plan): void => {
  const { draft, pictures, formats } = plan;
  const size = switcherFor(plan);
  // Without scalers every input must arrive in the house format.
  if (size.isSerial && isUhd(plan))
    throw new CannotBuild(
      `${pictures.length} pictures at 2160p want a switcher that is not in the catalogue. ` +
        'Choose 1080p everywhere, or let a camera see several people.',
    );
  draft.device('switcher', size.classId, {
    name: 'Switcher',
    settings: size.isSerial
      ? { 'house-format': formats.house }
      : {
          'house-format': formats.capture,
          'usb-format': formats.capture,
          'usb-encoding': 'raw 16',
        },
  });
  pictures.forEach((subject, index) => {
    addSource(plan, subject);
    into(plan, size, subject, `switcher.in-${index + 1}`);
  });
  if (!size.isSerial) draft.link('switcher.usb', 'computer.usb-2', 2, 'usb-5g');
  else {
    draft
      .device('programme-converter', 'converter-sdi-hdmi', { name: 'Programme converter' })
      .link('switcher.programme', 'programme-converter.in', 3);
    addCapture(plan, 'capture', 'programme-converter.out', 'usb-2');
  }
  addViews(plan, size);
};

/** A picture's way into an input: as it is, by another cable, or made smaller first. */
const into = (plan: Plan, { isSerial }: SwitcherSize, subject: PictureSubject, input: string) => {
  const { draft, formats } = plan;
  const id = sourceId(subject);
  if (isSerial && subject.source === 'camera') draft.link(`${id}.sdi`, input, 10);
  else if (isSerial)
    draft
      .device(`${id}-converter`, 'converter-hdmi-sdi', { name: `${subject.name} converter` })
      .link(outOf(plan, subject), `${id}-converter.in`, 2)
      .link(`${id}-converter.out`, input, 10);
  // HDMI inputs take 1080p: a scan converter leaves the camera's own recording large.
  else if (subject.source === 'camera' && isUhd(plan))
    draft
      .device(`${id}-scaler`, 'converter-scan', {
        name: `${subject.name} scaler`,
        settings: { format: formats.capture },
      })
      .link(`${id}.hdmi`, `${id}-scaler.in`, 2)
      .link(`${id}-scaler.out`, input, 5);
  else draft.link(outOf(plan, subject), input, 5);
};

/** Whoever works the switcher sees every picture; who is before the cameras sees what goes out. */
const addViews = (plan: Plan, size: SwitcherSize): void => {
  const { draft, answers, people } = plan;
  const screen = size.isSerial ? 'display-sdi' : 'display-monitor';
  if (answers.brief.switchedBy === 'operator' && size.hasMultiview)
    draft
      .device('multiview', screen, { name: 'Multiview' })
      .link('switcher.multiview', 'multiview.in', 3);
  const output = size.isSerial ? 'aux-1' : 'programme';
  // With guests elsewhere they have a screen from the computer, which shows these.
  if (
    !people.some(isSeenGuest) &&
    !isStreamedFrom(plan, 'switcher') &&
    people.some(({ where, shot }) => where === 'on site' && shot !== null)
  )
    draft
      .device('confidence', screen, { name: 'Confidence screen' })
      .link(`switcher.${output}`, 'confidence.in', 3);
};

/**
 * A file of what has no card of its own: a recorder each, or one switcher that records all its
 * inputs where that costs less.
 */
const addRecorders = (plan: Plan, subjects: readonly PictureSubject[]): void => {
  const { draft } = plan;
  const each = priceOf('recorder-picture');
  const together = priceOf('switcher-8-recording');
  if (subjects.length <= 8 && together < each * subjects.length) {
    draft.device('recorder', 'switcher-8-recording', { name: 'Recording switcher' });
    subjects.forEach((subject, index) =>
      draft.link(outOf(plan, subject), `recorder.in-${index + 1}`, 3),
    );
    return;
  }
  for (const subject of subjects) {
    const id = sourceId(subject);
    draft
      .device(`${id}-recorder`, 'recorder-picture', { name: `${subject.name} recorder` })
      .link(outOf(plan, subject), `${id}-recorder.in`, 2);
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
