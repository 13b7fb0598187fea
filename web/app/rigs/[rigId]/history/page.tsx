export { HistoryView as default } from '@/features/history/HistoryView';
