import path from 'node:path';
import type { NextConfig } from 'next';

const root = path.resolve(import.meta.dirname, '..');

const config: NextConfig = {
  transpilePackages: ['@echo-loom/core'],
  turbopack: { root },
  outputFileTracingRoot: root,
  poweredByHeader: false,
  // No door that nobody uses: pictures are not scaled by the server.
  images: { unoptimized: true },
  reactStrictMode: true,
  // bin/test checks types in a step of its own; doing it here again doubles the time to a first page.
  typescript: { ignoreBuildErrors: true },
  headers: async () => [
    {
      source: '/(.*)',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'Referrer-Policy', value: 'same-origin' },
      ],
    },
  ],
};
export default config;
