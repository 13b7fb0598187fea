import '@fontsource-variable/source-sans-3';
import '@fontsource-variable/spline-sans-mono';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/Providers';

export const metadata: Metadata = {
  title: { default: 'Echo Loom', template: '%s · Echo Loom' },
  description: 'Designs and proves the capture and signal chain of a studio by calculation.',
};

const RootLayout = async ({ children }: { readonly children: ReactNode }) => {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Providers nonce={nonce}>{children}</Providers>
      </body>
    </html>
  );
};
export default RootLayout;
