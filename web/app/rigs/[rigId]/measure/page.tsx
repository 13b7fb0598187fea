export { MeasureView as default } from '@/features/measure/MeasureView';
