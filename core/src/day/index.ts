export * from './change-over';
export * from './checklist';
export * from './dies';
export * from './marks';
export * from './rundown';
export * from './rundown-files';
export * from './runs-out';
export * from './schedule';
