import type { Exposed, FaceLight } from '@echo-loom/core';
import { bearing } from '@echo-loom/core';

/** Where the lens of a shot stands, to the right of where a face looks. @unit degrees; 0 where it is not placed */
export const lensAside = ({ view }: Exposed, { eyes, person }: FaceLight): number => {
  if (!view || !person.at) return 0;
  const turned = bearing(eyes, view.camera.at) - person.at.facingDeg;
  return ((((turned + 180) % 360) + 360) % 360) - 180;
};
