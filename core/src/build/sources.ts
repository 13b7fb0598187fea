import { classById } from '../catalogue';
import { fittingMbps } from '../edits/cards';
import { framesPerSecond, parseFormat } from '../units';
import { type PictureSubject, type Plan, sourceId } from './plan';
import { soundWay } from './sound-way';

/** What pictures come from. */

/** Whether cameras send more than 1080p. */
export const isUhd = ({ rules }: Plan): boolean => rules.captureSize !== '1080p everywhere';

/** Whether each camera makes a file of its own. */
export const recordsEach = (plan: Plan): boolean =>
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

/** A camera or a player, and the shot that is wanted of a camera. */
export const addSource = (
  plan: Plan,
  subject: PictureSubject,
  classId = 'camera-camcorder',
): void => {
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
export const outOf = ({ draft }: Plan, subject: PictureSubject): string => {
  const id = sourceId(subject);
  if (subject.source !== 'console') return `${id}.hdmi`;
  draft
    .device(`${id}-split`, 'splitter-hdmi-2', { name: `${subject.name} splitter` })
    .device(`${id}-screen`, 'display-monitor', { name: `Player’s screen of ${subject.name}` })
    .link(`${id}.hdmi`, `${id}-split.in`, 2)
    .link(`${id}-split.out-2`, `${id}-screen.in`, 2);
  return `${id}-split.out-1`;
};
