export { BookView as default } from '@/features/book/BookView';
