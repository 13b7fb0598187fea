import { expose } from 'comlink';
import { MeasuringTasks } from './tasks';

/** Measuring of files in a thread of its own; it is ended when nobody waits for it any more. */
expose(new MeasuringTasks());
