import { type Finish, rectangle, type SimpleCommand } from '../rig';

/** Something that takes up the same share in every band. */
export const flat = (name: string, a: number): Finish => ({
  name,
  absorption: [a, a, a, a, a, a],
});

/** The handbook's room, 5.2 × 4.1 × 2.6 m, bare: floor 0.03, ceiling 0.05 and walls 0.04 in every band. */
export const BARE_ROOM: readonly SimpleCommand[] = [
  { type: 'drawRoom', room: { corners: rectangle(5.2, 4.1), heightM: 2.6 } },
  { type: 'finishRoom', of: 'floor', finish: flat('Floor', 0.03) },
  { type: 'finishRoom', of: 'ceiling', finish: flat('Ceiling', 0.05) },
  { type: 'finishRoom', of: 'walls', finish: flat('Walls', 0.04) },
];
