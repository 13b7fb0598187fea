export { CablesView as default } from '@/features/cables/CablesView';
