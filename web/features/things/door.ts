import {
  type OwnThing,
  type SimpleCommand,
  type Thing,
  type ThingFault,
  thingSchema,
} from '@echo-loom/core';
import { z } from 'zod';

/** The way of the studio's things to the server. */

export interface ThingToSave {
  readonly id: string | null;
  readonly from: number;
  /** null takes it off the list */
  readonly thing: Thing | null;
}

export type ThingsDeed =
  | { readonly does: 'save'; readonly things: readonly ThingToSave[] }
  | { readonly does: 'take csv'; readonly text: string; readonly isSure: boolean }
  | {
      readonly does: 'take cells';
      readonly cells: readonly (readonly (string | number | boolean | null)[])[];
      readonly isSure: boolean;
    }
  | {
      readonly does: 'take in rig';
      readonly rigId: string;
      /** In whose name: whoever does it can take it back in the rig */
      readonly author: string;
      readonly command: SimpleCommand;
    };

/** What was saved, and how it stood before. */
export interface SavedThing {
  readonly id: string;
  readonly version: number;
  readonly before: Thing | null;
}

const answerSchema = z.object({
  saved: z
    .array(z.object({ id: z.string(), version: z.number(), before: z.unknown() }))
    .default([]),
  added: z.array(z.string()).default([]),
  changed: z.array(z.string()).default([]),
  same: z.number().default(0),
  faults: z.array(z.object({ at: z.string(), says: z.string() })).default([]),
  problems: z.array(z.object({ path: z.string(), says: z.string() })).default([]),
  says: z.string().default('That did not work.'),
});

export type ThingsAnswer =
  | {
      readonly ok: true;
      readonly saved: readonly SavedThing[];
      readonly added: readonly string[];
      readonly changed: readonly string[];
      readonly same: number;
      readonly faults: readonly ThingFault[];
    }
  | { readonly ok: false; readonly says: string };

const NO_SERVER = 'The server does not answer. Nothing was changed; try again in a moment.';

/** Does something with the things. @returns what came of it, or why it was not done */
export const thingsDo = async (deed: ThingsDeed): Promise<ThingsAnswer> => {
  try {
    const response = await fetch('/api/things', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(deed),
    });
    const { says, problems, saved, ...rest } = answerSchema.parse(await response.json());
    return response.ok
      ? { ok: true, saved: saved as readonly SavedThing[], ...rest }
      : { ok: false, says: [says, ...problems.map((one) => one.says)].join(' ') };
  } catch {
    return { ok: false, says: NO_SERVER };
  }
};

/** What puts everything back that was saved. */
export const takenBack = (saved: readonly SavedThing[]): ThingsDeed => ({
  does: 'save',
  things: saved.map(({ id, version, before }) => ({ id, from: version, thing: before })),
});

/** What of a thing a rig wants to know: where else it is, and what is wrong with that. */
export interface ListedThings {
  readonly things: readonly OwnThing[];
  readonly findings: readonly { readonly thingId: string; readonly says: string }[];
}

const listedSchema = z.object({
  things: z.array(z.object({ id: z.string(), version: z.number(), thing: thingSchema })),
  findings: z.array(z.object({ thingId: z.string(), says: z.string() })),
});

/** The things of the studio. @returns null where the server does not answer */
export const fetchThings = async (): Promise<ListedThings | null> => {
  try {
    const response = await fetch('/api/things');
    return response.ok ? listedSchema.parse(await response.json()) : null;
  } catch {
    return null;
  }
};
