import { FindingsView } from './view';

interface Props {
  readonly params: Promise<{ rigId: string }>;
  readonly searchParams: Promise<{ of?: string | string[] }>;
}

const Page = async ({ params, searchParams }: Props) => {
  const { of } = await searchParams;
  return <FindingsView rigId={(await params).rigId} asked={typeof of === 'string' ? of : null} />;
};
export default Page;
