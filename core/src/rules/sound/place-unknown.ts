import { microphoneRule } from '../rule-of';

export const placeUnknown = microphoneRule('sound.place-unknown', {
  looksFor: 'A microphone of which the room cannot be told because somebody or something has no place or no pattern, in a rig where others have one.',
  why: 'What is not known is not assumed: bleed, noise and loudspeakers are left out for it.',
  remedy: 'Say where it is, on the Sound view.',
  source: 'handbook 2-sound, room, noise, bleed',
}, {
  judge: ({ node, asks }, { rig }) => {
    // Nobody is asked for places before the first was given.
    const begun = Object.values(rig.people).some(({ at }) => at) || Object.values(rig.noises).length > 0;
    return !begun || asks.length === 0 ? null : { level: 'note', title: 'Cannot tell what the room does', says: `For ${node.device.device.name} the room cannot be told: it needs ${asks.join(', ')}.` };
  },
});
