export * from './schema';
export * from './state';
export * from './log';
export * from './timecode';
export * from './compared';
export * from './readings';
