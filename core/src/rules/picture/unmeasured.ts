import { shotRule } from '../rule-of';

export const unmeasured = shotRule(
  'picture.unmeasured',
  {
    looksFor:
      'A planned shot that cannot be framed yet, because a distance or the camera’s optics are not known.',
    why: 'Nothing is guessed: what is not measured is found out on the day.',
    remedy: 'Measure the distance; type the sensor in from the data sheet.',
    source: 'handbook 3-picture, framing',
  },
  ({ device, asks }) =>
    asks.length === 0
      ? null
      : {
          level: 'note',
          title: 'Cannot be framed yet',
          says:
            `Cannot tell what ${device.name} frames: it is not known ${asks.join(', nor ')}. ` +
            'Measure it and type it in.',
        },
);
