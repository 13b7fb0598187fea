import type { Verdict } from '../analyse';
import type { Workload } from '../passes/computer/work';
import type { Money } from '../passes/money';
import type { VoiceFigures } from '../passes/sound/voice-figures';
import type { Spare } from '../passes/spare';
import type { Sum } from '../passes/sum';
import type { Command } from '../rig';
import type { PredictionReport, ShotReport, StageReport } from './form-parts';
import type { LightReport } from './light';
import type { TimeReport } from './time';

/** An analysis as plain JSON, for programs. */
export interface Report {
  readonly rig: string;
  readonly verdict: Verdict & { readonly says: string };
  /** Findings of one cause together, as the verdict counts them */
  readonly causes: readonly {
    readonly code: string;
    readonly level: string;
    readonly title: string;
    readonly places: readonly string[];
  }[];
  /** What somebody has put aside, and why; not among the findings */
  readonly aside: readonly {
    readonly code: string;
    readonly level: string;
    readonly title: string;
    readonly reason: string;
  }[];
  readonly findings: readonly {
    readonly code: string;
    readonly level: string;
    readonly area: string;
    readonly title: string;
    readonly says: string;
    readonly about: {
      readonly deviceId?: string;
      readonly portId?: string;
      readonly linkId?: string;
      readonly personId?: string;
      readonly noiseId?: string;
      readonly surfaceId?: string;
      readonly supportId?: string;
      readonly backdropId?: string;
      readonly lookId?: string;
    };
    readonly houseRule?: string;
    readonly sums: readonly Sum[];
    readonly fixes: readonly {
      readonly label: string;
      readonly command: Command;
      readonly predicts: PredictionReport | null;
    }[];
  }[];
  readonly coverage: readonly {
    readonly id: string;
    readonly need: string;
    readonly subject: string;
    readonly verdict: string;
    readonly says: string;
    readonly thread: string | null;
  }[];
  readonly money: Money;
  /** Sockets and channels each device has, and how many are free */
  readonly spare: readonly { readonly device: string; readonly has: readonly Spare[] }[];
  /** Every planned shot with its figures; lengths in m and mm, angles in degrees, light in lux */
  readonly shots: readonly ShotReport[];
  readonly scenes: readonly {
    readonly id: string;
    readonly name: string;
    readonly possible: boolean;
    readonly madeAt: readonly string[];
    readonly short: readonly { readonly resource: string; readonly says: string }[];
  }[];
  /** Sources that send the best that fits */
  readonly negotiated: readonly {
    readonly device: string;
    readonly port: string;
    readonly format: string;
    readonly wish: string;
    readonly forcedBy: readonly { readonly linkId: string | null; readonly says: string }[];
  }[];
  readonly usb: readonly {
    readonly linkId: string;
    readonly loadMBps: number;
    readonly limitMBps: number;
  }[];
  readonly work: readonly {
    readonly device: string;
    readonly units: number;
    readonly budget: number | null;
    readonly items: Workload['items'];
  }[];
  readonly drives: readonly {
    readonly device: string;
    readonly writeMBps: number;
    readonly limitMBps: number | null;
    readonly gbPerHour: number;
    readonly hours: number | null;
    readonly gbPerShow: number;
    readonly shows: number | null;
  }[];
  readonly ears: readonly {
    readonly device: string;
    readonly personId: string | null;
    readonly spl: number | null;
    readonly hours: number | null;
    readonly ownVoiceMs: number | null;
  }[];
  /** The room by its surfaces: lengths in m², m³ and s; null where nobody has drawn it */
  readonly room: {
    readonly volumeM3: number;
    readonly surfaceM2: number;
    readonly bands: readonly {
      readonly hz: number;
      readonly absorptionM2: number;
      readonly airM2: number;
      readonly rt60S: number;
      /** The relation that holds, and what each of the two would tell */
      readonly relation: 'Sabine' | 'Eyring';
      readonly bySabineS: number;
      readonly byEyringS: number;
    }[];
    /** Mean of 500 Hz and 1 kHz, as it is and without what was put in */
    readonly rt60S: number;
    readonly bareRt60S: number;
    /** What is right for speech */
    readonly targetS: number;
  } | null;
  /** What carries devices. Masses in kg, lengths in m, moments in kg·m */
  readonly supports: readonly {
    readonly id: string;
    readonly name: string;
    readonly loadKg: number;
    readonly heatW: number;
    /** How a stand stands; null for everything else */
    readonly tipping: {
      readonly edgeM: number;
      readonly overturning: number;
      readonly restoring: number;
      /** null where nothing pulls beyond the edge */
      readonly factor: number | null;
      readonly bagKg: number;
      /** On the other end of its arm, at half a metre where none hangs */
      readonly counterweightKg: number;
    } | null;
    readonly armM: number | null;
  }[];
  /** How long each cable must be by the plan. Lengths in m, null where its way is not known */
  readonly cables: readonly {
    readonly linkId: string;
    readonly lengthM: number;
    readonly is: 'planned' | 'nowhere' | 'no way';
    readonly wayM: number | null;
    readonly slackM: number | null;
    readonly travelM: number | null;
    readonly needM: number | null;
    /** Lengths that are sold and make it up */
    readonly stockM: readonly number[] | null;
    /** Doors and walkways it lies bare across */
    readonly crosses: readonly string[];
  }[];
  readonly cableWays: readonly {
    readonly id: string;
    readonly name: string;
    readonly cables: number;
    readonly mainsLeads: number;
    readonly cablesMm2: number;
    /** Of what it holds inside; null where nobody has said */
    readonly share: number | null;
  }[];
  /** What is drawn, at most: W, VA, A (null where the mains is not known) */
  /** Where sound and picture meet */
  readonly time: TimeReport;
  /** null where nobody has said anything of light */
  readonly light: LightReport | null;
  readonly power: {
    readonly circuits: readonly {
      readonly id: string;
      readonly name: string;
      readonly w: number;
      readonly va: number;
      readonly a: number | null;
      readonly allowedA: number;
    }[];
    readonly feeds: readonly {
      readonly id: string;
      readonly name: string;
      readonly w: number;
      readonly va: number;
      readonly a: number | null;
      readonly sockets: number;
      readonly taken: number;
      /** Of a supply that lasts, min */
      readonly lastsMin: number | null;
    }[];
  };
  /** What cameras see of the plan. Angles in degrees, lengths in m */
  readonly views: readonly {
    readonly shotId: string;
    readonly device: string;
    readonly fieldDeg: readonly [across: number, upwards: number];
    readonly distanceM: number | null;
    readonly backgroundM: number | null;
    readonly shown: readonly {
      readonly what: string;
      readonly id: string;
      readonly name: string;
      readonly depthM: number;
      readonly asideM: number;
      readonly asideDeg: number;
      /** Sideways, until it is out */
      readonly outByM: number;
      readonly isSubject: boolean;
    }[];
    readonly hidden: readonly { readonly personId: string; readonly by: string }[];
  }[];
  /** Every microphone in its room. Levels in dB SPL and dB(A), ratios in dB, lengths in m */
  readonly microphones: readonly {
    readonly device: string;
    readonly personId: string | null;
    readonly pattern: string | null;
    readonly distanceM: number | null;
    readonly ownSpl: number | null;
    readonly roomSpl: number | null;
    readonly overRoomDb: number | null;
    readonly criticalDistanceM: number | null;
    readonly directToReverberantDb: number | null;
    /** At 100 Hz */
    readonly proximityDb: number | null;
    readonly loopDb: number | null;
    readonly asks: readonly string[];
    readonly noises: readonly {
      readonly id: string;
      readonly spl: number;
      readonly directSpl: number;
      readonly echoSpl: number | null;
    }[];
    readonly bleed: readonly {
      readonly personId: string;
      /** Straight from the mouth: for the comb and the 3:1 rule */
      readonly db: number | null;
      /** With what the walls send: what the ear hears */
      readonly totalDb: number | null;
      readonly combRippleDb: number | null;
    }[];
  }[];
  readonly processors: readonly {
    readonly device: string;
    readonly does: string;
    readonly isIn: boolean;
    readonly unit: string;
    readonly thresholdDb: number;
    readonly averageDb: number;
    readonly peakDb: number;
    readonly underneathDb: number | null;
    readonly out: { readonly averageDb: number; readonly peakDb: number } | null;
  }[];
  readonly programmes: readonly {
    readonly device: string;
    readonly lufs: number;
    readonly targetLufs: number;
    readonly peakAfterDbtp: number;
  }[];
  readonly channels: readonly {
    readonly from: string;
    readonly to: string;
    readonly used: number;
    readonly most: number | null;
  }[];
  readonly uplink: { readonly mbps: number; readonly lineMbps: number | null };
  readonly voices: readonly (VoiceFigures & { readonly converter: string })[];
  readonly threads: readonly {
    readonly id: string;
    readonly signal: string;
    readonly delayMs: number;
    readonly delayUnknown: number;
    readonly stages: readonly StageReport[];
  }[];
}
