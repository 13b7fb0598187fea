import { classById } from '../catalogue';
import { isFormatText, parseFormat, rate, type Rate, sameRate } from '../units';
import {
  CannotBuild,
  guestsOf,
  isLargest,
  isSeenGuest,
  onSiteOf,
  type Plan,
  priceOf,
  takeScreen,
} from './plan';
import { isStreamedFrom } from './sound-way';

/** What comes from the computer and what goes to it: calls, screens, the stream, the recordings. */

/** What a guest is asked to send: the rate of the programme where calls have it, else half of it. */
const callFormat = ({ formats }: Plan): string | undefined => {
  const control = classById('call').controls['format'];
  if (control?.type !== 'choice') return undefined;
  const { rate: wanted } = parseFormat(formats.programme);
  const sent = control.options.map(({ value }) => value).filter(isFormatText);
  const at = (of: Rate): string | undefined =>
    sent.find((value) => sameRate(parseFormat(value).rate, of));
  return at(wanted) ?? at(rate(wanted.num, wanted.den * 2));
};

/** A call for each guest, which shows them everyone and lets them hear everyone but themselves. */
export const addCalls = (plan: Plan): void => {
  const format = callFormat(plan);
  for (const { id, name } of guestsOf(plan))
    plan.draft
      .device(`${id}-call`, 'call', {
        name: `${name} call`,
        person: id,
        settings: format === undefined ? {} : { format },
      })
      .link(`${id}-call.receive`, 'computer.call-in')
      .link('computer.call-out', `${id}-call.send`);
};

/**
 * Screens before the people on site: with the guest on them, or in front of the lens by the school of
 * prompters. Where text scrolls, a prompter shows it.
 */
export const addScreens = (plan: Plan): void => {
  const { draft, people, rules, pictures } = plan;
  const isSomebodyHere = onSiteOf(plan).length > 0;
  if (people.some(isSeenGuest) && isSomebodyHere)
    draft
      .device(
        'guest-screen',
        rules.prompter === 'second display' ? 'prompter' : 'display-monitor',
        {
          name: 'Guest screen',
        },
      )
      .link(`computer.${takeScreen(plan)}`, 'guest-screen.in', 3);
  if (!people.some(isSeenGuest) && isStreamedFrom(plan, 'switcher'))
    draft
      .device('confidence', 'display-monitor', { name: 'Confidence screen' })
      .link(`computer.${takeScreen(plan)}`, 'confidence.in', 3);
  if (rules.prompter === 'scrolling' && pictures.some(({ source }) => source === 'camera')) {
    const screen = plan.freeScreens.length > 0 || !isLargest(plan) ? takeScreen(plan) : undefined;
    if (screen !== undefined)
      draft
        .device('prompter', 'prompter', { name: 'Prompter' })
        .link(`computer.${screen}`, 'prompter.in', 3);
    else
      plan.unmet.push({
        says:
          'A prompter with scrolling text is wanted, and no screen output of the computer is left for ' +
          'it: give it a laptop of its own.',
        costs: priceOf('player-slides') + priceOf('prompter'),
        code: 'brief.prompter',
      });
  }
};

/** A screen output of the computer that shows the programme, with everything that is heard. */
const programmeOnScreen = (plan: Plan): string => {
  const { draft, formats } = plan;
  for (const [control, value] of [
    ['mix-aloud', true],
    ['mix-volume', 0],
    ['screen-format', formats.programme],
  ] as const)
    draft.do({ type: 'setControl', deviceId: 'computer', control, value });
  return takeScreen(plan);
};

/** The stream, from the machine that the school says. */
const addStream = (plan: Plan): void => {
  const { draft, rules, formats } = plan;
  draft.device('stream', 'stream');
  if (rules.computers === 'one') {
    draft.link('computer.programme', 'stream.in');
    return;
  }
  const feed = isStreamedFrom(plan, 'switcher')
    ? 'switcher.programme'
    : `computer.${programmeOnScreen(plan)}`;
  if (rules.computers === 'hardware encoder')
    draft
      .device('encoder', 'encoder-hardware', {
        name: 'Encoder',
        settings: { 'stream-format': formats.capture },
      })
      .link(feed, 'encoder.in', 2)
      .link('encoder.network', 'stream.wire', 5);
  else
    draft
      .device('stream-capture', 'capture-5g', {
        name: 'Capture of the programme',
        settings: { 'capture-format': formats.capture, encoding: 'raw 16' },
      })
      .device('stream-computer', 'computer-laptop', {
        name: 'Streaming computer',
        settings: { canvas: formats.programme },
      })
      .link(feed, 'stream-capture.in', 2)
      .link('stream-capture.usb', 'stream-computer.usb-2', 1, 'usb-5g')
      .link('stream-computer.programme', 'stream.in');
};

const NO_PICTURE = {
  stream:
    'A stream needs a picture, and nobody and nothing is to be seen. Let someone be seen, or leave ' +
    'the stream out.',
  'vertical clips':
    'Vertical clips need a picture, and nobody and nothing is to be seen. Let someone be seen, or ' +
    'leave the clips out.',
} as const;

const NO_SOUND = {
  stream: 'A stream was asked for, and nobody is to be heard. Let someone be heard.',
  'programme recording':
    'A recording of the programme was asked for, and nobody is to be heard. Let someone be heard.',
  'vertical clips':
    'Vertical clips were asked for, and nobody is to be heard. Let someone be heard.',
  'voice tracks':
    'A track per voice was asked for, and nobody is to be heard. Let someone be heard, or leave the ' +
    'tracks out.',
  backup:
    'A backup of the sound was asked for, and nobody is to be heard. Let someone be heard, or leave ' +
    'the backup out.',
} as const;

/**
 * What is delivered. Where no programme is made, every picture is kept by itself; voices have their
 * tracks wherever they come into the computer, since that costs nothing.
 */
export const addOutlets = (plan: Plan): void => {
  const { draft, answers, pictures, people, rules, formats } = plan;
  const wanted = new Set<string>(answers.deliverables);
  const isGuestSeen = people.some(isSeenGuest);
  const hasPicture = pictures.length > 0 || isGuestSeen;
  for (const what of ['stream', 'vertical clips'] as const)
    if (wanted.has(what) && !hasPicture) throw new CannotBuild(NO_PICTURE[what]);
  const isSomebodyHeard = people.some(({ isHeard }) => isHeard);
  if (!isSomebodyHeard)
    for (const what of answers.deliverables)
      if (what !== 'camera recordings') throw new CannotBuild(NO_SOUND[what]);
  const programme = wanted.has('programme recording') || wanted.has('vertical clips');
  const reachesComputer =
    rules.switching !== 'none, cut later' || pictures.length === 1 || isGuestSeen;
  draft.do({
    type: 'setControl',
    deviceId: 'computer',
    control: 'canvas',
    value: formats.programme,
  });
  if (wanted.has('stream')) addStream(plan);
  if (programme)
    draft
      .device('recording-programme', 'recording-programme')
      .link('computer.programme', 'recording-programme.in');
  if (hasPicture && reachesComputer && !wanted.has('stream') && !programme)
    draft
      .device('pictures', 'recording-pictures', { name: 'Picture files' })
      .link('computer.pictures', 'pictures.in');
  if (isSomebodyHeard)
    draft
      .device('recording-tracks', 'recording-tracks')
      .link('computer.tracks', 'recording-tracks.in');
};
