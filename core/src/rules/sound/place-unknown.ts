import type { Measured } from '../../passes/measured';
import { asksOf } from '../../passes/room';
import { microphoneRule } from '../rule-of';

const begun = ({ rig }: Measured): boolean =>
  Object.keys(rig.noises).length > 0 || Object.values(rig.people).some(({ at }) => at);

export const placeUnknown = microphoneRule(
  'sound.place-unknown',
  {
    matters: ['microphone in room'],
    looksFor:
      'A microphone of which the room cannot be told because somebody or something has no ' +
      'place or no pattern, in a rig where others have one.',
    why: 'What is not known is not assumed: bleed, noise and loudspeakers are left out for it.',
    remedy: 'Say where it is, on the Sound view.',
    source: 'handbook 2-sound, room, noise, bleed',
  },
  {
    judge: (microphone, measured) => {
      // Nobody is asked for places before the first was given.
      if (!begun(measured)) return null;
      const asks = asksOf(measured, microphone);
      return asks.length === 0
        ? null
        : {
            level: 'note',
            title: 'Cannot tell what the room does',
            says:
              `For ${measured.device(microphone.node.device).name} the room cannot be told: it ` +
              `needs ${asks.join(', ')}.`,
          };
    },
  },
);
