import type { RigDraft } from '@echo-loom/core';
import { finish, rectangle, USUAL_DELIVERABLES } from '@echo-loom/core';

/** Bench microphones of each side, one in front of two seats. */
export const BENCH = 6;

export const people = (draft: RigDraft): RigDraft =>
  draft
    .person('chair', 'Chair', {
      shot: 'waist',
      speechDbSpl: 64,
      at: { xM: 12, yM: 20, facingDeg: 180 },
    })
    .person('proposer', 'Proposer', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 66,
      spreadDb: 9,
      crestDb: 16,
      at: { xM: 9, yM: 15, facingDeg: 150 },
    })
    .person('opposer', 'Opposer', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 66,
      spreadDb: 9,
      crestDb: 16,
      at: { xM: 15, yM: 15, facingDeg: 210 },
    })
    .person('questioner', 'Questioner', {
      shot: 'waist',
      posture: 'stands',
      speechDbSpl: 62,
      spreadDb: 9,
      at: { xM: 12, yM: 7, facingDeg: 0 },
    })
    .person('audience', 'Audience', {
      shot: null,
      isHeard: false,
      speechDbSpl: 84,
      crestDb: 16,
      at: { xM: 12, yM: 4, facingDeg: 0 },
    })
    .person('director', 'Director', {
      shot: null,
      isHeard: false,
      at: { xM: 24.6, yM: 2.2, facingDeg: 270 },
    })
    .person('desk', 'Sound desk', {
      shot: null,
      isHeard: false,
      at: { xM: 24.6, yM: 4.8, facingDeg: 270 },
    })
    .person('roamer-1', 'Roaming camera 1', {
      shot: null,
      isHeard: false,
      posture: 'moves',
      at: { xM: 5, yM: 7, facingDeg: 0 },
    })
    .person('roamer-2', 'Roaming camera 2', {
      shot: null,
      isHeard: false,
      posture: 'moves',
      at: { xM: 15.5, yM: 5.8, facingDeg: 0 },
    })
    .person('roamer-3', 'Roaming camera 3', {
      shot: null,
      isHeard: false,
      posture: 'moves',
      at: { xM: 20.5, yM: 7, facingDeg: 0 },
    })
    .person('floor', 'Floor', {
      shot: null,
      isHeard: false,
      posture: 'moves',
      at: { xM: 0.8, yM: 18, facingDeg: 90 },
    })
    .do({ type: 'setRoom', room: { name: 'The hall', volumeM3: 2600, rt60S: 1.5, noiseDba: 36 } })
    .do({ type: 'drawRoom', room: { corners: rectangle(26, 22), heightM: 4.5 } })
    .do({ type: 'finishRoom', of: 'floor', finish: finish('Wooden floor on joists') })
    .do({ type: 'finishRoom', of: 'ceiling', finish: finish('Boards, 20 mm on battens') })
    .do({
      type: 'addSurface',
      surfaceId: 'windows',
      surface: { ...finish('Window glass'), covers: 'walls', areaM2: 60 },
    })
    .do({
      type: 'addSurface',
      surfaceId: 'audience',
      surface: { ...finish('People, seated'), name: 'Audience', covers: 'nothing', areaM2: 160 },
    })
    .do({
      type: 'addSurface',
      surfaceId: 'curtains',
      surface: { ...finish('Curtain, heavy, in folds'), covers: 'walls', areaM2: 48 },
    })
    .do({
      type: 'addNoise',
      noiseId: 'air-handling',
      noise: {
        name: 'Air handling',
        dbaAt1m: 44,
        reading: 'free field',
        at: { xM: 22, yM: 12 },
        heightM: null,
        runs: true,
      },
    })
    .do({
      type: 'writeBrief',
      brief: {
        form: 'both',
        cut: 'long form and clips',
        lengthMin: 120,
        showsPerMonth: 2,
        switchedBy: 'operator',
        budget: 55_000,
        setUpMin: 180,
        room: 'shared',
        uplinkMbps: 30,
      },
    })
    .do({
      type: 'setHouseRules',
      rules: { monitoring: 'loudspeakers muted', recordingLevel: 'average -20' },
    })
    .do({
      type: 'addSight',
      sightId: 'benches',
      sight: {
        name: 'Both benches',
        what: 'people together',
        shot: 'whole',
        at: null,
        people: ['proposer', 'opposer'],
      },
    })
    .do({
      type: 'addSight',
      sightId: 'vote',
      sight: { name: 'The vote', what: 'screen', shot: 'whole', at: null, people: [] },
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'stream',
      deliverable: USUAL_DELIVERABLES['stream'],
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'programme',
      deliverable: USUAL_DELIVERABLES['programme recording'],
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'tracks',
      deliverable: USUAL_DELIVERABLES['voice tracks'],
    });
