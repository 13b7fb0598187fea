import { hasToDoWith, type Matter, RULES } from '.';

const codesOf = (matter: Matter): string[] =>
  RULES.filter((rule) => hasToDoWith(rule, matter))
    .map(({ code }) => code)
    .sort();

describe('the rules of a matter', () => {
  it('of how far a voice stands over the room', () =>
    expect(codesOf('voice over room')).toEqual([
      'sound.off-axis',
      'sound.placed-noise',
      'sound.room-noise',
    ]));
  it('of what the room does to a microphone', () =>
    expect(codesOf('microphone in room')).toEqual([
      'sound.bleed',
      'sound.distance-differs',
      'sound.howl',
      'sound.left-behind',
      'sound.off-axis',
      'sound.place-unknown',
      'sound.placed-noise',
      'sound.reverberant',
      'sound.room-noise',
      'sound.too-close',
    ]));
  it('of what people hear', () =>
    expect(codesOf('ears')).toEqual([
      'brief.cannot-hear',
      'sound.ears-late',
      'sound.ears-loud',
      'sound.howl',
      'sound.loudspeaker-open',
      'sound.mix-minus',
      'sound.no-talkback',
      'sound.outputs-short',
      'sound.talkback-heard',
    ]));
  it('of what a larger picture may break', () =>
    expect(codesOf('size')).toEqual([
      'brief.capture-size',
      'computer.branch-full',
      'computer.controller-full',
      'computer.drive-full',
      'computer.drive-slow',
      'computer.encodes',
      'computer.reach',
      'computer.uplink',
      'computer.work',
      'picture.format-refused',
      'picture.heat',
      'picture.link-overload',
      'picture.no-room',
      'picture.punch-in',
      'picture.reach',
      'picture.shot-missed',
      'picture.upscaled',
    ]));
  it('of the switcher’s panel', () =>
    expect(codesOf('panel')).toEqual(['picture.scene-off-panel', 'picture.too-many-for-hand']));
  it('is no rule of an unknown code', () =>
    expect(hasToDoWith({ code: 'sound.of-silence' }, 'ears')).toBe(false));
});
