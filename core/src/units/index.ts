export * from './decibel';
export * from './noise';
export * from './rate';
export * from './format';
