import {
  analyse,
  type CheckLine,
  checklist,
  type Happened,
  type RunEvent,
  type RunPlan,
  timedRundown,
} from '@echo-loom/core';
import { type After, afterwards } from './episodes';
import { DEMO_RIGS } from './rigs';

/** Runs that were, as the logbooks have them: three of Second Firing, one by volunteers, one alone. */

export interface DemoRun {
  readonly id: string;
  readonly rigId: string;
  readonly plan: RunPlan;
  readonly events: readonly RunEvent[];
}

interface Told {
  readonly rigId: string;
  /** Of November 2026 */
  readonly day: number;
  readonly liveAt: readonly [hour: number, minute: number];
  readonly by: string;
  readonly people: number;
  /** Minutes that setting up took until live */
  readonly before: number;
  /** Why live was gone with lines open */
  readonly overruled: string;
  /** What each segment took beyond its plan. @unit s */
  readonly over: readonly number[];
  /** Seconds after live, and what was marked */
  readonly marks: readonly (readonly [s: number, happened: Happened])[];
  /** Must-lines that nobody ticked */
  readonly missed: number;
  /** What meters showed beyond what is computed, line by line; the last one again for all that follow */
  readonly read: readonly number[];
  readonly after: After;
}

const TOLD: readonly Told[] = [
  {
    rigId: 'second-firing',
    day: 12,
    liveAt: [19, 31],
    by: 'Host',
    people: 2,
    before: 58,
    overruled: 'The historian’s return is no mix-minus; she wears one ear',
    over: [20, 95, 240, -30, 60, 0, 15],
    marks: [
      [310, { is: 'marked', kind: 'marker', text: 'Glaze ran on the third pot' }],
      [1210, { is: 'marked', kind: 'chapter', text: 'Centring' }],
      [2900, { is: 'incident', deviceId: 'potter-camera', what: 'Battery ended' }],
    ],
    missed: 4,
    read: [1.2, -0.8, -6.1, 1.5],
    after: { until: 'archived', checkedIn: ['drawer', 'home'] },
  },
  {
    rigId: 'second-firing',
    day: 19,
    liveAt: [19, 31],
    by: 'Co-host',
    people: 2,
    before: 49,
    overruled: 'Stops as last week, all known',
    over: [5, 40, 120, 20, -60, 30, 0],
    marks: [
      [740, { is: 'marked', kind: 'marker', text: 'Kiln door' }],
      [1950, { is: 'marked', kind: 'retake', text: 'Name of the clay' }],
    ],
    missed: 2,
    read: [-1.9, 0.6, -5.2, 0.9],
    after: { until: 'in edit', checkedIn: ['drawer', 'home'] },
  },
  {
    rigId: 'second-firing',
    day: 26,
    liveAt: [19, 31],
    by: 'Host',
    people: 3,
    before: 41,
    overruled: 'Stops as last week, all known',
    over: [0, 15, 60, 10, 20, 0, 10],
    marks: [
      [1420, { is: 'marked', kind: 'marker', text: 'Rim closed in one pull' }],
      [3300, { is: 'marked', kind: 'take', text: '' }],
    ],
    missed: 1,
    read: [0.4, -1.1, -5.8, 1.1],
    after: { until: 'copied', checkedIn: ['drawer'] },
  },
  {
    rigId: 'harbour-hall',
    day: 20,
    liveAt: [19, 4],
    by: 'Steward',
    people: 6,
    before: 96,
    overruled: 'Everything that is open was looked at from the sound desk',
    over: [60, 150, 95, -420, 30, 20],
    marks: [
      [980, { is: 'marked', kind: 'marker', text: 'Bell missed, chair speaks over' }],
      [3400, { is: 'incident', deviceId: 'hand-2', what: 'Switched off in the hand' }],
      [5210, { is: 'incident', deviceId: 'hand-2', what: 'Switched off in the hand again' }],
      [6900, { is: 'marked', kind: 'chapter', text: 'The vote' }],
    ],
    missed: 3,
    read: [0.7, 1.9, -1.4, 0.5, -0.9],
    after: { until: 'verified', checkedIn: ['drawer', 'home'] },
  },
  {
    rigId: 'night-tide',
    day: 24,
    liveAt: [22, 6],
    by: 'Host',
    people: 1,
    before: 12,
    overruled: 'Alone in the room; what is open I know',
    over: [5, 210, -20],
    marks: [
      [640, { is: 'marked', kind: 'retake', text: 'Page turned into the word' }],
      [1580, { is: 'marked', kind: 'take', text: '' }],
    ],
    missed: 1,
    read: [0.8, -1.6, 1.2],
    after: { until: 'recorded', checkedIn: [] },
  },
];

const MINUTE_MS = 60_000;

/** What was read off each line that is read off, at the end of setting up or of the show. */
const readings = (lines: readonly CheckLine[], read: readonly number[]): Happened[] =>
  lines
    .flatMap((line) => (line.reads ? [{ line, reads: line.reads }] : []))
    .map(({ line: { id }, reads: { unit, expected } }, at) => ({
      is: 'measured',
      lineId: id,
      value: Math.round((expected + (read[Math.min(at, read.length - 1)] ?? 0)) * 10) / 10,
      unit,
    }));

const runOf = (told: Told, at: number): DemoRun => {
  const { rigId, day, liveAt, by, people, before, overruled, over, marks, missed, read, after } =
    told;
  const rig = DEMO_RIGS[rigId]?.();
  if (!rig) throw new Error(`no rig ${rigId}`);
  const analysis = analyse(rig);
  const lines = checklist(analysis);
  const { segments } = timedRundown(rig);
  const liveMs = Date.UTC(2026, 10, day, ...liveAt);
  let count = 0;
  const event = (atMs: number, happened: Happened): RunEvent => ({
    id: `demo-run-${at + 1}-${String((count += 1)).padStart(3, '0')}`,
    atMs,
    by,
    happened,
  });
  const early = lines.filter(({ phase }) => phase !== 'during' && phase !== 'strike');
  const ticked = early.slice(0, early.length - missed);
  let fromMs = liveMs;
  return {
    id: `demo-run-${at + 1}`,
    rigId,
    plan: {
      name: rig.name,
      revision: 0,
      by,
      people,
      clock: { is: 'real' },
      beginsAt: rig.beginsAt,
      lengthMin: rig.brief?.lengthMin ?? null,
      lines: lines.map(({ id, phase, what, figure, isMust }) => ({
        id,
        phase,
        what,
        figure,
        isMust,
      })),
      segments: segments.map(({ id, segment: { title, lengthS } }) => ({ id, title, lengthS })),
    },
    events: [
      ...ticked.map(({ id }, index) =>
        event(
          liveMs - before * MINUTE_MS + Math.round((index / ticked.length) * before * MINUTE_MS),
          { is: 'ticked', lineId: id },
        ),
      ),
      ...readings(early, read).map((happened) => event(liveMs - 2 * MINUTE_MS, happened)),
      event(liveMs - 5000, { is: 'overruled', words: overruled }),
      event(liveMs, { is: 'live' }),
      ...segments.map(({ id, segment }, index) => {
        const begins = event(fromMs, { is: 'segment', segmentId: id });
        fromMs += (segment.lengthS + (over[index] ?? 0)) * 1000;
        return begins;
      }),
      ...marks.map(([s, happened]) => event(liveMs + s * 1000, happened)),
      event(fromMs, { is: 'ended' }),
      ...lines
        .filter(({ phase }) => phase === 'strike')
        .map(({ id }, index) => event(fromMs + (index + 1) * 90_000, { is: 'ticked', lineId: id })),
      ...readings(
        lines.filter(({ phase }) => phase === 'strike'),
        read.slice(-1),
      ).map((happened) => event(fromMs + MINUTE_MS, happened)),
      ...afterwards(analysis, after, {
        date: new Date(liveMs).toISOString().slice(0, 10),
        episode: at + 41,
      }).map(([afterMs, happened]) => event(fromMs + afterMs, happened)),
    ],
  };
};

export const demoRuns = (): DemoRun[] => TOLD.map(runOf);
