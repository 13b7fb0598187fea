import '@fontsource-variable/source-sans-3';
import '@fontsource-variable/spline-sans-mono';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/Providers';

export const metadata: Metadata = { title: { default: 'Echo Loom', template: '%s · Echo Loom' }, description: 'Designs and proves the capture and signal chain of a studio by calculation.' };

const RootLayout = ({ children }: { readonly children: ReactNode }) => (
  <html lang="en" suppressHydrationWarning>
    <body>
      <Providers>{children}</Providers>
    </body>
  </html>
);
export default RootLayout;
