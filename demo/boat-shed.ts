/** A long shed with the slipway bay at one end. */
export const BOAT_SHED = [
  { xM: -1, yM: -1 },
  { xM: 12, yM: -1 },
  { xM: 12, yM: 7 },
  { xM: 6, yM: 7 },
  { xM: 6, yM: 9 },
  { xM: -1, yM: 9 },
];
