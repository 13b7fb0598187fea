import { analyse, apply, type Rig, RigDraft, setLight } from '@echo-loom/core';
import { clock, median, ORDINARY_LOOP_MS, plainLoop } from '../timing';

/**
 * Sets eight lamps for four people by the linear programme, in yardsticks: the same loop of arithmetic run
 * before and after each. Exits 1 beyond 300 ms on an ordinary machine.
 */
const LIMIT_MS = 300;
const RUNS = 15;

const yardstick = (): number => clock(() => void plainLoop());

/** Four people on two sides of a table, a key and a fill for each. */
const stage = (): Rig => {
  const draft = new RigDraft('Eight lamps').do({
    type: 'drawRoom',
    room: {
      corners: [
        { xM: 0, yM: 0 },
        { xM: 9, yM: 0 },
        { xM: 9, yM: 7 },
        { xM: 0, yM: 7 },
      ],
      heightM: 3,
    },
  });
  for (let index = 0; index < 4; index++) {
    const xM = 1.8 + 1.8 * index;
    draft.person(`p${index}`, `Person ${index + 1}`, { at: { xM, yM: 2, facingDeg: 0 } });
    for (const [id, classId, aside, modifier] of [
      [`key-${index}`, 'light-cob-120', -1.1, 'Dome, 0.9 m'],
      [`fill-${index}`, 'light-panel-large', 1.2, 'Diffuser'],
    ] as const)
      draft
        .device(id, classId, { name: id })
        .do({
          type: 'placeDevice',
          deviceId: id,
          at: { xM: xM + aside, yM: 4, facingDeg: 180 },
          aim: null,
        })
        .do({ type: 'raiseDevice', deviceId: id, heightM: 1.9 })
        .lamp(id, { at: 'person', personId: `p${index}` }, modifier);
  }
  return draft.build();
};

let isOver = false;
for (const aim of ['power', 'lamps', 'glare'] as const) {
  const analysis = analyse(stage());
  const ratios: number[] = [];
  let says = '';
  for (let run = 0; run < RUNS; run++) {
    const before = yardstick();
    const took = clock(() => {
      const answer = setLight(analysis, { aim, faceLux: 400 });
      says = answer?.says ?? 'no answer';
    });
    ratios.push(took / ((before + yardstick()) / 2));
  }
  const answer = setLight(analysis, { aim, faceLux: 400 });
  const then =
    answer && answer.commands.length > 0
      ? apply(analysis.rig, { type: 'batch', label: 'Set', commands: [...answer.commands] })
      : analysis.rig;
  const left = analyse(then).findings.filter(({ area }) => area === 'light').length;
  const ordinaryMs = ORDINARY_LOOP_MS * median(ratios);
  isOver ||= ordinaryMs > LIMIT_MS;
  console.log(
    `eight lamps, four people, ${aim}: ${median(ratios).toFixed(1)} yardsticks, ${ordinaryMs.toFixed(0)} ms on ` +
      `an ordinary machine, ${LIMIT_MS} allowed. ${says} ${left} findings of light are left.`,
  );
}
process.exitCode = isOver ? 1 : 0;
