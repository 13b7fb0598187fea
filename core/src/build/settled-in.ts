import { apply, freeId, type Rig } from '../rig';

/** What a studio hands to each new rig. */
interface Home {
  /** Of its air, °C; null = 20 */
  readonly temperatureC: number | null;
  /** Names of its rooms and corners, 1 to 80 letters each */
  readonly places: readonly string[];
}

/** A new rig with what the studio settles: copied now, and the rig's own from then on. */
export const settledIn = (rig: Rig, { temperatureC, places }: Home): Rig => {
  const warmed =
    temperatureC === null ? rig : apply(rig, { type: 'setRoom', room: { temperatureC } });
  const known = new Set(Object.values(rig.places).map(({ name }) => name));
  return places
    .filter((name, index) => !known.has(name) && places.indexOf(name) === index)
    .reduce(
      (now, name) =>
        apply(now, {
          type: 'addPlace',
          placeId: freeId(name, now.places),
          place: { name },
        }),
      warmed,
    );
};
