export { RundownView as default } from '@/features/rundown/RundownView';
