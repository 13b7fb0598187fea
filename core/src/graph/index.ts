export * from './compile';
export * from './trace';
