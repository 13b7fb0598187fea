import { figure } from '../../passes/sum';
import { shotRule } from '../rule-of';

/**
 * Fine up to, seen above: degrees beside or above the lens. Below the lens half as much again is
 * forgiven. @source handbook 3-picture
 */
const FINE_DEG = 3;
const SEEN_DEG = 5;
const BELOW = 1.5;

export const eyeLine = shotRule(
  'picture.eye-line',
  {
    looksFor:
      'A talker who looks at something beside the lens: a picture of the guest, notes, a prompter.',
    why: 'Above about 5° the audience sees that they are looked past.',
    remedy: 'Bring what is looked at nearer to the lens, move the camera back, or use a prompter.',
    source: 'handbook 3-picture: atan(offset ÷ distance)',
  },
  ({ device, shot, eyeLineDeg }) => {
    if (eyeLineDeg === null || !shot.eyeLine) return null;
    const forgiven = shot.eyeLine.side === 'below' ? BELOW : 1;
    if (eyeLineDeg <= FINE_DEG * forgiven) return null;
    const isSeen = eyeLineDeg > SEEN_DEG * forgiven;
    return {
      level: isSeen ? 'warn' : 'note',
      title: `Looks ${figure(eyeLineDeg)}° ${shot.eyeLine.side} the lens`,
      says:
        `In the shot of ${device.name} the eyes are ${figure(eyeLineDeg)}° ` +
        `${shot.eyeLine.side} the lens. ` +
        `${isSeen ? 'The audience sees it.' : 'Some will see it.'} Bring what is looked at ` +
        'nearer to the lens, or the camera farther back.',
    };
  },
  {
    sums: ({ shot, eyeLineDeg }) =>
      shot.eyeLine
        ? [
            {
              label: 'Eye line',
              formula: 'atan(offset ÷ distance)',
              inputs: [
                { name: 'offset', value: shot.eyeLine.offsetM * 100, unit: 'cm' },
                { name: 'distance', value: shot.eyeLine.distanceM * 100, unit: 'cm' },
              ],
              result: eyeLineDeg,
              unit: '°',
              source: 'handbook 3-picture',
            },
          ]
        : [],
    fixes: ({ shot, shotId }) => {
      if (!shot.eyeLine) return [];
      const forgiven = shot.eyeLine.side === 'below' ? BELOW : 1;
      const offsetM =
        Math.floor(
          Math.tan((FINE_DEG * forgiven * Math.PI) / 180) * shot.eyeLine.distanceM * 1000,
        ) / 1000;
      return [
        {
          label: `Bring it within ${figure(offsetM * 100)} cm of the lens`,
          command: { type: 'changeShot', shotId, shot: { eyeLine: { ...shot.eyeLine, offsetM } } },
        },
      ];
    },
  },
);
