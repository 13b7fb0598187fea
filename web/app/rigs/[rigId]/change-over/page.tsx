export { ChangeOverView as default } from '@/features/change-over/ChangeOverView';
