import type { Fix } from '../edits/fix';
import { cameraDevices, type CameraInShow } from '../passes/cameras';
import { type Framed, framed } from '../passes/framing';
import type { Measured } from '../passes/measured';
import { type MicrophoneInRoom, microphonesInRoom } from '../passes/room';
import type { Sum } from '../passes/sum';
import type { SimpleCommand } from '../rig';
import type { About } from './about';
import { at } from './about';
import type { Area } from './areas';
import { type Finding, findingKey, type Level, type Rule } from './rule';

/** Shapes that many rules of the picture and of computers share, so that a rule's file holds only what it judges. */

export type Texts = Pick<Rule, 'looksFor' | 'why' | 'remedy' | 'source' | 'matters' | 'together'>;
/** What a rule finds, before it is said which rule that was. */
export type Found = Omit<Finding, 'code' | 'area'>;

const ruleOf =
  (area: Area) =>
  (
    code: string,
    texts: Texts,
    find: (measured: Measured) => Found[],
    more: Pick<Rule, 'fixes' | 'sums' | 'moves'> = {},
  ): Rule => ({
    code,
    area,
    ...texts,
    find: (measured) => find(measured).map((found) => ({ code, area, ...found })),
    ...more,
  });
export const pictureRule = ruleOf('picture');
export const computerRule = ruleOf('computer');
export const soundRule = ruleOf('sound');
export const placeRule = ruleOf('place');
const standsRule = ruleOf('stands');
export const cableRule = ruleOf('cables');
export const powerRule = ruleOf('power');
const timeRule = ruleOf('time');
export const lightRule = ruleOf('light');

/** What is wrong with one thing, where it stands being known. */
export interface Fault {
  readonly level: Level;
  readonly title: string;
  readonly says: string;
}

/** What a rule judges one by one, and where each stands. */
interface Each<T> {
  readonly all: (measured: Measured) => readonly T[];
  readonly about: (thing: T) => About;
  readonly judge: (thing: T, measured: Measured) => Fault | null;
  readonly houseRule?: Finding['houseRule'];
  readonly sums?: (thing: T, measured: Measured) => Sum[];
  readonly fixes?: (thing: T, measured: Measured) => Fix[];
  readonly moves?: true;
}

const eachRuleOf =
  (make: ReturnType<typeof ruleOf>) =>
  <T>(
    code: string,
    texts: Texts,
    { all, about, judge, houseRule, sums, fixes, moves }: Each<T>,
  ): Rule => {
    const of = (measured: Measured, finding: Finding): T[] => {
      const key = findingKey(finding);
      return all(measured)
        .filter(
          (thing) =>
            findingKey({ ...finding, about: about(thing) }) === key &&
            judge(thing, measured) !== null,
        )
        .slice(0, 1);
    };
    return make(
      code,
      texts,
      (measured) =>
        all(measured).flatMap((thing) => {
          const fault = judge(thing, measured);
          return fault
            ? [{ ...fault, about: about(thing), ...(houseRule ? { houseRule } : {}) }]
            : [];
        }),
      {
        ...(moves ? { moves } : {}),
        ...(sums
          ? {
              sums: (measured, finding) =>
                of(measured, finding).flatMap((thing) => sums(thing, measured)),
            }
          : {}),
        ...(fixes
          ? {
              fixes: (measured, finding) =>
                of(measured, finding).flatMap((thing) => fixes(thing, measured)),
            }
          : {}),
      },
    );
  };

/** A rule of sound that judges each of several things of one kind: microphones in the room, compressors, programmes. */
export const eachSoundRule = eachRuleOf(soundRule);
/** A rule of the plan that judges each of several things of one kind: shots, doors, seats. */
export const eachPlaceRule = eachRuleOf(placeRule);
/** A rule that judges each of several supports, or what is on them. */
export const eachStandsRule = eachRuleOf(standsRule);
/** A rule that judges each of several cables, ways or places they cross. */
export const eachCableRule = eachRuleOf(cableRule);
/** A rule that judges each of several circuits, strips, supplies or devices on them. */
export const eachPowerRule = eachRuleOf(powerRule);
/** A rule of light that judges each of several things: faces, shots, lamps, windows, backdrops. */
export const eachLightRule = eachRuleOf(lightRule);
/** A rule of the day: segments of the rundown, sets. */
export const eachDayRule = eachRuleOf(ruleOf('day'));
/** A rule of what a show leaves: names, copies. */
export const eachFilesRule = eachRuleOf(ruleOf('files'));
/** A rule of time, judged one by one. */
export const eachTimeRule = eachRuleOf(timeRule);

/** A rule that judges each microphone in its room. */
export const microphoneRule = (
  code: string,
  texts: Texts,
  each: Omit<Each<MicrophoneInRoom>, 'all' | 'about'>,
): Rule =>
  eachSoundRule(code, texts, {
    all: microphonesInRoom,
    about: ({ node }) => at({ deviceId: node.device.id, portId: node.id }),
    ...each,
  });

/** A rule of the picture that judges each of several things of one kind: shots, cameras. */
const eachPictureRule = eachRuleOf(pictureRule);

/** A rule that judges each planned shot. */
export const shotRule = (
  code: string,
  texts: Texts,
  judge: Each<Framed>['judge'],
  more: Pick<Each<Framed>, 'sums' | 'fixes'> = {},
): Rule =>
  eachPictureRule<Framed>(code, texts, {
    all: framed,
    about: ({ shotId, shot }) => ({ kind: 'shot', shotId, deviceId: shot.deviceId }),
    judge,
    ...more,
  });

/** A rule that judges each camera by what it endures. */
export const cameraRule = (
  code: string,
  texts: Texts,
  judge: Each<CameraInShow>['judge'],
  fixes?: Each<CameraInShow>['fixes'],
  sums?: Each<CameraInShow>['sums'],
): Rule =>
  eachPictureRule<CameraInShow>(code, texts, {
    all: cameraDevices,
    about: ({ node }) => at({ deviceId: node.id }),
    judge,
    ...(fixes ? { fixes } : {}),
    ...(sums ? { sums } : {}),
  });

/** One control set to a value, as a fix. */
export const setFix = (
  label: string,
  deviceId: string,
  control: string,
  value: number | boolean | string,
): Fix => ({ label, command: { type: 'setControl', deviceId, control, value } });

/** Several commands that belong together, as a fix. */
export const batchFix = (label: string, commands: readonly SimpleCommand[], says = label): Fix => ({
  label,
  command: { type: 'batch', label: says, commands: [...commands] },
});
