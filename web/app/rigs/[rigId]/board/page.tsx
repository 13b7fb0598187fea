export { BoardView as default } from '@/features/board/BoardView';
