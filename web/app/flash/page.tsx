export { FlashPage as default } from '@/features/measure/FlashPage';
