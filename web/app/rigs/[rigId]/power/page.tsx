export { PowerView as default } from '@/features/power/PowerView';
