import type { DeviceNode, LinkEdge, PortFamily } from '@echo-loom/core';
import type { Grouping } from './rows';

/** What stands on the loom, placed. All lengths in px. */

export interface LoomNode {
  /** The device, or `device>link` for the far end of a way back */
  readonly key: string;
  readonly deviceId: string;
  readonly name: string;
  readonly shape: 'peg' | 'bar' | 'outlet' | 'return';
  readonly column: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Part of a bar that no bridge crosses, for its name */
  readonly label?: { readonly y: number; readonly height: number };
  /** Sources a folded group stands for */
  readonly folds?: number;
  /** Devices inside a folded group */
  readonly members?: readonly string[];
  readonly groupId?: string;
  /** Of a source: where its row stops going straight on */
  readonly rowEnd?: number;
}

export interface LoomStrand {
  /** The first of its cables, by which it is known */
  readonly linkId: string;
  /** Every cable it stands for: several where a folded group is drawn as one line */
  readonly linkIds: readonly string[];
  readonly fromKey: string;
  readonly toKey: string;
  readonly family: PortFamily;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  /** Where the strand leaves the level of its source, just before its destination */
  readonly bendX: number;
  /** Bars and pegs it passes without serving: it must visibly bridge them */
  readonly bridges: readonly { readonly x: number; readonly width: number }[];
  readonly fromPort: string;
  readonly toPort: string;
}

export interface LoomGroup {
  readonly id: string;
  readonly name: string;
  readonly y: number;
  readonly folded: boolean;
  readonly size: number;
}

export interface LoomColumn {
  readonly title: string;
  readonly x: number;
  readonly width: number;
}

export interface LoomLayout {
  readonly grouping: Grouping;
  readonly nodes: readonly LoomNode[];
  readonly strands: readonly LoomStrand[];
  readonly groups: readonly LoomGroup[];
  readonly columns: readonly LoomColumn[];
  readonly width: number;
  readonly height: number;
  /** Devices bridged by threads they do not serve; the fewer the better */
  readonly bridged: number;
}

/** A device with its column and rows, before columns have widths. */
export interface PlacedDevice {
  readonly node: DeviceNode;
  readonly key: string;
  readonly column: number;
  readonly shape: LoomNode['shape'];
  lane: number;
  /** Middle for pegs, ends for bars */
  top: number;
  bottom: number;
  readonly folds?: number;
  readonly members?: readonly string[];
  readonly groupId?: string;
}

/** Cables drawn as one thread: more than one only out of a folded group. */
export type Bundle = readonly [LinkEdge, ...LinkEdge[]];

/** A thread with its row and columns, before columns have widths. */
export interface OpenStrand {
  readonly edges: Bundle;
  readonly fromKey: string;
  readonly fromColumn: number;
  readonly toColumn: number;
  readonly y: number;
  readonly toReturn: boolean;
}

/** Everything placed by columns and rows. */
export interface Draft {
  readonly grouping: Grouping;
  readonly groups: readonly LoomGroup[];
  readonly placed: readonly PlacedDevice[];
  readonly strands: readonly OpenStrand[];
  readonly ranks: readonly number[];
  readonly lastColumn: number;
  readonly rowsEnd: number;
}

/** What of a rig is drawn: ids of devices and cables. */
export interface Shown {
  readonly devices: ReadonlySet<string>;
  readonly links: ReadonlySet<string>;
}
