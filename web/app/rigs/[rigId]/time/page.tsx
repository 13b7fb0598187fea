export { TimeView as default } from '@/features/time/TimeView';
