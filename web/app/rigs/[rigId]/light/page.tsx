export { LightView as default } from '@/features/light/LightView';
