export * from './dies';
