export { changeOver, type ChangeTask } from './change-over';
export { type Done, personMinutes, type Schedule, scheduleFor, type Task } from './schedule';
