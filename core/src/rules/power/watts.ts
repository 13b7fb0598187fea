import { figure } from '../../passes/sum';

/** Power as it is read. */
export const watts = (w: number): string => `${figure(w, w < 10 ? 1 : 0)} W`;
