export * from './agenda';
export * from './left';
