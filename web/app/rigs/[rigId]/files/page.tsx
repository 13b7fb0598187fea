export { FilesView as default } from '@/features/files/FilesView';
