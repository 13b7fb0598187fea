import fc from 'fast-check';
import { classById } from '../../catalogue';
import { voice } from '../../rules/rigs-for-cases';
import { apply, applyTracked } from '../apply';
import type { SimpleCommand } from '../commands';
import { modelSchema } from '../devices/checked-model';
import type { Model } from '../devices/model';
import { rigToJson } from '../files/export';
import { importRig } from '../files/import';
import { revertOf } from '../history';
import { sentence } from '../sentences';
import { times } from '../../runs-for-cases';

const fan = {
  name: 'Fan',
  dbaAt1m: 50,
  reading: 'free field' as const,
  at: { xM: 1, yM: 2 },
  heightM: null,
  runs: true,
};
const noisy = voice().do({ type: 'addNoise', noiseId: 'fan', noise: fan }).build();

describe('the room and what makes noise in it', () => {
  it('every change reads as a sentence and can be taken back to the byte', () => {
    const commands: [SimpleCommand, string][] = [
      [{ type: 'setRoom', room: { volumeM3: 60 } }, 'Changed what is known of the room.'],
      [
        { type: 'addNoise', noiseId: 'kiln', noise: { ...fan, name: 'Kiln' } },
        'Added Kiln to what makes noise.',
      ],
      [{ type: 'changeNoise', noiseId: 'fan', noise: { at: { xM: 3, yM: 2 } } }, 'Moved Fan.'],
      [{ type: 'changeNoise', noiseId: 'fan', noise: { runs: false } }, 'Changed Fan.'],
      [{ type: 'removeNoise', noiseId: 'fan' }, 'Removed Fan from what makes noise.'],
      [
        { type: 'placeDevice', deviceId: 'mic', at: null, aim: { bearingDeg: 30, offAxisDeg: 0 } },
        'Placed Mic.',
      ],
      [
        { type: 'changePerson', personId: 'host', person: { at: { xM: 1, yM: 1, facingDeg: 90 } } },
        'Changed what is known of Host.',
      ],
    ];
    for (const [command, says] of commands) {
      expect(sentence(noisy, command)).toBe(says);
      const { rig, changes } = applyTracked(noisy, command);
      expect(rigToJson(rig)).not.toBe(rigToJson(noisy));
      expect(rigToJson(apply(rig, revertOf({ id: 'a', changes, says }, 'undo')))).toBe(
        rigToJson(noisy),
      );
    }
  });
  it.each<[string, SimpleCommand, RegExp]>([
    ['a noise twice', { type: 'addNoise', noiseId: 'fan', noise: fan }, /already in this rig/],
    [
      'a noise that is not there',
      { type: 'changeNoise', noiseId: 'kiln', noise: { runs: false } },
      /no noise "kiln"/,
    ],
    ['a noise that has gone', { type: 'removeNoise', noiseId: 'kiln' }, /no noise "kiln"/],
    [
      'a place for a device that is not there',
      { type: 'placeDevice', deviceId: 'nobody', at: null, aim: null },
      /no device "nobody"/,
    ],
  ])('%s is refused', (_what, command, why) => expect(() => apply(noisy, command)).toThrow(why));
  it('any number of moves, taken back one by one, leaves the bytes that were there', () => {
    fc.assert(
      fc.property(
        fc.array(
          // As JSON gives them: objects with the usual prototype.
          fc.record(
            {
              xM: fc.double({ min: -1000, max: 1000, noNaN: true }),
              yM: fc.double({ min: -1000, max: 1000, noNaN: true }),
            },
            { noNullPrototype: true },
          ),
          { minLength: 1, maxLength: 8 },
        ),
        (points) => {
          const done = points.reduce<{ rig: typeof noisy; entries: ReturnType<typeof revertOf>[] }>(
            ({ rig, entries }, at, n) => {
              const command: SimpleCommand = { type: 'changeNoise', noiseId: 'fan', noise: { at } };
              const { rig: next, changes } = applyTracked(rig, command);
              return changes.length === 0
                ? { rig: next, entries }
                : {
                    rig: next,
                    entries: [revertOf({ id: String(n), changes, says: '' }, 'undo'), ...entries],
                  };
            },
            { rig: noisy, entries: [] },
          );
          expect(
            rigToJson(
              done.entries.reduce(
                (rig, undo) => apply(rig, { ...undo, label: 'Moved Fan.' }),
                done.rig,
              ),
            ),
          ).toBe(rigToJson(noisy));
        },
      ),
      { numRuns: times(40) },
    );
  });
});

describe('a file with a room', () => {
  const broken = (find: string, replace: string) => {
    const text = rigToJson(noisy);
    expect(text).toContain(find);
    const imported = importRig(Buffer.from(text.replace(find, replace)));
    return imported.ok ? [] : imported.problems.map(({ path, says }) => `${path}: ${says}`);
  };
  it('comes back as it went', () => {
    const imported = importRig(Buffer.from(rigToJson(noisy)));
    expect(imported.ok && rigToJson(imported.rig)).toBe(rigToJson(noisy));
  });
  it('is refused with the place where a figure is out of range', () => {
    expect(broken('"dbaAt1m": 50', '"dbaAt1m": 500')[0]).toMatch(/^noises\.fan\.dbaAt1m: /);
    expect(broken('"noiseDba": null', '"noiseDba": "loud"')[0]).toMatch(/^room\.noiseDba: /);
    expect(broken('"pattern": "cardioid"', '"pattern": "heart"')[0]).toMatch(/pattern/);
  });
});

describe('a model of sound', () => {
  const condenser = classById('mic-condenser-large');
  const strip = classById('channel-processor');
  const problems = (model: Model): string[] => {
    const parsed = modelSchema.safeParse(model);
    return parsed.success
      ? []
      : parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
  };
  it('is right as the catalogue has it', () =>
    expect([problems(condenser), problems(strip)]).toEqual([[], []]));
  it('may not take its pattern from a control that offers something else', () => {
    const { pattern, ...others } = condenser.controls;
    expect(pattern?.type).toBe('choice');
    expect(problems({ ...condenser, controls: others })[0]).toMatch(
      /^ports\.out\.emits\.sound\.pattern\.control: expected a control of this model/,
    );
    expect(
      problems({
        ...condenser,
        controls: {
          ...others,
          pattern: {
            type: 'choice',
            label: 'Pattern',
            options: [{ value: 'heart', label: 'Heart' }],
            initial: 'heart',
          },
        },
      })[0],
    ).toMatch(/expected every option of "pattern" to be one of omni, cardioid/);
  });
  it('may not gate by a switch that is none', () =>
    expect(
      problems({
        ...strip,
        controls: {
          ...strip.controls,
          gate: { type: 'amount', label: 'Gate', unit: 'dB', min: 0, max: 1, step: 1, initial: 0 },
        },
      }),
    ).toContain(
      'routes.line.sound.gate.inSwitch: expected a control of type switch; "gate" is amount',
    ));
  it('may not lift bands by controls that are not there', () => {
    const { high, ...others } = strip.controls;
    expect(high?.type).toBe('amount');
    expect(
      problems({ ...strip, controls: others }).some((says) =>
        says.startsWith('routes.microphone.sound.equaliser.bands.2.control'),
      ),
    ).toBe(true);
  });
});
