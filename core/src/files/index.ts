export * from './names';
export * from './plan';
