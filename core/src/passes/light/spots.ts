import { inOrder } from '../../rig';
import { pass } from '../pass';
import { type InRoom, UP } from '../place';
import { fromRoom, luxOf, type Share, sharesAt } from './at';
import { lightSources } from './sources';

/** Hands and tables: level places that are looked at. */
export interface LitSight {
  readonly sightId: string;
  readonly name: string;
  readonly at: InRoom;
  readonly shares: readonly Share[];
  /** On a level plane there, with what the walls send back. @unit lux */
  readonly lux: number;
}

/** Every sight of the brief that lies somewhere, in its order. */
export const sightsLit = pass('lit sights', (measured): readonly LitSight[] =>
  inOrder(measured.rig.brief?.sights ?? {}).flatMap(([sightId, { name, at, what }]) => {
    if (!at || what === 'people together') return [];
    const shares = sharesAt(lightSources(measured), at, UP);
    return [{ sightId, name, at, shares, lux: fromRoom(measured) + luxOf(shares) }];
  }),
);
