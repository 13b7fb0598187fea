import { expose } from 'comlink';
import { EngineTasks } from './tasks';

/** The engine in a thread of its own. */
expose(new EngineTasks());
