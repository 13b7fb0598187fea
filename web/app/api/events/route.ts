import { z } from 'zod';
import { answering, noSuchRig, queryOf } from '@/server/answers';
import { onRigChange } from '@/server/events';
import { isKept } from '@/server/rigs';
import { rigIdSchema, type RigEvent } from '@/session/protocol';

export const dynamic = 'force-dynamic';

/** How often a line is sent so that a dead connection is noticed. @unit ms */
const HEARTBEAT_MS = 15_000;
/** Most rigs one browser hears of. */
const MAX_RIGS = 50;

const querySchema = z.strictObject({
  rig: z.union([rigIdSchema.transform((id) => [id]), z.array(rigIdSchema).min(1).max(MAX_RIGS)]),
});

/** Tells a browser of every save of some rigs, and when one is put away or back, as server-sent events. */
export const GET = answering(async (request) => {
  const { rig: asked } = queryOf(request, querySchema);
  const found = await Promise.all(asked.map(async (id) => ((await isKept(id)) ? [id] : [])));
  const rigIds = [...new Set(found.flat())];
  if (rigIds.length === 0) return noSuchRig();
  const encoder = new TextEncoder();
  let stop = (): void => undefined;
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => {
      const send = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          stop();
        }
      };
      const tell = (event: RigEvent) => send(`data: ${JSON.stringify(event)}\n\n`);
      const stops = rigIds.map((rigId) => onRigChange(rigId, tell));
      const heartbeat = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS);
      stop = () => {
        clearInterval(heartbeat);
        for (const stopHearing of stops) stopHearing();
      };
      request.signal.addEventListener('abort', stop);
      send('retry: 1000\n\n');
      for (const rigId of rigIds) tell({ tells: 'look', rigId });
    },
    cancel: () => stop(),
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    },
  });
});
