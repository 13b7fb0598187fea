import { type DeviceUpdate, modelSchema, type Model, type OwnModel } from '@echo-loom/core';
import { z } from 'zod';

/** The library's way to the server. */

export type LibraryDeed =
  | {
      readonly does: 'save';
      readonly id: string | null;
      readonly from: number;
      readonly model: Model;
    }
  | { readonly does: 'remove' | 'put back'; readonly id: string }
  | {
      readonly does: 'update';
      readonly id: string;
      readonly rigId: string;
      /** In whose name: whoever does it can take it back in the rig */
      readonly author: string;
    }
  | { readonly does: 'take json'; readonly text: string }
  | { readonly does: 'take csv'; readonly text: string; readonly isSure: boolean };

export interface Fault {
  readonly at: string;
  readonly says: string;
}

const faultSchema = z.object({ at: z.string(), says: z.string() });
const answerSchema = z.object({
  models: z.array(z.object({ id: z.string(), version: z.number() })).optional(),
  names: z.array(z.string()).optional(),
  faults: z.array(faultSchema).optional(),
  says: z.string().optional(),
});

export type LibraryAnswer =
  | {
      readonly ok: true;
      readonly models: readonly { readonly id: string; readonly version: number }[];
      readonly names: readonly string[];
      readonly faults: readonly Fault[];
    }
  | { readonly ok: false; readonly says: string; readonly faults: readonly Fault[] };

const NO_SERVER = 'The server does not answer. Nothing was changed; try again in a moment.';

/** Does something with the library. @returns what it made or would change, or why it was not done */
export const libraryDo = async (deed: LibraryDeed): Promise<LibraryAnswer> => {
  try {
    const response = await fetch('/api/library', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(deed),
    });
    const {
      models = [],
      names = [],
      faults = [],
      says = 'That did not work.',
    } = answerSchema.parse(await response.json());
    return response.ok ? { ok: true, models, names, faults } : { ok: false, says, faults };
  } catch {
    return { ok: false, says: NO_SERVER, faults: [] };
  }
};

const modelsSchema = z.object({
  models: z.array(z.object({ id: z.string(), version: z.number(), model: modelSchema })),
});

/** The latest version of every model. @returns null where the server does not answer */
export const fetchOwnModels = async (): Promise<readonly OwnModel[] | null> => {
  try {
    const response = await fetch('/api/library');
    return response.ok ? modelsSchema.parse(await response.json()).models : null;
  } catch {
    return null;
  }
};

/** A rig that uses a model, and what would change there. */
export interface UsedIn {
  readonly rigId: string;
  readonly name: string;
  readonly devices: number;
  readonly updates: readonly DeviceUpdate[];
}
