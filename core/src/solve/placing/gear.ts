import { bodyOf } from '../../catalogue';
import { type Device, RACK_UNIT_M, usualSupport } from '../../rig';
import { between, deskFigures, type Layout, tidy } from './draft';
import type { Stage } from './stage';

/** Width of a usual desk for gear, and how much of it is used. @unit m */
const GEAR_DESK_M = 1.4;
const USED_M = 1.3;
/** Between two things on it. @unit m */
const GAP_M = 0.04;

type Lying = readonly (readonly [string, Device])[];

/** Things shared out among as many desks as they need side by side. */
const desksFor = (lying: Lying): Lying[] => {
  const desks: (readonly [string, Device])[][] = [];
  let leftM = 0;
  for (const item of lying) {
    const wideM = (bodyOf(item[1].model)?.widthM ?? 0.3) + GAP_M;
    const desk = desks.at(-1);
    if (!desk || wideM > leftM) {
      desks.push([item]);
      leftM = USED_M - wideM;
    } else {
      desk.push(item);
      leftM -= wideM;
    }
  }
  return desks;
};

/** Everything else: on a desk of its own at the side, or on the table; what is screwed in goes into a rack. */
export const placeGear = (
  rest: readonly (readonly [string, Device])[],
  out: Layout,
  stage: Stage,
  table: string | null,
  { middleM, tableWideM }: { middleM: number; tableWideM: number },
): void => {
  const racked = rest.filter(([, { model }]) => bodyOf(model)?.mount === 'in a rack');
  const lying = rest.filter(([, { model }]) => bodyOf(model)?.mount === 'on a surface');
  const floor = rest.filter(([, { model }]) => bodyOf(model)?.mount === 'on the floor');
  const free = stage.deepM - 0.5;
  if (lying.length > 0 && table !== null)
    lying.forEach(([id], index) =>
      out.stand(id, table, ((index + 0.5) / lying.length - 0.5) * tableWideM * 0.8, 0.15),
    );
  if (table === null)
    desksFor(lying).forEach((items, place, all) => {
      const desk = out.support(
        all.length === 1 ? 'Gear desk' : `Gear desk ${place + 1}`,
        stage.at(stage.acrossM - 0.42, Math.max(0.8, free - 0.5 - place * (GEAR_DESK_M + 0.1)), 90),
        deskFigures('Desk, 1.4 m'),
      );
      items.forEach(([id], index) =>
        out.stand(id, desk, ((index + 0.5) / items.length - 0.5) * 1.2, 0),
      );
    });
  if (racked.length > 0) {
    const units = racked.map(([, { model }]) =>
      Math.max(1, Math.ceil((bodyOf(model)?.heightM ?? 0) / RACK_UNIT_M - 0.05)),
    );
    const all = units.reduce((sum, one) => sum + one, 0);
    const name = all <= 6 ? 'Rack, 6 units' : all <= 12 ? 'Rack, 12 units' : 'Rack, 24 units';
    const rack = out.support('Rack', stage.at(0.4, free, 180), usualSupport(name).figures);
    let next = 0;
    const heaviestFirst = racked
      .map(([id, { model }], index) => ({
        id,
        units: units[index] ?? 1,
        massKg: bodyOf(model)?.massKg ?? 0,
      }))
      .sort((a, b) => b.massKg - a.massKg);
    for (const one of heaviestFirst) {
      out.stand(one.id, rack, 0, 0, Number((next * RACK_UNIT_M).toFixed(5)));
      next += one.units;
    }
  }
  floor.forEach(([id, { aim, model }], index) => {
    const at = stage.at(
      between(middleM + tableWideM / 2 + 0.3 + 0.3 * index, 0.3, stage.acrossM - 0.2),
      stage.deepM - 0.4,
    );
    out.commands.push(
      { type: 'placeDevice', deviceId: id, at, aim },
      { type: 'raiseDevice', deviceId: id, heightM: tidy((bodyOf(model)?.heightM ?? 0.4) / 2) },
    );
  });
};
