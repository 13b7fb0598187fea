export { MonitoringView as default } from '@/features/monitoring/MonitoringView';
