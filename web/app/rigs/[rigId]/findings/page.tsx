import { FindingsView } from '@/features/findings/FindingsView';

const Page = async ({ params }: { readonly params: Promise<{ rigId: string }> }) => (
  <FindingsView rigId={(await params).rigId} />
);
export default Page;
