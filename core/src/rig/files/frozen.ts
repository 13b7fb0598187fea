/**
 * What version 3 asks of each person, device, model and house rule, where version 2 said nothing.
 * Frozen here: defaults may change, old files may not.
 */
export const PERSON_2 = {
  posture: 'sits',
  shot: 'head and shoulders',
  isHeard: true,
  spreadDb: 6,
  wearsGlasses: false,
  dislikesHeadset: false,
  needsHandsFree: false,
};
export const DEVICE_2 = { sightId: null, price: null, ownership: 'owned' };
export const HOUSE_2 = {
  captureSize: '1080p everywhere',
  switching: 'hardware switcher',
  soundRecorded: 'interface into the computer',
  microphones: 'xlr',
  quietDynamic: 'clean preamp',
  processing: 'clean',
  room: 'alive',
  monitoring: 'closed headphones',
  computers: 'one',
  cut: 'live and separate',
  power: 'mains',
  cables: 'dressed',
  prompter: 'none',
  spareInputs: 'one in four',
  recordingsOfVoice: 2,
};
