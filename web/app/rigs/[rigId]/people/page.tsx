export { PeopleView as default } from '@/features/people/PeopleView';
