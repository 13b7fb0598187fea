import { onRigChange } from '@/server/events';

export const dynamic = 'force-dynamic';

/** How often a line is sent so that a dead connection is noticed. @unit ms */
const HEARTBEAT_MS = 15_000;

/** Tells a browser of every save of a rig, as server-sent events with the new revision. */
export const GET = async (request: Request, { params }: { params: Promise<{ rigId: string }> }): Promise<Response> => {
  const { rigId } = await params;
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
      const stopListening = onRigChange(rigId, (revision) => send(`data: ${revision}\n\n`));
      const heartbeat = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS);
      stop = () => {
        clearInterval(heartbeat);
        stopListening();
      };
      request.signal.addEventListener('abort', stop);
      send('retry: 1000\n\ndata: -1\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', 'x-accel-buffering': 'no' } });
};
