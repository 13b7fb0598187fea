export * from './decibel';
export * from './format';
export * from './noise';
export * from './rate';
export * from './sound';
