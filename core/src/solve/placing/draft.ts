import { freeId, type Rig, type SimpleCommand, type SupportFigures, usualSupport } from '../../rig';
import type { Stage } from './stage';

/** The edits of one way of placing things, as they are thought of. */
export class Layout {
  readonly commands: SimpleCommand[] = [];
  private readonly supports: Record<string, true>;

  constructor(rig: Rig) {
    this.supports = Object.fromEntries(Object.keys(rig.supports).map((id) => [id, true]));
  }

  support(
    name: string,
    at: ReturnType<Stage['at']>,
    figures: SupportFigures,
    onId: string | null = null,
  ): string {
    const supportId = freeId(name, this.supports);
    this.supports[supportId] = true;
    this.commands.push({ type: 'addSupport', supportId, support: { name, at, onId, figures } });
    return supportId;
  }

  stand(deviceId: string, supportId: string, xM = 0, yM = 0, upM = 0, turnDeg = 0): void {
    const at = { supportId, xM: tidy(xM), yM: tidy(yM), turnDeg, upM };
    this.commands.push({ type: 'standDevice', deviceId, on: at });
  }
}

/** To the centimetre, as places are typed. */
export const tidy = (metres: number): number => Number(metres.toFixed(2));

export const between = (value: number, least: number, most: number): number =>
  Math.max(least, Math.min(most, value));

/** A usual desk’s figures. */
export const deskFigures = (name: string) => {
  const { figures } = usualSupport(name);
  if (figures.is !== 'desk') throw new RangeError(`${name} is no desk`);
  return figures;
};
