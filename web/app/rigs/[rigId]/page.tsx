export { LoomView as default } from '@/features/loom/LoomView';
