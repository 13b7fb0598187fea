export { DeskView as default } from '@/features/desk/DeskView';
