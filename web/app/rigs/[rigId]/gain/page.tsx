export { GainView as default } from '@/features/gain/GainView';
