import { type Backdrop, entry, inOrder } from '../../rig';
import type { Measured } from '../measured';
import { pass, passFor } from '../pass';
import { ahead, type InRoom, looking, UP, type Vector } from '../place';
import { directLux, fromRoom } from './at';
import { lightSources } from './sources';

/** Light on walls, green screens and boards. */

/** A point of a backdrop with its light. @unit lux */
export interface LitPoint {
  readonly at: InRoom;
  readonly lux: number;
  /** What each source gives there turned up, by the source's id */
  readonly full: ReadonlyMap<string, number>;
}

/** A backdrop with its light. Illuminances in lux. */
export interface LitBackdrop {
  readonly id: string;
  readonly backdrop: Backdrop;
  readonly points: readonly LitPoint[];
  readonly leastLux: number;
  readonly mostLux: number;
  readonly meanLux: number;
  /** Brightest over darkest; null in the dark */
  readonly evenness: number | null;
}

/** Points across and upwards at which a backdrop is looked at. */
export const POINTS_ACROSS = 41;
export const POINTS_UP = 5;

/** Which way the face of a backdrop looks: an area looks up. */
export const normalOf = ({ is, at }: Pick<Backdrop, 'is' | 'at'>): Vector =>
  is === 'area' ? UP : looking(at.facingDeg);

/** The points of a backdrop, by rows from below or from behind; its edges are among them. */
export const pointsOf = ({ is, at, widthM, heightM, bottomM }: Backdrop): InRoom[] =>
  Array.from({ length: POINTS_UP }, (_, row) =>
    Array.from({ length: POINTS_ACROSS }, (_, column) => {
      const aside = (column / (POINTS_ACROSS - 1) - 0.5) * widthM;
      const share = row / (POINTS_UP - 1);
      return is === 'area'
        ? { ...ahead(at, aside, (share - 0.5) * heightM), zM: bottomM }
        : { ...ahead(at, aside, 0), zM: bottomM + share * heightM };
    }),
  ).flat();

const litBackdrop = (measured: Measured, id: string): LitBackdrop | null => {
  const backdrop = entry(measured.rig.backdrops, id);
  if (!backdrop) return null;
  const normal = normalOf(backdrop);
  const sources = lightSources(measured);
  const room = fromRoom(measured);
  const points = pointsOf(backdrop).map((at): LitPoint => {
    const full = new Map<string, number>();
    let lux = 0;
    for (const source of sources) {
      const straight = directLux(source, at, normal);
      if (straight <= 0) continue;
      full.set(source.id, straight);
      lux += straight * source.share;
    }
    return { at, lux: room + lux, full };
  });
  const lux = points.map((point) => point.lux);
  const [leastLux, mostLux] = [Math.min(...lux), Math.max(...lux)];
  return {
    id,
    backdrop,
    points,
    leastLux,
    mostLux,
    meanLux: lux.reduce((sum, one) => sum + one, 0) / lux.length,
    evenness: leastLux > 0 ? mostLux / leastLux : null,
  };
};

const litById = passFor('lit backdrop', litBackdrop);

/** Every backdrop, in the rig's order. */
export const backdropsLit = pass('lit backdrops', (measured): readonly LitBackdrop[] =>
  inOrder(measured.rig.backdrops).flatMap(([id]) => litById(measured, id) ?? []),
);
