export * from './checked';
export * from './names';
export * from './plan';
export * from './folder';
export * from './formatting';
export * from './hand-over';
