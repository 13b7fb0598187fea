import type { DeviceNode } from '@echo-loom/core';
import { Lane, nearestFree } from './lane';
import type { Bundle, OpenStrand, PlacedDevice } from './parts';
import { HEADER, OUT_PITCH, PEG_HEIGHT, ROW_HEIGHT } from './sizes';

/** Half the height a thread and its reading take. @unit px */
const STRAND_HALF = 8;

/** Half the height of a box that so many threads leave, each from a port of its own. @unit px */
export const halfFor = (leaving: number): number =>
  Math.max(PEG_HEIGHT / 2, ((leaving - 1) * OUT_PITCH) / 2 + 10);

/** Where threads leave a box, evenly about its middle. @unit px */
export const spread = (middle: number, leaving: number): number[] =>
  Array.from({ length: leaving }, (_, index) => middle + (index - (leaving - 1) / 2) * OUT_PITCH);

interface Columns {
  readonly of: (deviceId: string) => number;
  /** Where ways back to a source end */
  readonly returns: number;
  readonly back: ReadonlySet<string>;
}

/** The chart while it is filled: what stands where, and what is taken already. */
export class Ground {
  readonly placed = new Map<string, PlacedDevice>();
  readonly strands: OpenStrand[] = [];
  private readonly lanes: Lane[][] = [];
  /** Threads on their way past a column */
  private readonly passing: Lane[] = [];
  /** Threads that begin in a column */
  private readonly leaving: Lane[] = [];

  constructor(private readonly columns: Columns) {}

  private lane(column: number, lane: number): Lane {
    return ((this.lanes[column] ??= [])[lane] ??= new Lane());
  }

  private threads(column: number): readonly Lane[] {
    return [(this.passing[column] ??= new Lane()), (this.leaving[column] ??= new Lane())];
  }

  private isFreeOfThreads(column: number, y: number, half: number): boolean {
    return this.threads(column).every((lane) => lane.isFree(y - half, y + half));
  }

  /** Puts a device into the first lane of its column that has room for it. */
  place(device: PlacedDevice): void {
    let lane = 0;
    while (!this.lane(device.column, lane).isFree(device.top - 4, device.bottom + 4)) lane++;
    this.lane(device.column, lane).take(device.top - 4, device.bottom + 4);
    device.lane = lane;
    this.placed.set(device.key, device);
  }

  /** The middle nearest to the one wanted where a box that high meets neither box nor thread. */
  roomFor(column: number, wanted: number, half: number, crossesThreads = false): number {
    return nearestFree(
      wanted,
      (y) =>
        this.lane(column, 0).isFree(y - half - 3, y + half + 3) &&
        (crossesThreads || this.isFreeOfThreads(column, y, half)),
      HEADER + half,
    );
  }

  /** Lets threads leave a device, each at its height. */
  open(device: PlacedDevice, leaving: readonly Bundle[], ys: readonly number[]): void {
    leaving.forEach((edges, index) => {
      const [edge] = edges;
      const toReturn = this.columns.back.has(edge.id);
      const toColumn = toReturn
        ? Math.max(this.columns.returns, device.column + 1)
        : this.columns.of(edge.to.device.id);
      const y = ys[index] ?? device.top;
      this.strands.push({
        edges,
        fromKey: device.key,
        fromColumn: device.column,
        toColumn,
        y,
        toReturn,
      });
      this.threads(device.column)[1]?.take(y - STRAND_HALF, y + STRAND_HALF);
      for (let at = device.column + 1; at < toColumn; at++)
        this.threads(at)[0]?.take(y - STRAND_HALF, y + STRAND_HALF);
    });
  }

  /** Where threads leave a bar: at rows no other thread uses, kept together round its middle. */
  exits({ column, top, bottom }: PlacedDevice, count: number): number[] {
    const start = (top + bottom) / 2 - ((count - 1) * ROW_HEIGHT) / 2;
    const used = new Lane();
    return Array.from({ length: count }, (_, index) => {
      const wanted = Math.max(HEADER + ROW_HEIGHT, start + index * ROW_HEIGHT);
      const at = nearestFree(
        wanted,
        (y) => used.isFree(y - 12, y + 12) && this.isFreeOfThreads(column, y, STRAND_HALF),
        HEADER + ROW_HEIGHT / 2,
      );
      used.take(at - 12, at + 12);
      return at;
    }).sort((a, b) => a - b);
  }

  /** Heights at which threads arrive at a device, from the top. */
  arriving(node: DeviceNode): number[] {
    return this.strands
      .filter(({ edges, toReturn }) => !toReturn && edges[0].to.device === node)
      .map(({ y }) => y)
      .sort((a, b) => a - b);
  }
}
