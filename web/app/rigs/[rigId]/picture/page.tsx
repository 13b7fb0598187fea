export { PictureView as default } from '@/features/picture/PictureView';
