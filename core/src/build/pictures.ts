import { classById } from '../catalogue';
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
import { isStreamedFrom } from './sound-way';
import { addSource, isUhd, outOf, recordsEach } from './sources';
import { type SwitcherSize, switcherFor } from './switchers';

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
