/** The areas of the field that findings are sorted by, in the order of the spine, with their titles. */
export const AREAS = {
  brief: 'Brief and house rules',
  signal: 'Signal',
  sound: 'Sound',
  picture: 'Picture',
  computer: 'Computer',
  place: 'Place',
  stands: 'Stands and desks',
  cables: 'Cables',
  power: 'Power',
  time: 'Time',
  light: 'Light',
  day: 'Day',
  files: 'Files',
} as const;

/** `sound` */
export type Area = keyof typeof AREAS;

export const AREA_IDS = Object.keys(AREAS) as readonly Area[];
