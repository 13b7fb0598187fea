import type { Coding } from '../../rig';
import type { Format } from '../../units';

/** Why a picture gets no further than a stage. */
export interface PictureStop {
  readonly by: 'port' | 'cable' | 'input' | 'no scaler' | 'no supply';
  readonly says: string;
}

/** What a picture thread carries at a stage. */
export interface PictureFigures {
  /** null where the picture has been lost */
  readonly format: Format | null;
  /**
   * How its pixels are written while it travels on a picture link; null where nothing else is said
   * than the link's usual way
   */
  readonly coding: Coding | null;
  /** Load on the link it arrived by. @unit Gb/s; null where the link has none or it cannot be told */
  readonly payloadGbps: number | null;
  /** Data rate once it travels as a stream. @unit MB/s */
  readonly streamMBps: number | null;
  /** How the stream is coded, once it is one */
  readonly encoding: string | null;
  /** No overlays, menus or focus marks on it */
  readonly clean: boolean;
  readonly copyProtected: boolean;
  readonly stop: PictureStop | null;
}

/** A way a source could send its picture. */
export interface Candidate {
  readonly format: Format;
  readonly coding: Coding | null;
}

/** What keeps a candidate from passing, and where. */
export interface Obstacle {
  readonly linkId: string | null;
  readonly deviceId: string;
  readonly portId: string;
  readonly says: string;
}

/** The best that everything on the way takes, and what forced it down from what the source would like to send. */
export interface Negotiation extends Candidate {
  /** What the source would send if nothing stood in the way */
  readonly wish: Candidate;
  /** Every place that does not take the wish; empty where the wish passes */
  readonly forcedBy: readonly Obstacle[];
  /** Whether anything the source offers passes at all */
  readonly fits: boolean;
}

/** What the picture pass found, by stage index. */
export interface Pictures {
  /** undefined for stages of sound */
  readonly figures: readonly (PictureFigures | undefined)[];
  /** For each source in use that sends the best that fits, by the index of its first stage */
  readonly negotiations: ReadonlyMap<number, Negotiation>;
}
