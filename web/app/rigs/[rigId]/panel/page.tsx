export { PanelView as default } from '@/features/panel/PanelView';
