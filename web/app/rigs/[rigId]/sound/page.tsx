export { SoundView as default } from '@/features/sound/SoundView';
