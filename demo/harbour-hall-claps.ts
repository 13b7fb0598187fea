import {
  analyse,
  apply,
  type Command,
  heldNow,
  keepRoom,
  keepVoice,
  meetings,
  predictedVoices,
  type Rig,
} from '@echo-loom/core';

/**
 * The volunteers clapped once, by the recorder, before anybody had looked up what the desk takes; and once
 * more since, at the stream.
 */
export const clapped = (rig: Rig): Rig => {
  const heldAt = (now: Rig, placeId: string) => {
    const analysis = analyse(now);
    const pair = meetings(analysis)
      .find((meeting) => meeting.placeId === placeId)
      ?.pairs.find(({ sound }) => sound.sourceIds.includes('hand-1'));
    if (!pair) throw new Error(`nothing meets at ${placeId}`);
    return heldNow(analysis, pair);
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
      ...heldAt(now, placeId),
      on,
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
  return recorded(apply(looked, clap(looked, 'stream', -61, '2026-10-30')));
};

/** The clap by the recorder told how long the hall rings; the chair was recorded at the next debate. */
const recorded = (rig: Rig): Rig => {
  const rung = apply(rig, keepRoom(analyse(rig), 1.5, 0.08, { on: '2026-09-18', file: null }));
  const analysis = analyse(rung);
  const chair = predictedVoices(analysis).find(({ soundId }) => soundId === 'chair-mic');
  if (!chair) throw new Error('the chair is heard nowhere');
  return apply(
    rung,
    keepVoice(
      analysis,
      chair,
      { levelDbfs: -22.1, peakDbfs: -9.8, noiseDbfsA: null },
      { on: '2026-10-30', file: null },
      null,
    ),
  );
};
