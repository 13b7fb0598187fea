import {
  analyse,
  checklist,
  type Happened,
  type RunEvent,
  type RunPlan,
  timedRundown,
} from '@echo-loom/core';
import { type After, afterwards } from './episodes';
import { secondFiring } from './second-firing';

/** The last three runs of Second Firing, as its logbook has them. */

export interface DemoRun {
  readonly id: string;
  readonly rigId: string;
  readonly plan: RunPlan;
  readonly events: readonly RunEvent[];
}

interface Told {
  readonly day: number;
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
  readonly after: After;
}

const TOLD: readonly Told[] = [
  {
    day: 12,
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
    after: { until: 'archived', checkedIn: ['drawer', 'home'] },
  },
  {
    day: 19,
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
    after: { until: 'in edit', checkedIn: ['drawer', 'home'] },
  },
  {
    day: 26,
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
    after: { until: 'copied', checkedIn: ['drawer'] },
  },
];

const MINUTE_MS = 60_000;

export const demoRuns = (): DemoRun[] => {
  const rig = secondFiring();
  const analysis = analyse(rig);
  const lines = checklist(analysis);
  const { segments } = timedRundown(rig);
  return TOLD.map(({ day, by, people, before, overruled, over, marks, missed, after }, at) => {
    const liveMs = Date.UTC(2026, 10, day, 19, 31);
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
      rigId: 'second-firing',
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
          .map(({ id }, index) =>
            event(fromMs + (index + 1) * 90_000, { is: 'ticked', lineId: id }),
          ),
        ...afterwards(analysis, after, {
          date: new Date(liveMs).toISOString().slice(0, 10),
          episode: at + 41,
        }).map(([afterMs, happened]) => event(fromMs + afterMs, happened)),
      ],
    };
  });
};
