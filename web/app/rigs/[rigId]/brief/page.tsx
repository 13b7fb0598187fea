export { BriefView as default } from '@/features/brief/BriefView';
