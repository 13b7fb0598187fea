export { RunsView as default } from '@/features/run/RunsView';
