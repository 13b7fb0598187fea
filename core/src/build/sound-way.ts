import type { HouseRules } from '../rig';
import { DESK_WITH_CARD, usableInputs } from './desks';
import { guestsOf, onSiteOf, type Plan } from './plan';
import { switcherFor } from './switchers';

type Way = HouseRules['soundRecorded'];

/** Why sound cannot go the way that was answered; null where it can. */
const whyNot = (plan: Plan): string | null => {
  const { rules, pictures } = plan;
  const voices = onSiteOf(plan).filter(({ isHeard }) => isHeard);
  const isGuestHeard = guestsOf(plan).some(({ isHeard }) => isHeard);
  const wantsEars = rules.monitoring !== 'loudspeakers muted';
  switch (rules.soundRecorded) {
    case 'interface into the computer':
    case 'stand-alone recorder':
      return null;
    case 'through the switcher':
      return rules.switching !== 'hardware switcher' || pictures.length < 2
        ? 'no switcher is in the rig'
        : isGuestHeard
          ? 'guests elsewhere are heard, and what the switcher sends would bring them their own voice'
          : voices.length > usableInputs(DESK_WITH_CARD, rules.spareInputs === 'one in four')
            ? `a desk that keeps a track of each of ${voices.length} voices by itself is not in the catalogue`
            : null;
    case 'into the camera':
      return isGuestHeard
        ? 'guests elsewhere are heard, and they must hear the room through the computer'
        : wantsEars
          ? 'people are to hear themselves, and nothing plays back at once what a camera takes in'
          : voices.some(({ shot }) => shot === null)
            ? 'somebody who speaks has no camera'
            : null;
  }
};

/** The way sound goes: the one that was answered where that can be, else through an interface. */
export const soundWay = (plan: Plan): Way =>
  whyNot(plan) === null ? plan.rules.soundRecorded : 'interface into the computer';

/**
 * Where an encoder or a second computer gets the programme from: the switcher itself, where sound goes
 * through it and it has HDMI, so that the stream goes on without the computer; else the computer.
 */
export const isStreamedFrom = (plan: Plan, from: 'switcher' | 'computer'): boolean => {
  const isFromSwitcher =
    plan.rules.computers !== 'one' &&
    plan.answers.deliverables.includes('stream') &&
    soundWay(plan) === 'through the switcher' &&
    !switcherFor(plan).isSerial;
  return isFromSwitcher === (from === 'switcher');
};

const WORDS: Readonly<Record<Way, string>> = {
  'interface into the computer': 'by an interface into the computer',
  'through the switcher': 'through the switcher',
  'into the camera': 'into the cameras',
  'stand-alone recorder': 'into a stand-alone recorder',
};

/** Says that sound goes another way than was answered, and why. */
export const noteOtherWay = (plan: Plan): void => {
  const why = whyNot(plan);
  if (why !== null && onSiteOf(plan).some(({ isHeard }) => isHeard))
    plan.unmet.push({
      says:
        `Sound was to go ${WORDS[plan.rules.soundRecorded]}: it goes by an interface into the ` +
        `computer, since ${why}.`,
      costs: null,
      code: 'brief.sound-way',
    });
};
