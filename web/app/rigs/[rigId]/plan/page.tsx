export { PlanView as default } from '@/features/plan/PlanView';
