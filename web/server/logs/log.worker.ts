import { parentPort, workerData } from 'node:worker_threads';
import { type OldLog, upgradeText } from './upgrade-text';

/** Upgrades one log beside the request thread, and ends. */
parentPort?.postMessage(upgradeText(workerData as OldLog));
