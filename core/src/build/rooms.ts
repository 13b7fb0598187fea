import { finish, rectangle, type SimpleCommand, type Surface } from '../rig';

/** Rooms to begin with, so that nobody starts from an empty floor. Typical, and meant to be typed over. */
export interface Beginning {
  readonly name: string;
  readonly about: string;
  readonly commands: readonly SimpleCommand[];
}

const put = (
  surfaceId: string,
  material: string,
  covers: Surface['covers'],
  areaM2: number,
): SimpleCommand => ({
  type: 'addSurface',
  surfaceId,
  surface: { ...finish(material), covers, areaM2 },
});

const room = (widthM: number, depthM: number, heightM: number): SimpleCommand => ({
  type: 'drawRoom',
  room: { corners: rectangle(widthM, depthM), heightM },
});

/**
 * A door that swings out of the room, so that nothing stands in its way.
 * @param alongM from the corner @param widthM m
 */
const door = (wall: number, alongM: number, widthM = 0.9): SimpleCommand => ({
  type: 'addOpening',
  openingId: 'door',
  opening: {
    name: 'Door',
    what: 'door',
    wall,
    alongM,
    widthM,
    bottomM: 0,
    heightM: 2.05,
    opens: 'out',
  },
});

export const BEGINNINGS: readonly Beginning[] = [
  {
    name: 'Box room',
    about: '3.2 × 2.6 m, a window, a carpet',
    commands: [
      room(3.2, 2.6, 2.4),
      door(1, 2.05),
      put('window', 'Window glass', 'walls', 1.4),
      put('carpet', 'Carpet, thin on concrete', 'floor', 8.3),
    ],
  },
  {
    name: 'Loft',
    about: '6 × 4 m under boards, a sofa',
    commands: [
      room(6, 4, 2.3),
      door(1, 3.3),
      { type: 'finishRoom', of: 'floor', finish: finish('Wooden floor on joists') },
      { type: 'finishRoom', of: 'ceiling', finish: finish('Boards, 20 mm on battens') },
      put('sofa', 'Upholstered sofa', 'nothing', 5),
    ],
  },
  {
    name: 'Corner of an office',
    about: '7 × 5 m of a larger floor, glass along one side',
    commands: [
      room(7, 5, 2.7),
      door(1, 4.2),
      put('windows', 'Window glass', 'walls', 12),
      put('carpet', 'Carpet, thin on concrete', 'floor', 35),
    ],
  },
  {
    name: 'Shed',
    about: '10 × 6 m, boards and concrete',
    commands: [
      room(10, 6, 3.2),
      door(1, 5),
      { type: 'finishRoom', of: 'floor', finish: finish('Concrete or tile') },
      { type: 'finishRoom', of: 'walls', finish: finish('Boards, 20 mm on battens') },
      { type: 'finishRoom', of: 'ceiling', finish: finish('Boards, 20 mm on battens') },
    ],
  },
  {
    name: 'Hall',
    about: '22 × 16 m, plaster, wood, high windows',
    commands: [
      room(22, 16, 6),
      door(1, 14, 1.8),
      { type: 'finishRoom', of: 'floor', finish: finish('Wooden floor on joists') },
      put('windows', 'Window glass', 'walls', 50),
    ],
  },
];
