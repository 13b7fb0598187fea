export * from './agenda';
