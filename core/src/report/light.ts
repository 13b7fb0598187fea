import type { Analysis } from '../analyse';
import { exposures } from '../passes/exposure';
import { backdropsLit, faces, isLit, lightSources } from '../passes/light';

/** Light as plain JSON: illuminances in lux, ratios as factors, differences in stops, colours in K. */
export interface LightReport {
  readonly sources: readonly {
    readonly id: string;
    readonly is: string;
    /** On its axis, turned up */
    readonly luxAt1m: number;
    /** Turned up to here, 0 to 1 */
    readonly share: number;
    readonly kelvin: number;
  }[];
  readonly faces: readonly {
    readonly personId: string;
    readonly lux: number;
    readonly roomLux: number;
    readonly keyId: string | null;
    readonly fillLux: number;
    readonly ratio: number | null;
    readonly ratioStops: number | null;
    readonly hairStops: number | null;
    readonly parts: readonly { readonly id: string; readonly lux: number }[];
  }[];
  readonly backdrops: readonly {
    readonly id: string;
    readonly leastLux: number;
    readonly mostLux: number;
    readonly evenness: number | null;
  }[];
  readonly exposures: readonly {
    readonly shotId: string;
    readonly lux: number | null;
    readonly neededLux: number | null;
    readonly stopsOver: number | null;
    readonly separationStops: number | null;
    readonly glints: readonly { readonly personId: string; readonly sourceId: string }[];
  }[];
}

/** @returns null where nobody has said anything of light */
export const lightReport = (analysis: Analysis): LightReport | null =>
  isLit(analysis)
    ? {
        sources: lightSources(analysis).map(({ id, of, luxAt1m, share, kelvin }) => ({
          id,
          is: of,
          luxAt1m,
          share,
          kelvin,
        })),
        faces: faces(analysis).map((face) => ({
          personId: face.personId,
          lux: face.lux,
          roomLux: face.roomLux,
          keyId: face.key?.source.id ?? null,
          fillLux: face.fillLux,
          ratio: face.ratio,
          ratioStops: face.ratioStops,
          hairStops: face.hairStops,
          parts: face.parts.map(({ source, lux }) => ({ id: source.id, lux })),
        })),
        backdrops: backdropsLit(analysis).map(({ id, leastLux, mostLux, evenness }) => ({
          id,
          leastLux,
          mostLux,
          evenness,
        })),
        exposures: exposures(analysis).map((exposed) => ({
          shotId: exposed.shotId,
          lux: exposed.lux,
          neededLux: exposed.framing.lightNeededLux,
          stopsOver: exposed.stopsOver,
          separationStops: exposed.separationStops,
          glints: exposed.glints.map(({ face, part }) => ({
            personId: face.personId,
            sourceId: part.source.id,
          })),
        })),
      }
    : null;
