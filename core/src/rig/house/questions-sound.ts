import type { HouseQuestion } from './school';
import { school } from './school';

/** Those of sound and of hearing. */
export const SOUND_QUESTIONS = {
  soundRecorded: {
    question: 'Where sound is recorded',
    schools: [
      school(
        'interface into the computer',
        'An interface or mixer into the computer',
        'A track for each voice, clean and with known gain.',
        'A voice that reaches the computer by another way is a warning.',
      ),
      school(
        'through the switcher',
        'Through the switcher, one cable',
        'Picture and sound arrive together and stay together.',
        'A voice that does not pass the switcher is a warning.',
      ),
      school(
        'into the camera',
        'Into the camera',
        'Nothing to line up afterwards.',
        'A voice that no camera records is a warning.',
      ),
      school(
        'stand-alone recorder',
        'A stand-alone recorder',
        'It records whatever else fails.',
        'A voice that no stand-alone recorder keeps is a warning.',
      ),
    ],
  },
  microphones: {
    question: 'Microphones',
    schools: [
      school(
        'xlr',
        'XLR and an interface',
        'Every voice can have the microphone it needs, and more can join.',
        'A USB microphone is a warning.',
      ),
      school(
        'usb',
        'USB direct, for one person',
        'One cable, nothing to set. Simplest for one.',
        'More than one voice on site is a warning; a USB microphone is not.',
      ),
    ],
  },
  quietDynamic: {
    question: 'Quiet dynamic microphone',
    schools: [
      school(
        'clean preamp',
        'A preamp with enough clean gain',
        'One stage less to set and to fail.',
        'Where gain is missing, another input is offered before a booster.',
      ),
      school(
        'booster',
        'An inline booster',
        'Any preamp will do after it.',
        'Where gain is missing, a booster is offered before another input.',
      ),
      school(
        'channel processor',
        'A channel processor with its own gain',
        'Gain and shape in one place.',
        'Where gain is missing, another input is offered before a booster.',
      ),
    ],
  },
  processing: {
    question: 'Processing',
    schools: [
      school(
        'clean',
        'Clean on the way in',
        'What is pressed on the way in cannot be taken out again.',
        'A compressor switched in before the recording is a note.',
      ),
      school(
        'on the way in',
        'Compressed, gated and de-essed on the way in',
        'It is ready when the show ends.',
        'Compressors on the way in are taken as meant.',
      ),
    ],
  },
  recordingLevel: {
    question: 'Recording level',
    schools: [
      school(
        'average -18',
        'Average −18 dBFS, peaks under −6',
        'Enough level, and room for a laugh.',
        'Gains are judged by −18 dBFS.',
      ),
      school(
        'average -20',
        'Average −20 dBFS, peaks under −10',
        'Cautious: for loud or unpractised talkers.',
        'Gains are judged by −20 dBFS.',
      ),
      school(
        'loudness-led',
        'Loudness-led: −16 LUFS programme',
        'The file is as loud as it will be published.',
        'Gains are judged by −16 dBFS: a voice in both channels of a stereo programme then ' +
          'measures about −16 LUFS.',
      ),
    ],
  },
  room: {
    question: 'Room',
    schools: [
      school(
        'alive',
        'Controlled but alive',
        'Voices sound like people in a place.',
        'A voice quieter than its own echo is a warning; a drawn room may ring 0.4 s, a hall longer.',
      ),
      school(
        'dead',
        'As dead as can be',
        'Any room can be added later.',
        'A voice less than 6 dB over its echo is a note, under it a warning; a drawn room may ring ' +
          'as long as a studio of its size.',
      ),
    ],
  },
  monitoring: {
    question: 'Monitoring',
    schools: [
      school(
        'closed headphones',
        'Closed headphones for everyone',
        'Nothing leaks into a microphone, and everyone hears what the audience hears.',
        'Everyone on site needs headphones.',
      ),
      school(
        'in-ear',
        'In-ear',
        'The same, and it does not show.',
        'Everyone on site needs headphones or an ear feed.',
      ),
      school(
        'loudspeakers muted',
        'Loudspeakers, muted while microphones are open',
        'Nobody wears anything.',
        'Nobody needs headphones unless a remote guest speaks.',
      ),
    ],
  },
} as const satisfies Record<string, HouseQuestion>;
