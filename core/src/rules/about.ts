import { endName, type Signal, sourceOf, type Stage } from '../graph';

/** What may be said of any place besides what it is. */
interface Details {
  readonly deviceId?: string;
  readonly portId?: string;
  readonly linkId?: string;
  readonly shotId?: string;
  readonly sceneId?: string;
  readonly buttonId?: string;
  readonly line?: string;
  readonly personId?: string;
  readonly noiseId?: string;
  readonly surfaceId?: string;
  readonly supportId?: string;
  readonly openingId?: string;
  readonly walkwayId?: string;
  readonly cableWayId?: string;
  readonly circuitId?: string;
  readonly feedId?: string;
  readonly backdropId?: string;
  readonly lookId?: string;
  readonly segmentId?: string;
  readonly setId?: string;
  readonly storeId?: string;
  /** Whose signal it is, where a place serves several: `mic.out`, and `#2` for a second way of the same */
  readonly source?: string;
  /** Which signal, where a port has both */
  readonly signal?: Signal;
  /** The format that is made there, where one input leaves in several */
  readonly made?: string;
  /** Stage where the figures are, in the analysis the finding came from; numbered anew in every one */
  readonly stage?: number;
}

/**
 * What a finding is about, as a tagged reference: the most exact thing it can be pinned to. The
 * interface marks that; the rest says where it stands.
 */
export type About = Details &
  (
    | { readonly kind: 'rig' }
    | { readonly kind: 'device'; readonly deviceId: string }
    | { readonly kind: 'port'; readonly deviceId: string; readonly portId: string }
    | { readonly kind: 'link'; readonly linkId: string }
    | { readonly kind: 'shot'; readonly shotId: string; readonly deviceId: string }
    | { readonly kind: 'scene'; readonly sceneId: string }
    | { readonly kind: 'button'; readonly buttonId: string }
    | { readonly kind: 'person'; readonly personId: string }
    | { readonly kind: 'noise'; readonly noiseId: string }
    | { readonly kind: 'surface'; readonly surfaceId: string }
    | { readonly kind: 'support'; readonly supportId: string }
    | { readonly kind: 'opening'; readonly openingId: string }
    | { readonly kind: 'walkway'; readonly walkwayId: string }
    | { readonly kind: 'cable way'; readonly cableWayId: string }
    | { readonly kind: 'circuit'; readonly circuitId: string }
    | { readonly kind: 'feed'; readonly feedId: string }
    | { readonly kind: 'backdrop'; readonly backdropId: string }
    | { readonly kind: 'look'; readonly lookId: string }
    | { readonly kind: 'segment'; readonly segmentId: string }
    | { readonly kind: 'set'; readonly setId: string }
    | { readonly kind: 'store'; readonly storeId: string }
    /** A line of the coverage, for what the brief asks for */
    | { readonly kind: 'coverage line'; readonly line: string }
  );

export const THE_RIG: About = { kind: 'rig' };

interface Place {
  readonly deviceId: string;
  readonly portId?: string | undefined;
  readonly linkId?: string | undefined;
}

/** A cable, a port or a device: the most exact of what is given. */
export const at = ({ deviceId, portId, linkId }: Place): About => {
  if (linkId !== undefined)
    return { kind: 'link', linkId, deviceId, ...(portId === undefined ? {} : { portId }) };
  return portId === undefined ? { kind: 'device', deviceId } : { kind: 'port', deviceId, portId };
};

/** The source of a stage, and which of its ways it came. */
const sourceName = (stage: Stage): string => {
  return `${endName(sourceOf(stage).at)}${stage.way > 1 ? `#${stage.way}` : ''}`;
};

/** A place that several signals pass, and which of them is meant. */
export const atStage = (stage: Stage, place: Place): About => ({
  ...at(place),
  source: sourceName(stage),
  stage: stage.index,
});

/** What a reference says, in an order of its own: the same in every analysis. */
export const aboutKey = (about: About): string =>
  [
    about.kind,
    about.deviceId,
    about.portId,
    about.linkId,
    about.line,
    about.shotId,
    about.sceneId,
    about.buttonId,
    about.source,
    about.signal,
    about.made,
    about.personId,
    about.noiseId,
    about.surfaceId,
    about.supportId,
    about.openingId,
    about.walkwayId,
    // Keys of findings put aside are kept in documents: what came later adds nothing to those before it.
    ...[
      about.cableWayId,
      about.circuitId,
      about.feedId,
      about.backdropId,
      about.lookId,
      about.segmentId,
      about.setId,
      about.storeId,
    ].filter((part) => part !== undefined),
  ]
    .map((part) => part ?? '')
    .join('|');
