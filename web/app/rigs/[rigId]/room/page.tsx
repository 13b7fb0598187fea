export { RoomView as default } from '@/features/room/RoomView';
