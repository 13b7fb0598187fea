export * from './lasts';
export * from './low-voltage';
export * from './mains';
