import type { LinkEdge, PortNode } from '../../graph';

/** What one device puts on the USB, once, however many sources it carries. */
export interface UsbStream {
  readonly from: PortNode;
  readonly label: string;
  readonly isPicture: boolean;
  /** null where it cannot be told */
  readonly mBps: number | null;
}

/** A link, or a controller, and what runs through it. */
export interface UsbBranch {
  readonly streams: readonly UsbStream[];
  /** Sum of the known streams. @unit MB/s */
  readonly loadMBps: number;
  /** @unit MB/s */
  readonly limitMBps: number;
  /** @unit Gb/s */
  readonly gbps: number;
}
export interface UsbLinkBranch extends UsbBranch {
  readonly link: LinkEdge;
  /** What holds it to this speed */
  readonly slowest: 'socket' | 'cable' | 'device';
}
export interface UsbControllerBranch extends UsbBranch {
  readonly deviceId: string;
  readonly controller: string;
  /** Everything at 480 Mb/s below it, or everything faster: a hub and a controller keep the two apart */
  readonly side: 'slow' | 'fast';
}
export interface UsbTree {
  readonly links: ReadonlyMap<string, UsbLinkBranch>;
  readonly controllers: readonly UsbControllerBranch[];
}
