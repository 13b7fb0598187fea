export { ChecklistView as default } from '@/features/checklist/ChecklistView';
