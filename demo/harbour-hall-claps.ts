import { analyse, apply, type Command, meetings, type Rig } from '@echo-loom/core';

/**
 * The volunteers clapped once, by the recorder, before anybody had looked up what the desk takes; and once
 * more since, at the stream.
 */
export const clapped = (rig: Rig): Rig => {
  const atPlace = (now: Rig, placeId: string) => {
    const pair = meetings(analyse(now))
      .find((meeting) => meeting.placeId === placeId)
      ?.pairs.find(({ sound }) => sound.sourceIds.includes('hand-1'));
    if (!pair) throw new Error(`nothing meets at ${placeId}`);
    return pair;
  };
  const clap = (now: Rig, placeId: string, offsetMs: number, on: string): Command => ({
    type: 'addOffset',
    offsetId: `${placeId}-clap`,
    offset: {
      soundId: 'hand-1',
      pictureId: 'roaming-1',
      placeId,
      offsetMs,
      spreadMs: 3,
      setMs: 0,
      on,
      heldWhile: atPlace(now, placeId).heldWhile,
      file: null,
    },
  });
  const looked = [
    clap(rig, 'recorder', -58, '2026-09-18'),
    {
      type: 'addKnownDelay',
      knownDelayId: 'desk-main',
      knownDelay: {
        deviceId: 'sound-desk',
        routeId: 'main',
        ms: 2.3,
        spreadMs: 0.1,
        by: 'data sheet',
        on: '2026-10-02',
        heldWhile: '',
      },
    } satisfies Command,
  ].reduce<Rig>(apply, rig);
  return apply(looked, clap(looked, 'stream', -61, '2026-10-30'));
};
