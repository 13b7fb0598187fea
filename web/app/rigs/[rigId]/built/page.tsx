export { BuiltView as default } from '@/features/built/BuiltView';
