import type { HouseQuestion } from './school';
import { school } from './school';

/** Those of light. @source handbook 6-light */
export const LIGHT_QUESTIONS = {
  lightRatio: {
    question: 'Light and shade on a face',
    schools: [
      school(
        'gentle',
        'Gentle, 2 : 1',
        'A face with a shape, and nothing hidden.',
        'A ratio beyond 1.6 to 2.8 is a note.',
      ),
      school(
        'flat',
        'Flat, 1.5 : 1',
        'Kind to skin, and to people who turn about.',
        'A ratio beyond 1.1 to 1.9 is a note.',
      ),
      school(
        'shaped',
        'Shaped, 4 : 1',
        'A face like a portrait.',
        'A ratio beyond 2.8 to 5.7 is a note.',
      ),
    ],
  },
  keySide: {
    question: 'Side of the key light',
    schools: [
      school(
        'short',
        'Short: away from the lens',
        'The side of the face turned to the lens lies in shade: it gives shape.',
        'A key on the lens side of a face is a note.',
      ),
      school(
        'broad',
        'Broad: on the lens side',
        'The side of the face turned to the lens is lit.',
        'A key away from the lens side of a face is a note.',
      ),
      school(
        'either',
        'As it comes',
        'Faces turn; lamps do not.',
        'The side of the key is not spoken of.',
      ),
    ],
  },
  keyLights: {
    question: 'Key lights',
    schools: [
      school(
        'one key',
        'One key',
        'One nose, one shadow.',
        'A second lamp from the front nearly as bright as the key is a note.',
      ),
      school(
        'two keys',
        'Two keys',
        'Whoever turns about is lit from both sides.',
        'Two keys are taken as meant.',
      ),
    ],
  },
  hairLight: {
    question: 'Hair light',
    schools: [
      school(
        'where there is one',
        'Where there is one',
        'It parts hair from wall where that is needed.',
        'Only one that is too strong is a note.',
      ),
      school(
        'always',
        'Behind everybody',
        'Nobody melts into the wall.',
        'A face without one is a note.',
      ),
      school(
        'never',
        'None',
        'A room looks like a room.',
        'A lamp from behind on a head is a note.',
      ),
    ],
  },
  lightColour: {
    question: 'Colour of light',
    schools: [
      school(
        'daylight',
        'Daylight, 5,600 K',
        'Windows and screens go with it.',
        'Cameras balanced more than 20 mired from 5,600 K are a note.',
      ),
      school(
        'warm',
        'Warm, 3,200 K',
        'Lamps that stand in the picture go with it.',
        'Cameras balanced more than 20 mired from 3,200 K are a note.',
      ),
      school(
        'as it comes',
        'As it comes',
        'The camera is balanced to what there is.',
        'Only what differs on one face is spoken of.',
      ),
    ],
  },
  lightControl: {
    question: 'How lights are set',
    schools: [
      school(
        'by hand',
        'Each by its own knob',
        'Nothing to pair, nothing to lose.',
        'It is not asked how lamps are controlled.',
      ),
      school(
        'one place',
        'All from one place',
        'A look is called up with one press.',
        'A lamp that does not answer to what the others do is a warning.',
      ),
    ],
  },
  daylight: {
    question: 'Daylight',
    schools: [
      school(
        'used',
        'Used',
        'The best key there is, and it costs nothing.',
        'It is warned where it changes during the show.',
      ),
      school(
        'shut out',
        'Shut out',
        'Ten in the morning looks like ten at night.',
        'A window that lights a face is a warning.',
      ),
    ],
  },
} as const satisfies Record<string, HouseQuestion>;
