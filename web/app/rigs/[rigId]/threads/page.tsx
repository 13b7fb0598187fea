export { ThreadsView as default } from '@/features/threads/ThreadsView';
