import { entry, type Rig, type SimpleCommand } from '../rig';
import type { Lay } from '../rig/links/schema';

/** How one cable is laid, changed in part: what else was said of it stays. */
export const laid = (rig: Rig, linkId: string, change: Partial<Lay>): SimpleCommand => {
  const { dressing, keepsOff, by }: Lay = {
    dressing: null,
    keepsOff: false,
    ...entry(rig.links, linkId)?.lay,
    ...change,
  };
  const ways = by && by.length > 0 ? { by } : {};
  const isAsAll =
    (dressing === null || dressing === rig.laying.dressing) && !keepsOff && !by?.length;
  return {
    type: 'layCable',
    linkId,
    lay: isAsAll ? null : { dressing, keepsOff, ...ways },
  };
};
