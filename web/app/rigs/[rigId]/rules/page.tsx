export { HouseRulesView as default } from '@/features/house/HouseRulesView';
