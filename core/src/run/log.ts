import { durationText, timeOfDayText } from '../day';
import { csvOf } from '../rig/files/csv';
import { cut } from '../rig/text';
import type { RunEvent, RunPlan } from './schema';
import { type Mark, runState } from './state';
import { type Rate, rateName } from '../units';
import { frameAt, framesOf, mayDrop, timecode } from './timecode';

/** The log of a run as files: a table, a list for an edit, the chapters of a film. */

/** A moment of the log: a mark, or the beginning of a segment. */
export interface Logged {
  readonly id: string;
  readonly atMs: number;
  readonly kind: Mark['kind'] | 'segment';
  readonly text: string;
  readonly by: string;
  readonly deviceId: string | null;
}

/** `marker 3`, with what was written to it. */
export const markText = ({ kind, number, text }: Mark): string =>
  text === '' ? `${kind} ${number}` : kind === 'chapter' ? text : `${kind} ${number}: ${text}`;

/** Everything that has a moment in the show, in order. */
export const logged = (plan: RunPlan, events: readonly RunEvent[]): Logged[] => {
  const { marks, segments } = runState(events);
  const titles = new Map(plan.segments.map(({ id, title }) => [id, title]));
  return [
    ...marks.map((mark) => ({
      id: mark.id,
      atMs: mark.atMs,
      kind: mark.kind,
      text: markText(mark),
      by: mark.by,
      deviceId: mark.deviceId,
    })),
    ...segments.map(({ segmentId, fromMs }, at) => ({
      id: `segment-${at}`,
      atMs: fromMs,
      kind: 'segment' as const,
      text: titles.get(segmentId) ?? segmentId,
      by: '',
      deviceId: null,
    })),
  ].sort((a, b) => a.atMs - b.atMs);
};

/** Local seconds since midnight. @param zoneMin minutes that local time is ahead of UTC */
const ofDay = (ms: number, zoneMin: number): number => ms / 1000 + zoneMin * 60;

const thousandths = (ms: number): string => {
  const whole = Math.round(ms);
  const rest = ((whole % 1000) + 1000) % 1000;
  return `${durationText((whole - rest) / 1000)}.${String(rest).padStart(3, '0')}`;
};

/** The log as a table. Before live there is no time since the start. @param zoneMin minutes ahead of UTC */
export const logToCsv = (
  plan: RunPlan,
  events: readonly RunEvent[],
  nameOf: (deviceId: string) => string,
  zoneMin: number,
): string => {
  const { liveMs } = runState(events);
  return csvOf(
    ['Since the start', 'Time of day', 'Kind', 'What', 'Device', 'By'],
    logged(plan, events).map(({ atMs, kind, text, deviceId, by }) => [
      liveMs === null || atMs < liveMs ? '' : thousandths(atMs - liveMs),
      timeOfDayText(ofDay(atMs, zoneMin)),
      kind,
      text,
      deviceId === null ? '' : nameOf(deviceId),
      by,
    ]),
  );
};

export interface EditList {
  readonly title: string;
  readonly rate: Rate;
  readonly isDrop: boolean;
  /** What the first frame of the show is called */
  readonly start: string;
  /** Name of the recording, at most eight letters and digits count */
  readonly reel: string;
  /** How much later the same moment stands in the recording than in the show. @unit ms */
  readonly offsetMs: number;
}

/** An edit decision list of the CMX 3600 form counts to three digits. */
const MOST_IN_LIST = 999;

const plain = (text: string): string =>
  cut(
    text
      .normalize('NFD')
      .replace(/[^\x20-\x7e]/g, '')
      .replace(/\s+/g, ' ')
      .trim(),
    60,
  );

const reelOf = (name: string): string =>
  (
    plain(name)
      .toUpperCase()
      .replace(/[^A-Z0-9]/g, '')
      .slice(0, 8) || 'AX'
  ).padEnd(8);

/**
 * Marks as edit decision lists of the CMX 3600 form: an event of one frame for each, its words as a comment. What lies
 * before live, or before the recording begins, is left out.
 * @returns lists of at most 999 events each; or why there is none
 */
export const logToEdl = (
  plan: RunPlan,
  events: readonly RunEvent[],
  { title, rate, isDrop, start, reel, offsetMs }: EditList,
): { readonly lists: readonly string[]; readonly leftOut: number } | { readonly why: string } => {
  if (isDrop && !mayDrop(rate))
    return { why: `At ${rateName(rate)} frames a second no numbers are dropped.` };
  const first = framesOf(start, rate, isDrop);
  if (first === null)
    return {
      why: `“${start}” is no timecode at this rate, such as 01:00:00${isDrop ? ';' : ':'}00.`,
    };
  const { liveMs } = runState(events);
  if (liveMs === null) return { why: 'The show was not live: there is nothing to count from.' };
  const all = logged(plan, events);
  const placed = all.flatMap((one) => {
    const inShow = frameAt(one.atMs - liveMs, rate);
    const inRecording = frameAt(Math.round(one.atMs - liveMs + offsetMs), rate);
    return inShow < 0 || inRecording < 0 ? [] : [{ ...one, inShow, inRecording }];
  });
  const code = (frame: number): string => timecode(first + frame, rate, isDrop);
  const lists: string[] = [];
  for (let from = 0; from < placed.length; from += MOST_IN_LIST)
    lists.push(
      [
        `TITLE: ${plain(title).toUpperCase()}`,
        `FCM: ${isDrop ? 'DROP FRAME' : 'NON-DROP FRAME'}`,
        '',
        ...placed
          .slice(from, from + MOST_IN_LIST)
          .flatMap(({ inShow, inRecording, text }, at) => [
            `${String(at + 1).padStart(3, '0')}  ${reelOf(reel)} V     C        ` +
              [inRecording, inRecording + 1, inShow, inShow + 1].map(code).join(' '),
            `* COMMENT: ${plain(text)}`,
          ]),
        '',
      ].join('\r\n'),
    );
  return { lists, leftOut: all.length - placed.length };
};

/** Chapters as lines of text: `0:00 Hello`, the first at the start; those nearer than ten seconds are one. */
export const logToChapters = (plan: RunPlan, events: readonly RunEvent[]): string => {
  const { liveMs } = runState(events);
  if (liveMs === null) return '';
  const NEAR_S = 10;
  const all = logged(plan, events)
    .filter(({ kind, atMs }) => (kind === 'segment' || kind === 'chapter') && atMs >= liveMs)
    .map(({ atMs, text }) => ({ atS: Math.floor((atMs - liveMs) / 1000), text }));
  const chapters: { atS: number; text: string }[] = [];
  for (const one of all) {
    const last = chapters.at(-1);
    if (last && one.atS - last.atS < NEAR_S) continue;
    chapters.push(chapters.length === 0 && one.atS < NEAR_S ? { ...one, atS: 0 } : one);
  }
  if (chapters[0] && chapters[0].atS > 0) chapters.unshift({ atS: 0, text: plan.name });
  return chapters.map(({ atS, text }) => `${durationText(atS)} ${text}\n`).join('');
};
