import { POWER_WORDS, type Word } from './glossary-power';

export type { Word };

/** The words of the field, each explained once: these, and those of power. */
const WORDS: readonly Word[] = [
  {
    term: 'aperture',
    says:
      'The opening of a lens. A larger one lets in more light and blurs what is ' +
      'before and behind the subject.',
  },
  {
    term: 'balanced',
    says:
      'A cable that carries the signal twice, once reversed. What it picks up on the ' +
      'way is the same in both and cancels at the far end.',
  },
  {
    term: 'bitrate',
    says:
      'How much data a stream or a file has for each second. Less than the picture ' +
      'needs, and it smears when things move.',
  },
  {
    term: 'bits per pixel',
    says:
      'The bitrate, shared out over every pixel of every picture. Around 0.1 is usual' +
      ' for a stream of people talking.',
  },
  {
    term: 'bleed',
    says: 'What a microphone hears of somebody who is not meant for it.',
  },
  {
    term: 'booster',
    says:
      'A small amplifier between a quiet microphone and its preamp. It runs on ' +
      'phantom power and passes none on.',
  },
  {
    term: 'capture device',
    isListedOnly: true,
    says: 'Takes a picture out of an HDMI or SDI cable into a computer.',
  },
  {
    term: 'cardioid',
    says: 'A microphone that hears best what is before it and least what is behind it.',
  },
  {
    term: 'chroma subsampling',
    says:
      'Colour kept at a lower detail than brightness: 4:2:2 keeps half of it, 4:2:0 a' +
      ' quarter.',
  },
  {
    term: 'clean output',
    says: 'The picture of a camera without its menus and marks drawn over it.',
  },
  {
    term: 'clipping',
    forms: ['clips'],
    says:
      'A signal that is louder than its circuit can carry. Its peaks are cut off, ' +
      'which cannot be mended afterwards.',
  },
  {
    term: 'comb filter',
    says:
      'The same sound twice, a little apart in time. It cancels at some pitches and ' +
      'doubles at others, and sounds hollow.',
  },
  {
    term: 'compressor',
    says: 'Turns loud passages down by a ratio, so that the whole can be turned up.',
  },
  {
    term: 'crop factor',
    forms: ['crop'],
    says:
      'How much less of the lens’s picture a sensor uses than a full-frame one would.' +
      ' It makes every lens look longer.',
  },
  {
    term: 'dBFS',
    says:
      'Level in a digital system, counted down from the loudest number there is, ' + 'which is 0.',
  },
  {
    term: 'dBu',
    says:
      'Level of a voltage on a cable: 0 dBu is 0.775 V. A line is around +4, a ' +
      'microphone around −60.',
  },
  {
    term: 'depth of field',
    says: 'How far before and behind the subject things still look sharp.',
  },
  {
    term: 'direct box',
    says:
      'Makes the output of an instrument balanced and low in impedance, for a long ' +
      'cable to a microphone input.',
  },
  {
    term: 'encoder',
    isListedOnly: true,
    says: 'Packs picture and sound into the bitrate of a stream or a file.',
  },
  {
    term: 'f-number',
    says: 'Focal length over opening. The smaller it is, the more light comes in.',
  },
  {
    term: 'feedback',
    says: 'A loudspeaker heard by the microphone that feeds it: it howls.',
  },
  {
    term: 'focal length',
    says: 'How long a lens is, in millimetres. Longer shows less, and larger.',
  },
  {
    term: 'gain',
    says: 'How much a signal is made stronger, in decibels.',
  },
  {
    term: 'gate',
    says: 'Turns a microphone down while nobody speaks into it.',
  },
  {
    term: 'headroom',
    says: 'What is left between the loudest peaks and the level at which they clip.',
  },
  {
    term: 'hiss',
    says: 'The noise that a microphone and its preamp make themselves.',
  },
  {
    term: 'impedance',
    says:
      'What an input or an output resists a signal with. An input wants five to ten ' +
      'times that of what feeds it.',
  },
  {
    term: 'intercom',
    isListedOnly: true,
    says: 'How a crew talks among themselves, apart from the show.',
  },
  {
    term: 'interface',
    isListedOnly: true,
    says: 'Takes sound into a computer and out of it: preamps and converters in one box.',
  },
  {
    term: 'interlaced',
    says: 'A picture sent as two halves, every other line at a time.',
  },
  {
    term: 'ISO',
    isListedOnly: true,
    says: 'How far a camera turns up what its sensor sees. Higher is brighter, and ' + 'grainier.',
  },
  {
    term: 'latency',
    says: 'The time something takes on its way through a device.',
  },
  {
    term: 'LUFS',
    says:
      'How loud something is to the ear over its whole length. Streams ask for about ' +
      '−16 to −14.',
  },
  {
    term: 'mix-minus',
    says:
      'The whole mix without one voice: what a caller is sent, so that they do not ' +
      'hear themselves late.',
  },
  {
    term: 'multiview',
    isListedOnly: true,
    says: 'One screen with every source on it, for whoever cuts.',
  },
  {
    term: 'noise floor',
    says: 'What is left when nobody speaks: the hiss and the room.',
  },
  {
    term: 'pad',
    says: 'Turns a signal down before it reaches a circuit that it would overload.',
  },
  {
    term: 'phantom power',
    says:
      '48 V that an input sends up a microphone cable. Condensers and boosters run on' +
      ' it; a switch turns it on.',
  },
  {
    term: 'preamp',
    says: 'Makes the faint signal of a microphone strong enough for everything after it.',
  },
  {
    term: 'preview',
    isListedOnly: true,
    says: 'The source that comes next, seen by whoever cuts and by nobody else.',
  },
  {
    term: 'programme',
    isListedOnly: true,
    says: 'What goes out: the source on air, or the mix of everybody.',
  },
  {
    term: 'proximity',
    says: 'The bass that swells when a directional microphone comes very near a mouth.',
  },
  {
    term: 'reach',
    says: 'How long a cable may be before what it carries is lost.',
  },
  {
    term: 'room mode',
    forms: ['room modes'],
    says: 'A bass note that fits between two walls and rings longer than the others.',
  },
  {
    term: 'RT60',
    says: 'The time in which a sound in the room dies away by 60 dB.',
  },
  {
    term: 'sample rate',
    says:
      'How often each second a converter looks at the sound. All devices that are ' +
      'joined digitally must agree on it.',
  },
  {
    term: 'SDI',
    isListedOnly: true,
    says: 'Picture over coaxial cable that locks in its plug and goes a hundred metres.',
  },
  {
    term: 'sensitivity',
    says: 'How much voltage a microphone gives for a certain loudness.',
  },
  {
    term: 'shutter',
    says:
      'How long each picture is exposed. Half the time of a picture looks natural; a ' +
      'multiple of the lamps’ flicker stays steady.',
  },
  {
    term: 'signal to noise',
    forms: ['signal-to-noise ratio'],
    says: 'How far a voice stands over the hiss, in decibels.',
  },
  {
    term: 'splitter',
    forms: ['distributor'],
    isListedOnly: true,
    says: 'Sends one signal on to several places.',
  },
  {
    term: 'stage box',
    isListedOnly: true,
    says: 'A box of inputs near the people, joined to the desk by one cable.',
  },
  {
    term: 'switcher',
    isListedOnly: true,
    says: 'Takes several pictures and puts one, or several together, on air.',
  },
  {
    term: 'talkback',
    says: 'Whoever directs, in the ears of those on the floor.',
  },
  {
    term: 'true peak',
    says:
      'The highest point between the samples, which a player may reach though no ' + 'sample does.',
  },
  {
    term: 'unbalanced',
    says: 'A cable with one wire and a shield: fine for a metre or two, then it hums.',
  },
  {
    term: 'uplink',
    says: 'What the line to the outside carries away, in megabits a second.',
  },
];

/** All of them, in order. */
export const GLOSSARY: readonly Word[] = [...WORDS, ...POWER_WORDS].sort((a, b) =>
  a.term.localeCompare(b.term, 'en'),
);
